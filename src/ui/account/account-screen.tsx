"use client";
import { useState, useTransition } from "react";
import { Form } from "react-aria-components";
import { changePasswordAction, type Device, endDeviceAction, goToStudioAction } from "../../actions/account";
import type { Passkey } from "../../actions/second-step";
import { Button } from "../kit/button";
import { TextField } from "../kit/fields";
import { NewPasswordField } from "../kit/new-password-field";
import { Card, Columns, Notice, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { When } from "../kit/studio-clock";
import { deviceText } from "../../words/studio/device";
import { CodesCard } from "./codes-card";
import { PasskeysCard } from "./passkeys-card";

function Devices({ devices }: { devices: readonly Device[] }) {
  const [isEnding, end] = useTransition();
  return (
    <Card aria-label="Devices">
      <Stack>
        <Title>Signed in on</Title>
        {devices.map(({ id, userAgent, lastUsedAt, isThisOne }) => (
          <Row key={id} style={{ justifyContent: "space-between" }}>
            <span>
              <strong>{deviceText(userAgent)}</strong>
              <br />
              <Soft>
                {isThisOne ? (
                  "this device"
                ) : (
                  <>
                    last used <When at={lastUsedAt} />
                  </>
                )}
              </Soft>
            </span>
            {!isThisOne && (
              <Button isDisabled={isEnding} onPress={() => end(() => endDeviceAction(id))}>
                Sign it out
              </Button>
            )}
          </Row>
        ))}
      </Stack>
    </Card>
  );
}

const REFUSED = {
  wrong: "Not changed: the present password is not right, or the new one is shorter than ten characters.",
  "too-many": "Not changed: the present password was wrong five times. Wait a quarter of an hour, or ask a lead of your studio for a link.",
} as const;

function PasswordForm({ isChanged }: { isChanged: boolean }) {
  const [current, setCurrent] = useState("");
  const [next, setNext] = useState("");
  const [refused, setRefused] = useState<keyof typeof REFUSED | null>(null);
  const [isChanging, change] = useTransition();
  return (
    <Card aria-label="Password">
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          change(async () => setRefused(await changePasswordAction(current, next)));
        }}
      >
        <Stack>
          <Title>Password</Title>
          <TextField
            label="Present password"
            type="password"
            autoComplete="current-password"
            isRequired
            value={current}
            onChange={setCurrent}
          />
          <NewPasswordField
            label="New password"
            hint="At least ten characters. Every other device is signed out."
            value={next}
            onChange={setNext}
          />
          {isChanged && !refused && <Notice role="status">Changed. Every other device is signed out.</Notice>}
          {refused && (
            <Notice $tone="oxide" role="alert">
              {REFUSED[refused]}
            </Notice>
          )}
          <Button type="submit" $tone="primary" isDisabled={isChanging}>
            Change the password
          </Button>
        </Stack>
      </Form>
    </Card>
  );
}

/** Somebody who works in several studios is in one of them at a time on each device. */
function Studios({ here, elsewhere }: { here: string; elsewhere: readonly { studioId: string; studioName: string }[] }) {
  const [isGoing, go] = useTransition();
  return (
    <Card aria-label="Your studios">
      <Stack>
        <Title>Your studios</Title>
        <p>
          <strong>{here}</strong> <Soft>on this device</Soft>
        </p>
        {elsewhere.map(({ studioId, studioName }) => (
          <Row key={studioId} style={{ justifyContent: "space-between" }}>
            <span>{studioName}</span>
            <Button isDisabled={isGoing} onPress={() => go(() => goToStudioAction(studioId))}>
              Go there
            </Button>
          </Row>
        ))}
      </Stack>
    </Card>
  );
}

/** Who is signed in, where, and what lets them in. */
export function AccountScreen(props: {
  trainerName: string;
  studioName: string;
  elsewhere: readonly { studioId: string; studioName: string }[];
  devices: readonly Device[];
  passkeys: readonly Passkey[];
  passkeysAreHere: boolean;
  hasCodes: boolean;
  asksForCodes: boolean;
  mustTurnCodesOn: boolean;
  /** The password was changed just now. */
  isChanged: boolean;
}) {
  const { trainerName, studioName, elsewhere, devices, passkeys, passkeysAreHere, hasCodes, asksForCodes, mustTurnCodesOn, isChanged } =
    props;
  return (
    <Page>
      <div style={{ marginBottom: 12 }}>
        <h1 style={{ fontSize: 26 }}>{trainerName}</h1>
        <Soft>{studioName}</Soft>
      </div>
      {mustTurnCodesOn && (
        <Notice as="div" role="status" style={{ marginBottom: 12 }}>
          {studioName} asks everybody for a code at sign-in. Turn yours on, and everything else is open again; what this tablet has kept
          waits for it.
        </Notice>
      )}
      <Columns $template="1fr 1fr">
        <Stack>
          {elsewhere.length > 0 && <Studios here={studioName} elsewhere={elsewhere} />}
          <CodesCard hasCodes={hasCodes} asksForCodes={asksForCodes} />
          <PasskeysCard passkeys={passkeys} areHere={passkeysAreHere} />
        </Stack>
        <Stack>
          <Devices devices={devices} />
          <PasswordForm key={devices.find(({ isThisOne }) => isThisOne)?.id} isChanged={isChanged} />
        </Stack>
      </Columns>
    </Page>
  );
}
