import { decisionFor, DEFAULT_KIT, undecidedSessions } from "../../../../core";
import { requireRecord } from "../../../../server/record";
import { requireSignedIn } from "../../../../server/session";
import { MorningScreen } from "../../../../ui/morning/morning-screen";

export default async function MorningPage({ params }: { params: Promise<{ clientId: string }> }) {
  const { clientId } = await params;
  const { today, unitSystem } = await requireSignedIn();
  const record = await requireRecord(clientId);
  const [session] = undecidedSessions(record);
  const response = record.responses.findLast(({ sessionId }) => sessionId === session?.id) ?? null;
  return (
    <MorningScreen
      clientId={clientId}
      waiting={session ? { session, response, deciding: decisionFor(record, session, today, DEFAULT_KIT) } : null}
      limitScore={record.client.painLimitScore}
      today={today}
      limits={record.limits}
      units={unitSystem}
    />
  );
}
