"use client";
import { useEffect, useRef, useState, useTransition } from "react";
import { Form } from "react-aria-components";
import styled from "styled-components";
import { signInAction, type SignInProblem } from "../../actions/account";
import { Button } from "../kit/button";
import { TextField } from "../kit/fields";
import { Notice } from "../kit/layout";
import { leaveTablet } from "../outbox/outbox";
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
  wrong: "That e-mail and password do not go together.",
  "too-many": "Too many wrong attempts, for this e-mail or from this network. Wait a quarter of an hour and try again.",
};

export function SignInForm() {
  const [email, setEmail] = useState("");
  const [password, setPassword] = useState("");
  const [problem, setProblem] = useState<SignInProblem | null>(null);
  const [isSending, send] = useTransition();
  const left = useRef<Promise<unknown>>(null);
  useEffect(() => {
    left.current = Promise.allSettled([leaveTablet(), forgetPages()]);
  }, []);
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
            send(async () => {
              await left.current; // what the last person left is locked before the next one is let in
              setProblem(await signInAction(email, password));
            });
          }}
        >
          <TextField label="E-mail" type="email" autoComplete="username" isRequired value={email} onChange={setEmail} />
          <TextField label="Password" type="password" autoComplete="current-password" isRequired value={password} onChange={setPassword} />
          {problem && (
            <Notice $tone="oxide" role="alert">
              {PROBLEMS[problem]}
            </Notice>
          )}
          <Button type="submit" $tone="primary" isDisabled={isSending}>
            Sign in
          </Button>
        </Form>
        <p>Forgotten the password? A lead of your studio makes you a link, under Studio.</p>
      </Box>
    </Screen>
  );
}
