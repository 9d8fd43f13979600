"use client";
import { useTransition } from "react";
import { devicesAreMineAction } from "../../actions/account";
import { Button } from "../kit/button";
import { Notice, Row } from "../kit/layout";
import { Link } from "../kit/link";
import { When } from "../kit/studio-clock";
import { deviceText } from "../../words/studio/device";

/** A device that signed in for the first time, told on the ones that are known. */
export function NewDeviceNotice({ devices }: { devices: readonly { userAgent: string; firstAt: string }[] }) {
  const [isAnswering, answer] = useTransition();
  if (devices.length === 0) return null;
  return (
    <Notice as="div" role="status" aria-label="A new device" style={{ marginBottom: 12 }}>
      {devices.map(({ userAgent, firstAt }) => (
        <p key={firstAt}>
          Somebody signed in as you on a device not used before: <strong>{deviceText(userAgent)}</strong>, <When at={firstAt} />.
        </p>
      ))}
      <Row>
        <Button isDisabled={isAnswering} onPress={() => answer(() => devicesAreMineAction())}>
          It was me
        </Button>
        <Link href="/account">It was not: sign it out and change the password</Link>
      </Row>
    </Notice>
  );
}
