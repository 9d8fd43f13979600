import { readStudio } from "../../data/orm";
import { invitations, teamOf } from "../../data/repos/team.repo";
import { requireSignedIn } from "../../server/session";
import { Header } from "../../ui/shell/header";
import { StudioScreen } from "../../ui/studio/studio-screen";

export default async function StudioPage() {
  const { scope, owner, unitSystem, studioName, timeZone, role, today } = await requireSignedIn();
  const read = await readStudio(scope.studioId, async (em) => ({
    team: await teamOf(scope, em),
    invited: await invitations(scope, em, today),
  }));
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <StudioScreen {...read} studioName={studioName} timeZone={timeZone} self={scope.actorId} isLead={role === "lead"} today={today} />
    </>
  );
}
