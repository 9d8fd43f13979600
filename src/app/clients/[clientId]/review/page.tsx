import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { reviewRows } from "../../../../ui/review/review-rows";
import { ReviewScreen } from "../../../../ui/review/review-screen";

export default async function ReviewPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  return <ReviewScreen {...reviewRows(record)} decisions={record.decisions} limits={record.limits} units={unitSystem} />;
}
