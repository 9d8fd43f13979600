"use client";
import styled from "styled-components";
import { signInByCodeHereAction, signInHereAction, whoIsHereAction } from "../../actions/account";
import { signInByPasskeyHereAction } from "../../actions/second-step";
import { Ask } from "../kit/why";
import { SignInFields } from "./sign-in-fields";

const WAYS = { password: signInHereAction, code: signInByCodeHereAction, passkey: signInByPasskeyHereAction };
const Inside = styled.div`
  display: grid;
  gap: 14px;
  form {
    display: grid;
    gap: 14px;
  }
`;

/** Signing in over a page. Another person begins anew: none of what stands here is theirs. */
export function SignInDialog(props: { personId: string; passkeysAreHere: boolean; onClose: (isSame: boolean) => void }) {
  const { personId, passkeysAreHere, onClose } = props;
  const onIn = async (): Promise<void> => {
    if ((await whoIsHereAction()) === personId) onClose(true);
    else window.location.assign("/");
  };
  return (
    <Ask title="You were signed out" isOpen onClose={() => onClose(false)}>
      <Inside>
        <p>Sign in again to go on. What you entered is still here.</p>
        <SignInFields ways={WAYS} passkeysAreHere={passkeysAreHere} onIn={onIn} />
      </Inside>
    </Ask>
  );
}
