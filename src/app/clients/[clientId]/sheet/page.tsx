import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { Link } from "../../../../ui/kit/link";
import { homeSheet } from "../../../../ui/plan/home-sheet";
import { SheetPage } from "../../../../ui/plan/sheet-page";
import { MessageScreen } from "../../../../ui/shell/message-screen";

interface Props {
  params: Promise<{ clientId: string }>;
  searchParams: Promise<{ print?: string }>;
}

export default async function HomeSheetPage({ params, searchParams }: Props) {
  const [{ clientId }, { print }] = [await params, await searchParams];
  const { today, unitSystem } = await requireSignedIn();
  const sheet = homeSheet(await requireRecord(clientId), today, unitSystem);
  if (!sheet)
    return (
      <MessageScreen title="No plan yet">
        <p>The sheet is made from a plan that was kept.</p>
        <Link href={`/clients/${clientId}/plan`}>Plan a session</Link>
      </MessageScreen>
    );
  return <SheetPage clientId={clientId} sheet={sheet} isLarge={print === "large"} />;
}
