import { bodyMeasureOf, ceilingProposal, currentCeilings, isCeilingProvisional, openWarning, postureOf, subjectOf } from "../../../../core";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { LimitsScreen } from "../../../../ui/limits/limits-screen";

export default async function LimitsPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const ceilings = currentCeilings(record.ceilings, today);
  const proposal = ceilingProposal(record, today);
  return (
    <LimitsScreen
      clientId={clientId}
      limits={record.limits}
      ceilings={ceilings}
      provisional={ceilings.filter((ceiling) => isCeilingProvisional(record, ceiling)).map(({ id }) => id)}
      proposal={proposal && { ceilingId: proposal.ceiling.id, value: proposal.value }}
      subject={subjectOf(record)}
      measure={bodyMeasureOf(record)}
      posture={postureOf(record)}
      isShinMeasured={record.calmPoses.some(({ shankLeanDeg }) => shankLeanDeg !== null)}
      dailyTasks={record.dailyTasks}
      warning={openWarning(record)}
      today={today}
      units={unitSystem}
    />
  );
}
