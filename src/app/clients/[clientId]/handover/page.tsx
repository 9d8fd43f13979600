import { readStudio } from "../../../../data/orm";
import { changedSince, lastSeen, namesOf, notesOf } from "../../../../data/repos/team.repo";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { handoverOf } from "../../../../ui/handover/handover";
import { HandoverScreen } from "../../../../ui/handover/handover-screen";

export default async function HandoverPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { scope, today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const read = await readStudio(scope.studioId, async (em) => {
    const at = await lastSeen(scope, em, clientId);
    return {
      notes: await notesOf(scope, em, clientId),
      names: await namesOf(scope, em),
      since: at === null ? null : { at, changes: await changedSince(scope, em, clientId, at) },
    };
  });
  return (
    <HandoverScreen
      clientId={clientId}
      handover={handoverOf(record, today)}
      {...read}
      self={scope.actorId}
      today={today}
      units={unitSystem}
    />
  );
}
