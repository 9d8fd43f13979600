"use client";
import { Button } from "../../kit/button";
import { Row, Stack } from "../../kit/layout";
import { Ask } from "../../kit/why";
import type { FloorItem, FloorSession } from "./floor-session";

/** The weak side goes first: the other one is asked about, and may go first all the same. */
export function WeakFirst(props: { session: FloorSession; weak: FloorItem; asked: (() => void) | null; onClose: () => void }) {
  const { session, weak, asked, onClose } = props;
  return (
    <Ask title={`The ${weak.side} comes first`} isOpen={asked !== null} onClose={onClose}>
      <Stack>
        <p>
          The {weak.side} is the weaker side and still has sets to do. This is the {session.item.side}.
        </p>
        <Row>
          <Button
            $tone="primary"
            onPress={() => {
              session.pick(weak.itemId);
              onClose();
            }}
          >
            Go to the {weak.side}
          </Button>
          <Button
            onPress={() => {
              asked?.();
              onClose();
            }}
          >
            The {session.item.side} all the same
          </Button>
        </Row>
      </Stack>
    </Ask>
  );
}
