import { Link } from "../ui/kit/link";
import { MessageScreen } from "../ui/shell/message-screen";

export default function NotFound() {
  return (
    <MessageScreen title="Not here">
      <title>Not here · Ponderis</title>
      <p>This page or client is not in your studio. It may have been removed, or the address has a slip in it.</p>
      <Link href="/clients">All clients</Link>
    </MessageScreen>
  );
}
