"use client";
import { lazy, type ReactNode, Suspense, useCallback, useRef, useState } from "react";
import styled from "styled-components";
import { signInByCodeHereAction, signInHereAction, whoIsHereAction } from "../../actions/account";
import { signInByPasskeyHereAction } from "../../actions/second-step";
import { SignInHere } from "../kit/sign-in-here";
import { Ask } from "../kit/why";

const SignInFields = lazy(() => import("./sign-in-fields").then((module) => ({ default: module.SignInFields })));
const WAYS = { password: signInHereAction, code: signInByCodeHereAction, passkey: signInByPasskeyHereAction };
const Inside = styled.div`
  display: grid;
  gap: 14px;
  form {
    display: grid;
    gap: 14px;
  }
`;

/** A session that ended while somebody typed: they sign in over the page, and what they typed stands. Somebody else begins anew. */
export function SignInOver({
  personId,
  passkeysAreHere,
  children,
}: {
  personId: string | null;
  passkeysAreHere: boolean;
  children: ReactNode;
}) {
  const [isAsking, setAsking] = useState(false);
  const asked = useRef<{ all: Promise<boolean>; answer: (isSame: boolean) => void } | null>(null);
  const ask = useCallback((): Promise<boolean> => {
    if (!asked.current) {
      let answer = (_: boolean): void => undefined;
      const all = new Promise<boolean>((resolve) => (answer = resolve));
      asked.current = { all, answer };
      setAsking(true);
    }
    return asked.current.all;
  }, []);
  const close = (isSame: boolean): void => {
    asked.current?.answer(isSame);
    asked.current = null;
    setAsking(false);
  };
  const onIn = async (): Promise<void> => {
    if ((await whoIsHereAction()) === personId) close(true);
    else window.location.assign("/"); // another person: none of what stands here is theirs
  };
  return (
    <SignInHere.Provider value={personId === null ? never : ask}>
      {children}
      <Ask title="You were signed out" isOpen={isAsking} onClose={() => close(false)}>
        <Inside>
          <p>Sign in again to go on. What you entered stands as it is.</p>
          <Suspense>
            <SignInFields ways={WAYS} passkeysAreHere={passkeysAreHere} onIn={onIn} />
          </Suspense>
        </Inside>
      </Ask>
    </SignInHere.Provider>
  );
}
const never = async (): Promise<boolean> => false;
