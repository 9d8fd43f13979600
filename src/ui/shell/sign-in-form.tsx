"use client";
import { useEffect, useRef, useState, useTransition } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { startAuthentication } from "@simplewebauthn/browser";
import { signInAction, signInByCodeAction, type SignInProblem } from "../../actions/account";
import { passkeyToShowAction, signInByPasskeyAction } from "../../actions/second-step";
import { Button, TextButton } from "../kit/button";
import { TextField } from "../kit/fields";
import { Notice } from "../kit/layout";
import { leaveTablet } from "../../outbox/floor/floor-outbox";
import { color, font } from "../theme/tokens";
import { forgetPages } from "./keep-offline";

const Screen = styled.main`
  display: grid;
  place-items: center;
  min-height: 100vh;
  padding: 16px;
  background: ${color.marine};
`;
const Box = styled.div`
  display: grid;
  gap: 16px;
  width: min(400px, 100%);
  padding: 28px;
  border-top: 5px solid ${color.brassLight};
  background: ${color.paper};
  form {
    display: grid;
    gap: 14px;
  }
  h1 {
    font: 700 26px ${font.head};
  }
`;
const PROBLEMS: Record<SignInProblem, string> = {
  code: "Now the six digits from your telephone, or a recovery code.",
  "wrong-code": "That code does not fit, or it has been used. Wait for the next one.",
  "code-ended": "That took too long, or too many codes were wrong. Begin again with the password.",
  "no-passkey": "No passkey of this device signs in here.",
  wrong: "That e-mail and password do not go together.",
  "too-many": "Too many wrong attempts, for this e-mail or from this network. Wait a quarter of an hour and try again.",
};

const ASKS_FOR_CODE: readonly (SignInProblem | null)[] = ["code", "wrong-code"];

export function SignInForm({ passkeysAreHere }: { passkeysAreHere: boolean }) {
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const [code, setCode] = useState("");
  const [problem, setProblem] = useState<SignInProblem | null>(null);
  const [isSending, send] = useTransition();
  const left = useRef<Promise<unknown>>(null);
  useEffect(() => {
    left.current = Promise.allSettled([leaveTablet(), forgetPages()]);
  }, []);
  const isCode = ASKS_FOR_CODE.includes(problem);
  const signIn = (by: () => Promise<SignInProblem>): void =>
    send(async () => {
      await left.current; // what the last person left is locked before the next one is let in
      const found = await by();
      setProblem(found);
      setCode("");
    });
  return (
    <Screen>
      <Box>
        <div>
          <h1>Ponderis</h1>
          <p>What this joint is asked, against what it can take.</p>
        </div>
        <Form
          onSubmit={(event) => {
            event.preventDefault();
            signIn(() => (isCode ? signInByCodeAction(code) : signInAction(email, password)));
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
                    return shown ? signInByPasskeyAction(shown) : "no-passkey";
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
      </Box>
    </Screen>
  );
}
