import type { Metadata } from "next";
import { getOrm } from "../../../data/orm";
import { passwordLinkBehind } from "../../../data/repos/door.repo";
import { MessageScreen } from "../../../ui/shell/message-screen";
import { NewPasswordForm } from "../../../ui/account/new-password-form";

export const metadata: Metadata = { title: "A new password" };

/** Where a link for a forgotten password leads: once, for a day. */
export default async function NewPasswordPage({ params }: { params: Promise<{ secret: string }> }) {
  const { secret } = await params;
  const email = /^[A-Za-z0-9_-]{43}$/.test(secret) ? await passwordLinkBehind((await getOrm()).em.fork(), secret) : null;
  if (!email)
    return (
      <MessageScreen title="This link has ended">It was used, or its day is over. Ask a lead of your studio for a new one.</MessageScreen>
    );
  return <NewPasswordForm secret={secret} email={email} />;
}
