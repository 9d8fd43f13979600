"use client";
import { useState, useTransition } from "react";
import { Form } from "react-aria-components";
import { type AuthenticationResponseJSON, startAuthentication } from "@simplewebauthn/browser";
import type { SignInProblem } from "../../actions/account";
import { passkeyToShowAction } from "../../actions/second-step";
import { Button, TextButton } from "../kit/button";
import { TextField } from "../kit/fields";
import { Notice } from "../kit/layout";

const PROBLEMS: Record<SignInProblem, string> = {
  code: "Now the six digits from your telephone, or a recovery code.",
  "wrong-code": "That code does not fit, or it has been used. Wait for the next one.",
  "code-ended": "That took too long, or too many codes were wrong. Begin again with the password.",
  "no-passkey": "No passkey of this device signs in here.",
  wrong: "That e-mail and password do not go together.",
  "too-many": "Too many wrong attempts, for this e-mail or from this network. Wait a quarter of an hour and try again.",
};

const ASKS_FOR_CODE: readonly (SignInProblem | null)[] = ["code", "wrong-code"];

/** Ways in; each says why not, or null where it let somebody in and did not lead on by itself. */
export interface WaysIn {
  password: (email: string, password: string) => Promise<SignInProblem | null>;
  code: (code: string) => Promise<SignInProblem | null>;
  passkey: (shown: AuthenticationResponseJSON) => Promise<SignInProblem | null>;
}

/** Who one is, by password and code or by passkey. */
export function SignInFields({
  ways,
  passkeysAreHere,
  before,
  onIn,
}: {
  ways: WaysIn;
  passkeysAreHere: boolean;
  /** What must be over before anybody is let in. */
  before?: () => Promise<unknown>;
  onIn?: () => Promise<void>;
}) {
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const [code, setCode] = useState("");
  const [problem, setProblem] = useState<SignInProblem | null>(null);
  const [isSending, setSending] = useState(false); // a transition's own word waits for that of the step under this dialog
  const [, send] = useTransition();
  const isCode = ASKS_FOR_CODE.includes(problem);
  const signIn = (by: () => Promise<SignInProblem | null>): void => {
    setSending(true);
    send(async () => {
      try {
        await before?.();
        const found = await by();
        setProblem(found);
        setCode("");
        if (found === null) await onIn?.();
      } finally {
        setSending(false);
      }
    });
  };
  return (
    <>
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          event.stopPropagation(); // a form may stand under this one
          signIn(() => (isCode ? ways.code(code) : ways.password(email, password)));
        }}
      >
        {!isCode && (
          <>
            <TextField label="E-mail" type="email" autoComplete="username" isRequired value={email} onChange={setEmail} />
            <TextField
              label="Password"
              type="password"
              autoComplete="current-password"
              isRequired
              value={password}
              onChange={setPassword}
            />
          </>
        )}
        {problem && (
          <Notice $tone={problem === "code" ? "brass" : "oxide"} role="alert">
            {PROBLEMS[problem]}
          </Notice>
        )}
        {isCode && <TextField label="Code" autoComplete="one-time-code" autoFocus isRequired value={code} onChange={setCode} />}
        <Button type="submit" $tone="primary" isDisabled={isSending}>
          Sign in
        </Button>
        {isCode ? (
          <TextButton onPress={() => setProblem(null)}>begin again</TextButton>
        ) : (
          passkeysAreHere && (
            <Button
              isDisabled={isSending}
              onPress={() =>
                signIn(async () => {
                  const shown = await startAuthentication({ optionsJSON: await passkeyToShowAction() }).catch(() => null);
                  return shown ? ways.passkey(shown) : "no-passkey";
                })
              }
            >
              Use a passkey
            </Button>
          )
        )}
      </Form>
      {isCode ? (
        <p>Telephone and recovery codes lost? A lead of your studio ends the codes, under Studio.</p>
      ) : (
        <p>Forgotten the password? A lead of your studio makes you a link, under Studio.</p>
      )}
    </>
  );
}
