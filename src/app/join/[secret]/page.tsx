import { getOrm } from "../../../data/orm";
import { invitationBehind } from "../../../data/repos/team.repo";
import { JoinForm } from "../../../ui/studio/join-form";
import { MessageScreen } from "../../../ui/shell/message-screen";

/** Where an invitation leads: once, and to its own studio. */
export default async function JoinPage({ params }: { params: Promise<{ secret: string }> }) {
  const { secret } = await params;
  const invited = /^[A-Za-z0-9_-]{43}$/.test(secret) ? await invitationBehind((await getOrm()).em.fork(), secret) : null;
  if (!invited)
    return (
      <MessageScreen title="This invitation has ended">
        It was used, withdrawn, or its day is over. Ask the studio for a new one.
      </MessageScreen>
    );
  return <JoinForm secret={secret} invited={invited} />;
}
