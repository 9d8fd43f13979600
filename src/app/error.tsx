"use client";
import { Button } from "../ui/kit/button";
import { MessageScreen } from "../ui/shell/message-screen";

/** Something broke on our side. Floor entries are safe on the device. */
export default function ErrorPage({ reset }: { error: Error; reset: () => void }) {
  return (
    <MessageScreen title="This did not load">
      <p>The studio&apos;s server or its database did not answer. Sets logged on the floor are safe on this tablet and will be sent.</p>
      <Button $tone="primary" onPress={reset}>
        Try again
      </Button>
    </MessageScreen>
  );
}
