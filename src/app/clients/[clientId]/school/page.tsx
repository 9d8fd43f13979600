import { fitContextOf } from "../../../../core/record/standing/context";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { SchoolScreen } from "../../../../ui/school/school-screen";

export default async function SchoolPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  return (
    <SchoolScreen
      key={record.school?.id ?? "house"}
      clientId={clientId}
      choice={record.school}
      context={fitContextOf(record, today)}
      units={unitSystem}
    />
  );
}
