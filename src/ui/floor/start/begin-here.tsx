"use client";
import { useSyncExternalStore } from "react";
import type { OpenedItem } from "../../../core/floor/events";
import { Button } from "../../kit/button";
import { Notice, Stack } from "../../kit/layout";
import { dayText } from "../../../words/basics/day";
import type { BeginHere } from "./floor-start";

function watch(onChange: () => void): () => void {
  addEventListener("online", onChange);
  addEventListener("offline", onChange);
  return () => {
    removeEventListener("online", onChange);
    removeEventListener("offline", onChange);
  };
}
const useOnline = (): boolean =>
  useSyncExternalStore(
    watch,
    () => navigator.onLine,
    () => true,
  );

/** Offered where the studio does not answer: the session is begun on this tablet, and sent once there is a connection. */
export function BeginWithout(props: {
  begin: BeginHere;
  items: readonly Omit<OpenedItem, "itemId">[];
  isLight: boolean;
  /** The day of the page, where it is not today's. */
  olderThan: string | null;
  hasFailed: boolean;
}) {
  const { begin, items, isLight, olderThan, hasFailed } = props;
  const isOnline = useOnline();
  if (isOnline && !hasFailed) return null;
  return (
    <Stack $gap={8}>
      {olderThan && (
        <Notice>As the studio knew it on {dayText(olderThan)}. A limit or a warning sign told since, elsewhere, is not here.</Notice>
      )}
      <Button isDisabled={items.length === 0} onPress={() => begin(items, isLight)}>
        Start without a connection
      </Button>
    </Stack>
  );
}
