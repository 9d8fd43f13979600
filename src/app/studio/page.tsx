import { readStudio } from "../../data/orm";
import { listAudit, pastRetention, retentionMonths } from "../../data/repos/audit.repo";
import { ownWords } from "../../data/repos/message.repo";
import { invitations, namesOf, teamOf } from "../../data/repos/team.repo";
import { requireSignedIn } from "../../server/session";
import { Header } from "../../ui/shell/header";
import { StudioScreen } from "../../ui/studio/studio-screen";

export default async function StudioPage() {
  const { scope, owner, unitSystem, studioName, timeZone, role, today } = await requireSignedIn();
  const read = await readStudio(scope.studioId, async (em) => {
    const months = await retentionMonths(scope, em);
    return {
      team: await teamOf(scope, em),
      invited: await invitations(scope, em, today),
      audit: role === "lead" ? await listAudit(scope, em) : [],
      names: await namesOf(scope, em),
      words: await ownWords(scope, em),
      months,
      past: months === null ? [] : await pastRetention(scope, em, months, today),
    };
  });
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <StudioScreen
        {...read}
        studioName={studioName}
        timeZone={timeZone}
        zones={Intl.supportedValuesOf("timeZone")}
        self={scope.actorId}
        isLead={role === "lead"}
        today={today}
      />
    </>
  );
}
