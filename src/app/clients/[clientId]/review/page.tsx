import { plannedOf } from "../../../../core/record/standing/history";
import { readStudio } from "../../../../data/orm";
import { listSchools } from "../../../../data/repos/client.repo";
import { listPictures } from "../../../../data/repos/picture.repo";
import { itemName } from "../../../../words/basics/item";
import { REVIEW_SESSIONS } from "../../../../data/repos/record.repo";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { decidedOn, keptByHand, reviewPatterns, reviewRows, sessionsToCorrect } from "../../../../ui/review/review-rows";
import { lookingBack } from "../../../../ui/review/looking-back";
import { timeLine } from "../../../../ui/review/time-line";
import { ReviewScreen } from "../../../../ui/review/review-screen";

export default async function ReviewPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { scope, unitSystem, today } = await requireSignedIn();
  const record = await requireRecord(clientId, REVIEW_SESSIONS);
  const [pictures, schools] = await readStudio(
    scope.studioId,
    async (em) => [await listPictures(scope, em, clientId), await listSchools(scope, em, clientId)] as const,
  );
  const nameOf = (of: string): string => {
    const item = record.sessions.flatMap(({ items }) => items).find(({ id }) => id === of);
    const planned = item && plannedOf(record, item);
    return planned ? itemName(planned.rung) : "Another exercise";
  };
  return (
    <ReviewScreen
      clientId={clientId}
      trends={reviewPatterns(record).map((pattern) => ({
        pattern,
        line: timeLine(record, pattern, today, schools),
        ...reviewRows(record, pattern),
      }))}
      decisions={decidedOn(record)}
      kept={keptByHand(record)}
      back={lookingBack(record)}
      sessions={sessionsToCorrect(record)}
      complaints={record.complaints}
      limits={record.limits}
      pictures={pictures.map((picture) => ({ ...picture, name: nameOf(picture.itemId) }))}
      units={unitSystem}
    />
  );
}
