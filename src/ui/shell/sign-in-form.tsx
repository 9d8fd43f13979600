"use client";
import { useEffect, useRef } from "react";
import styled from "styled-components";
import { signInAction, signInByCodeAction } from "../../actions/account";
import { signInByPasskeyAction } from "../../actions/second-step";
import { leaveTablet } from "../../outbox/floor/floor-outbox";
import { color, font } from "../theme/tokens";
import { forgetPages } from "./keep-offline";
import { SignInFields } from "./sign-in-fields";

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
const WAYS = { password: signInAction, code: signInByCodeAction, passkey: signInByPasskeyAction };

export function SignInForm({ passkeysAreHere }: { passkeysAreHere: boolean }) {
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
        {/* what the last person left is locked before the next one is let in */}
        <SignInFields ways={WAYS} passkeysAreHere={passkeysAreHere} before={async () => left.current} />
      </Box>
    </Screen>
  );
}
