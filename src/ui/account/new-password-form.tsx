"use client";
import { useState, useTransition } from "react";
import { Form } from "react-aria-components";
import { choosePasswordAction } from "../../actions/team";
import { Button } from "../kit/button";
import { NewPasswordField } from "../kit/new-password-field";
import { Card, Notice, Page, Stack } from "../kit/layout";
import { Link } from "../kit/link";

const PROBLEMS = {
  ended: "This link has been used, or its day is over. Ask a lead of your studio for a new one.",
  "bad-input": "A password of at least ten characters is needed.",
} as const;

/** A forgotten password is not found again: another one is chosen. */
export function NewPasswordForm({ secret, email }: { secret: string; email: string }) {
  const [password, setPassword] = useState("");
  const [said, setSaid] = useState<keyof typeof PROBLEMS | "done" | null>(null);
  const [isChoosing, choose] = useTransition();
  return (
    <Page>
      <Card style={{ maxWidth: 520, margin: "40px auto" }} aria-label="Choose one">
        {said === "done" ? (
          <Stack>
            <h1 style={{ fontSize: 26 }}>Changed</h1>
            <p>
              Every device was signed out. <Link href="/sign-in">Sign in</Link> with {email} and the new password.
            </p>
          </Stack>
        ) : (
          <Form
            onSubmit={(event) => {
              event.preventDefault();
              choose(async () => setSaid((await choosePasswordAction({ secret, password })) ?? "done"));
            }}
          >
            <Stack>
              <h1 style={{ fontSize: 26 }}>A new password</h1>
              <p>For {email}. Every device that is signed in now is signed out.</p>
              <input type="text" name="username" autoComplete="username" value={email} readOnly hidden />
              <NewPasswordField
                label="New password"
                hint="At least ten characters, known to you alone"
                value={password}
                onChange={setPassword}
              />
              {said && (
                <Notice $tone="oxide" role="alert">
                  {PROBLEMS[said]}
                </Notice>
              )}
              <Button type="submit" $tone="primary" isDisabled={isChoosing}>
                Keep this password
              </Button>
            </Stack>
          </Form>
        )}
      </Card>
    </Page>
  );
}
