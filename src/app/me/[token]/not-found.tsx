import { MessageScreen } from "../../../ui/shell/message-screen";

export default function LinkEnded() {
  return (
    <MessageScreen title="This link has ended">Ask your trainer for a new one. In an emergency call the emergency services.</MessageScreen>
  );
}
