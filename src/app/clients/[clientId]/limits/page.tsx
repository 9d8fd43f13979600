import { fitContextOf, openWarningsOf } from "../../../../core/record/derive";
import { ceilingProposal, isCeilingProvisional } from "../../../../core/record/history";
import { bodyMeasureOf, postureOf } from "../../../../core/record/subject";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { LimitsScreen } from "../../../../ui/limits/limits-screen";

export default async function LimitsPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const context = fitContextOf(record, today);
  const ceilings = context?.ceilings ?? [];
  const proposal = context && ceilingProposal(record, context);
  return (
    <LimitsScreen
      client={record.client}
      complaints={record.complaints}
      limits={record.limits}
      ceilings={ceilings}
      unusable={context?.unusable ?? []}
      provisional={context ? ceilings.filter((ceiling) => isCeilingProvisional(record, context.subject, ceiling)).map(({ id }) => id) : []}
      proposal={proposal && { ceilingId: proposal.ceiling.id, value: proposal.value }}
      subject={context?.subject ?? null}
      measure={bodyMeasureOf(record)}
      posture={postureOf(record)}
      isShinMeasured={record.calmPoses.some(({ shankLeanDeg }) => shankLeanDeg !== null)}
      dailyTasks={record.dailyTasks}
      warnings={openWarningsOf(record)}
      today={today}
      units={unitSystem}
    />
  );
}
