"use client";
import { lazy, type ReactNode, Suspense, useCallback, useRef, useState } from "react";
import { SignInHere } from "../kit/sign-in-here";

// fetched when somebody was signed out: no page carries it, least of all a client's
const SignInDialog = lazy(() => import("./sign-in-dialog").then((module) => ({ default: module.SignInDialog })));
const never = async (): Promise<boolean> => false;

/** A session that ended while somebody typed: they sign in over the page, and what they typed stands. */
export function SignInOver(props: { personId: string | null; passkeysAreHere: boolean; children: ReactNode }) {
  const { personId, passkeysAreHere, children } = props;
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
  return (
    <SignInHere.Provider value={personId === null ? never : ask}>
      {children}
      {isAsking && personId !== null && (
        <Suspense>
          <SignInDialog personId={personId} passkeysAreHere={passkeysAreHere} onClose={close} />
        </Suspense>
      )}
    </SignInHere.Provider>
  );
}
