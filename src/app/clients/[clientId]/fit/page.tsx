import { PLACES } from "../../../../core/kit/equipment";
import { isCeilingProvisional, openWarningsOf } from "../../../../core/record/standing/history";
import { currentPlans } from "../../../../core/record/standing/plans";
import { fitContextOf } from "../../../../core/record/standing/context";
import { painLimitOf } from "../../../../core/record/standing/approach";
import { screenGate } from "../../../../core/screen/screen";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { FitScreen } from "../../../../ui/fit/fit-screen";
import { Link } from "../../../../ui/kit/link";
import { MessageScreen } from "../../../../ui/shell/message-screen";

interface Props {
  params: Promise<{ clientId: string }>;
  searchParams: Promise<{ place?: string }>;
}

export default async function FitPage({ params, searchParams }: Props) {
  const [{ clientId }, { place: wanted }] = [await params, await searchParams];
  const place = PLACES.find((each) => each === wanted) ?? "studio";
  const { today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const context = fitContextOf(record, today, undefined, place);
  if (!context)
    return (
      <MessageScreen title="No body yet">
        <p>Stature and mass are needed before anything can be fitted.</p>
        <Link href={`/clients/${clientId}/limits`}>Enter them</Link>
      </MessageScreen>
    );
  return (
    <FitScreen
      key={place}
      clientId={clientId}
      place={place}
      context={context}
      plans={currentPlans(record).map(({ rung, prescription }) => ({
        pattern: rung.pattern,
        side: rung.side,
        variationId: rung.variationId,
        setting: rung.setting,
        dose: prescription.dose,
      }))}
      provisional={context.ceilings.filter((ceiling) => isCeilingProvisional(record, context.subject, ceiling)).map(({ id }) => id)}
      dailyTasks={record.dailyTasks}
      painLimitScore={painLimitOf(record)}
      units={unitSystem}
      openSigns={openWarningsOf(record).map(({ sign }) => sign)}
      gate={screenGate(record.screen, today, [])}
    />
  );
}
