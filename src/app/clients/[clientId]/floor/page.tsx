import Link from "next/link";
import { currentPlan, DEFAULT_KIT, fitContextOf, openWarning, undecidedSessions, usualScoreOn } from "../../../../core";
import { getOrm } from "../../../../data/orm";
import { floorEventsOf } from "../../../../data/repos/floor.repo";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { FloorScreen, StartScreen } from "../../../../ui/floor/floor-screen";
import { MessageScreen } from "../../../../ui/shell/message-screen";

export default async function FloorPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { today, unitSystem, scope } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const context = fitContextOf(record, today, DEFAULT_KIT);
  const plan = currentPlan(record);
  const session = record.sessions.findLast(({ day }) => day === today);
  const prescription = record.prescriptions.find(({ id }) => id === session?.items[0]?.prescriptionId);
  const rung = record.rungs.find(({ id }) => id === prescription?.rungId);
  const item = session?.items[0];

  if (context && session && item && prescription && rung)
    return (
      <FloorScreen
        clientId={clientId}
        plan={{ sessionId: session.id, itemId: item.id, variationId: rung.variationId, setting: rung.setting, dose: prescription.dose }}
        context={context}
        known={await floorEventsOf(scope, (await getOrm()).em.fork(), session.id)}
        usualScore={usualScoreOn(record, today)}
        limitScore={record.client.painLimitScore}
        missingMorning={undecidedSessions(record).some(
          ({ id, day }) => day < today && !record.responses.some(({ sessionId }) => sessionId === id),
        )}
        painSite={record.client.complaint.split(",")[0] ?? ""}
        units={unitSystem}
      />
    );
  const warning = openWarning(record);
  if (warning)
    return (
      <MessageScreen title="A warning sign stands open">
        <p>No session until a clinician has cleared it: who, in which role, and when.</p>
        <Link href={`/clients/${clientId}/limits`}>Record a clearance</Link>
      </MessageScreen>
    );
  if (!plan)
    return (
      <MessageScreen title="No plan yet">
        <p>Choose a rung on Fit and keep it; then it can be trained here.</p>
        <Link href={`/clients/${clientId}/fit`}>Go to Fit</Link>
      </MessageScreen>
    );
  return (
    <StartScreen
      clientId={clientId}
      plan={{ variationId: plan.rung.variationId, setting: plan.rung.setting, dose: plan.prescription.dose }}
      units={unitSystem}
    />
  );
}
