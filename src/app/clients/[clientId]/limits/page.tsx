import { ceilingTable } from "../../../../core/judge/ceiling-table";
import { isCeilingProvisional, learntOfAll, openWarningsOf } from "../../../../core/record/standing/history";
import { fitContextOf } from "../../../../core/record/standing/context";
import { bodyMeasureOf, postureOf } from "../../../../core/record/standing/subject";
import { readStudio } from "../../../../data/orm";
import { listCeilings } from "../../../../data/repos/client.repo";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { LimitsScreen } from "../../../../ui/limits/limits-screen";

export default async function LimitsPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { scope, role, trainerName, today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const history = await readStudio(scope.studioId, (em) => listCeilings(scope, em, clientId));
  const context = fitContextOf(record, today);
  const provisional = (context?.ceilings ?? []).filter((ceiling) => context && isCeilingProvisional(record, context.subject, ceiling));
  const learnt = context ? learntOfAll(record, context) : [];
  return (
    <LimitsScreen
      client={record.client}
      complaints={record.complaints}
      limits={record.limits}
      rows={
        context
          ? ceilingTable(
              context,
              provisional.map(({ id }) => id),
            )
          : []
      }
      history={history}
      calmPoses={record.calmPoses}
      learnt={learnt}
      subject={context?.subject ?? null}
      measure={bodyMeasureOf(record)}
      posture={postureOf(record)}
      isShinMeasured={record.calmPoses.some(({ shankLeanDeg }) => shankLeanDeg !== null)}
      dailyTasks={record.dailyTasks}
      warnings={openWarningsOf(record)}
      leadName={role === "lead" ? trainerName : null}
      school={record.school}
      today={today}
      units={unitSystem}
    />
  );
}
