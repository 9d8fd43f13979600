import Link from "next/link";
import { currentPlan, DEFAULT_KIT, fitContextOf, isCeilingProvisional, openWarning } from "../../../../core";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { FitScreen } from "../../../../ui/fit/fit-screen";
import { MessageScreen } from "../../../../ui/shell/message-screen";

export default async function FitPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const context = fitContextOf(record, today, DEFAULT_KIT);
  if (!context)
    return (
      <MessageScreen title="No body yet">
        <p>Stature and mass are needed before anything can be fitted.</p>
        <Link href={`/clients/${clientId}/limits`}>Enter them</Link>
      </MessageScreen>
    );
  const plan = currentPlan(record);
  return (
    <FitScreen
      clientId={clientId}
      context={context}
      plan={plan && { variationId: plan.rung.variationId, setting: plan.rung.setting, dose: plan.prescription.dose }}
      provisional={context.ceilings.filter((ceiling) => isCeilingProvisional(record, ceiling)).map(({ id }) => id)}
      dailyTasks={record.dailyTasks}
      painLimitScore={record.client.painLimitScore}
      today={today}
      units={unitSystem}
      isStopped={openWarning(record) !== null}
    />
  );
}
