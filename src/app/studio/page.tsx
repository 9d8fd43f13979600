import { validate as isUuid } from "uuid";
import { readStudio } from "../../data/orm";
import { factsAside, factsUnread } from "../../data/repos/aside.repo";
import { AUDIT_PAGE, listAudit, pastRetention, retentionMonths } from "../../data/repos/audit.repo";
import { ownWords } from "../../data/repos/message.repo";
import { invitations, namesOf, teamOf } from "../../data/repos/team.repo";
import { requireSignedIn } from "../../server/session";
import { Header } from "../../ui/shell/header";
import { StudioScreen } from "../../ui/studio/studio-screen";

export default async function StudioPage({ searchParams }: { searchParams: Promise<{ audit?: string }> }) {
  const { audit: asked } = await searchParams;
  const from = isUuid(asked) ? asked : null;
  const { scope, owner, unitSystem, studioName, timeZone, asksForCodes, role, today } = await requireSignedIn();
  const read = await readStudio(scope.studioId, async (em) => {
    const months = await retentionMonths(scope, em);
    return {
      team: await teamOf(scope, em),
      invited: await invitations(scope, em, today),
      audit: role === "lead" ? await listAudit(scope, em, from) : [],
      aside: role === "lead" ? [...(await factsUnread(scope, em)), ...(await factsAside(scope, em))] : [],
      names: await namesOf(scope, em),
      words: await ownWords(scope, em),
      months,
      past: months === null ? [] : await pastRetention(scope, em, months, today),
    };
  });
  const { audit, ...rest } = read;
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <StudioScreen
        {...rest}
        audit={audit.slice(0, AUDIT_PAGE)}
        older={audit[AUDIT_PAGE]?.id ?? null}
        isLatest={from === null}
        studioName={studioName}
        timeZone={timeZone}
        asksForCodes={asksForCodes}
        zones={Intl.supportedValuesOf("timeZone")}
        self={scope.actorId}
        isLead={role === "lead"}
        today={today}
      />
    </>
  );
}
