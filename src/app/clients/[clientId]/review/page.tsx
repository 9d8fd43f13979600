import { REVIEW_SESSIONS } from "../../../../data/repos/record.repo";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { decidedOn, keptByHand, reviewPatterns, reviewRows, sessionsToCorrect } from "../../../../ui/review/review-rows";
import { ReviewScreen } from "../../../../ui/review/review-screen";

export default async function ReviewPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId, REVIEW_SESSIONS);
  return (
    <ReviewScreen
      clientId={clientId}
      trends={reviewPatterns(record).map((pattern) => ({ pattern, ...reviewRows(record, pattern) }))}
      decisions={decidedOn(record)}
      kept={keptByHand(record)}
      sessions={sessionsToCorrect(record)}
      complaints={record.complaints}
      limits={record.limits}
      units={unitSystem}
    />
  );
}
