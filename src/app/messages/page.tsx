import { readStudio } from "../../data/orm";
import { listMessages } from "../../data/repos/message.repo";
import { requireSignedIn } from "../../server/session";
import { MessagesScreen } from "../../ui/own-page/messages-screen";
import { Header } from "../../ui/shell/header";

export default async function MessagesPage() {
  const { scope, owner, unitSystem } = await requireSignedIn();
  const messages = await readStudio(scope.studioId, (em) => listMessages(scope, em));
  return (
    <>
      <Header units={unitSystem} owner={owner} />
      <MessagesScreen messages={messages} />
    </>
  );
}
