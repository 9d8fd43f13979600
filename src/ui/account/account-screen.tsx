"use client";
import { useState, useTransition } from "react";
import { Form } from "react-aria-components";
import { changePasswordAction, type Device, endDeviceAction } from "../../actions/account";
import { Button } from "../kit/button";
import { TextField } from "../kit/fields";
import { Card, Columns, Notice, Page, Row, Soft, Stack, Title } from "../kit/layout";
import { clockTimeText } from "../text/day-text";
import { deviceText } from "../text/device-text";

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
              <Soft>{isThisOne ? "this device" : `last used ${clockTimeText(lastUsedAt)}`}</Soft>
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

function PasswordForm({ isChanged }: { isChanged: boolean }) {
  const [current, setCurrent] = useState("");
  const [next, setNext] = useState("");
  const [isRefused, setRefused] = useState(false);
  const [isChanging, change] = useTransition();
  return (
    <Card aria-label="Password">
      <Form
        onSubmit={(event) => {
          event.preventDefault();
          change(async () => setRefused(!(await changePasswordAction(current, next))));
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
          <TextField
            label="New password"
            type="password"
            autoComplete="new-password"
            isRequired
            minLength={10}
            maxLength={128}
            value={next}
            onChange={setNext}
            hint="At least ten characters. Every other device is signed out."
          />
          {isChanged && !isRefused && <Notice role="status">Changed. Every other device is signed out.</Notice>}
          {isRefused && (
            <Notice $tone="oxide" role="alert">
              Not changed: the present password is not right, or the new one is shorter than ten characters.
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

/** Who is signed in, where, and by which password. */
export function AccountScreen({
  trainerName,
  studioName,
  devices,
  isChanged,
}: {
  trainerName: string;
  studioName: string;
  devices: readonly Device[];
  /** The password was changed just now. */
  isChanged: boolean;
}) {
  return (
    <Page>
      <div style={{ marginBottom: 12 }}>
        <h1 style={{ fontSize: 26 }}>{trainerName}</h1>
        <Soft>{studioName}</Soft>
      </div>
      <Columns $template="1fr 1fr">
        <Devices devices={devices} />
        <PasswordForm key={devices.find(({ isThisOne }) => isThisOne)?.id} isChanged={isChanged} />
      </Columns>
    </Page>
  );
}
