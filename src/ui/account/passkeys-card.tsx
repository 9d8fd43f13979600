"use client";
import { startRegistration } from "@simplewebauthn/browser";
import { useState, useTransition } from "react";
import { endPasskeyAction, keepPasskeyAction, type Passkey, type PasskeyToMake, passkeyToMakeAction } from "../../actions/second-step";
import { Button } from "../kit/button";
import { Card, Notice, Row, Soft, Stack, Title } from "../kit/layout";
import { When } from "../kit/studio-clock";
import { ByPassword } from "./by-password";
import { deviceText } from "../../words/studio/device";

const PROBLEMS = {
  old: "You signed in more than a day ago. Sign out and in again, then add it.",
  none: "No passkey was made: this device was not unlocked, has no screen lock, or was told not to.",
} as const;

/** Passkeys: a device that is unlocked signs in, with no password and no code. */
export function PasskeysCard({ passkeys, areHere }: { passkeys: readonly Passkey[]; areHere: boolean }) {
  const [problem, setProblem] = useState<keyof typeof PROBLEMS | null>(null);
  const [isBusy, begin] = useTransition();
  const add = (options: PasskeyToMake | null): void =>
    begin(async () => {
      if (options === null) return setProblem("old");
      const made = await startRegistration({ optionsJSON: options }).catch(() => null);
      setProblem(made && (await keepPasskeyAction(deviceText(navigator.userAgent), made)) ? null : "none");
    });
  return (
    <Card aria-label="Passkeys">
      <Stack>
        <Title>Passkeys</Title>
        <p>With a passkey, unlocking the device by finger, face or number is the whole sign-in.</p>
        {passkeys.map(({ id, name, madeAt }) => (
          <Row key={id} style={{ justifyContent: "space-between" }}>
            <span>
              <strong>{name || "A device"}</strong>
              <br />
              <Soft>
                {madeAt && (
                  <>
                    since <When at={madeAt} />
                  </>
                )}
              </Soft>
            </span>
            <Button isDisabled={isBusy} onPress={() => begin(() => endPasskeyAction(id))}>
              Remove it
            </Button>
          </Row>
        ))}
        {problem && (
          <Notice $tone="oxide" role="alert">
            {PROBLEMS[problem]}
          </Notice>
        )}
        {areHere ? (
          <ByPassword ask={passkeyToMakeAction} words="Add this device" onDone={add} />
        ) : (
          <Soft>Passkeys need a studio whose address is a name; this one is a number.</Soft>
        )}
      </Stack>
    </Card>
  );
}
