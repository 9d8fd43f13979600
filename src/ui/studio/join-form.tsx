"use client";
import { useState, useTransition } from "react";
import { Form } from "react-aria-components";
import { joinAction, type JoinProblem } from "../../actions/team";
import type { Role } from "../../core/studio/team";
import { Button } from "../kit/button";
import { TextField } from "../kit/fields";
import { NewPasswordField } from "../kit/new-password-field";
import { Card, Notice, Page, Stack } from "../kit/layout";
import { Link } from "../kit/link";
import { roleText } from "../../words/studio/team";

const PROBLEMS: Readonly<Record<JoinProblem, string>> = {
  ended: "This invitation has been used or withdrawn. Ask the studio for a new one.",
  "bad-input": "A name, a mail address and a password of at least ten characters are needed.",
  "not-yours":
    "Somebody signs in with this mail address already. If that is you, type the password you have; if not, take another address.",
  "a-member-already": "You are in this team already: sign in.",
  "too-many": "Too many tries with this address. Wait a quarter of an hour.",
};

/** An invited person makes their own sign-in. */
export function JoinForm({
  secret,
  invited,
}: {
  secret: string;
  invited: { studioName: string; name: string; email: string; role: Role };
}) {
  const [name, setName] = useState(invited.name);
  const [email, setEmail] = useState(invited.email);
  const [password, setPassword] = useState("");
  const [said, setSaid] = useState<JoinProblem | "done" | null>(null);
  const [isJoining, join] = useTransition();
  return (
    <Page>
      <Card style={{ maxWidth: 520, margin: "40px auto" }} aria-label="Join">
        {said === "done" ? (
          <Stack>
            <h1 style={{ fontSize: 26 }}>You are in</h1>
            <p>
              Sign in with {email}. <Link href="/sign-in">Sign in</Link>
            </p>
          </Stack>
        ) : (
          <Form
            onSubmit={(event) => {
              event.preventDefault();
              join(async () => setSaid((await joinAction({ secret, name, email, password })) ?? "done"));
            }}
          >
            <Stack>
              <h1 style={{ fontSize: 26 }}>{invited.studioName}</h1>
              <p>You are invited: {roleText(invited.role)}.</p>
              <TextField label="Your name" isRequired maxLength={80} value={name} onChange={setName} autoComplete="name" />
              <TextField label="E-mail" type="email" isRequired value={email} onChange={setEmail} autoComplete="username" />
              <NewPasswordField
                label="Password"
                hint="At least ten characters, known to you alone. If you sign in here already, the password you have."
                value={password}
                onChange={setPassword}
              />
              {said && (
                <Notice $tone="oxide" role="alert">
                  {PROBLEMS[said]}
                </Notice>
              )}
              <Button type="submit" $tone="primary" isDisabled={isJoining}>
                Join
              </Button>
            </Stack>
          </Form>
        )}
      </Card>
    </Page>
  );
}
