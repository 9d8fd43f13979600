import { dayAfter } from "../../../../core/day";
import { comingBetween } from "../../../../core/week/visit";
import { consentOf } from "../../../../steps/home";
import { readStudio } from "../../../../data/orm";
import { contactOf, listMessages, ownWords } from "../../../../data/repos/message.repo";
import { standingLink } from "../../../../data/repos/private-link.repo";
import { listVisits } from "../../../../data/repos/visit.repo";
import { areYearsGuessed } from "../../../../server/private-door";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { OwnPageScreen } from "../../../../ui/own-page/own-page-screen";
import { longDayText } from "../../../../words/basics/day";

const LINK_DAYS = 90;
const LOOK_AHEAD_DAYS = 60;

export default async function OwnPagePage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { scope, today, trainerName } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const read = await readStudio(scope.studioId, async (em) => ({
    link: await standingLink(scope, em, clientId, "page", today),
    contact: await contactOf(scope, em, clientId),
    consentVersion: await consentOf(scope, em, clientId),
    messages: await listMessages(scope, em, clientId),
    words: await ownWords(scope, em),
    visits: (await listVisits(scope, em)).filter((visit) => visit.clientId === clientId),
  }));
  const { visits, link, ...rest } = read;
  const [next] = comingBetween(visits, today, dayAfter(today, LOOK_AHEAD_DAYS));
  return (
    <OwnPageScreen
      {...rest}
      link={
        link && {
          since: link.since,
          untilDay: link.untilDay,
          asksYear: link.asksYear,
          isGuessedOut: link.asksYear && (await areYearsGuessed(link.linkHash)),
        }
      }
      clientId={clientId}
      studioId={scope.studioId}
      firstName={record.client.name.split(" ")[0] ?? ""}
      trainerName={trainerName}
      hasProgramme={record.trainingPlan !== null}
      trend={record.tasksTold}
      nextVisit={next ? `${longDayText(next.day)} at ${next.at}` : null}
      usualEnd={dayAfter(today, LINK_DAYS)}
    />
  );
}
