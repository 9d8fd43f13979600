"use client";
import { Button } from "../ui/kit/button";
import { MessageScreen } from "../ui/shell/message-screen";

/** Something broke on our side. Floor entries are safe on the device. */
export default function ErrorPage({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  return (
    <MessageScreen title="This did not load">
      <p>The studio&apos;s server or its database did not answer. Sets logged on the floor are safe on this tablet and will be sent.</p>
      {error.digest && <p>If you ask us about it, say {error.digest}: our log finds it by that, and holds nothing of anybody.</p>}
      <Button $tone="primary" onPress={reset}>
        Try again
      </Button>
    </MessageScreen>
  );
}
