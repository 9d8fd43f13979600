import type { Gate } from "../../core/screen/screen";
import { Link } from "../kit/link";
import { gateText } from "../../words/client/screen";
import { Notice } from "../kit/layout";
import { MessageScreen } from "../shell/message-screen";

const questionHref = (clientId: string, gate: Gate): string =>
  `/clients/${clientId}/screen${gate.state === "missing" ? `#${gate.missing[0]}` : ""}`;

/** Why no session can be built, and the question that opens it. */
export function GateNotice({ clientId, gate }: { clientId: string; gate: Gate }) {
  if (gate.state === "open") return null;
  const { head, reasons } = gateText(gate);
  return (
    <Notice $tone={gate.state === "stop" ? "oxide" : "brass"}>
      {head} {reasons[0]} <Link href={questionHref(clientId, gate)}>Open it on Screen</Link>
    </Notice>
  );
}

export function GateScreen({ clientId, gate }: { clientId: string; gate: Gate }) {
  const { head, reasons } = gateText(gate);
  return (
    <MessageScreen title={head}>
      <ul>
        {reasons.map((reason) => (
          <li key={reason}>{reason}</li>
        ))}
      </ul>
      <Link href={questionHref(clientId, gate)}>Open it on Screen</Link>
    </MessageScreen>
  );
}
