"use client";
import { Button } from "../kit/button";
import type { ScaleDriver } from "./driver";
import type { useScales } from "./use-scales";

/** Where weights come from: a cable, or a stand-in that pretends; and an end to it. */
export function ScaleButtons({
  scales: { state, connect, pretend, stop },
  cable,
  standIn,
}: {
  scales: Pick<ReturnType<typeof useScales>, "state" | "connect" | "pretend" | "stop">;
  cable: string;
  standIn: () => ScaleDriver;
}) {
  if (state === "listening") return <Button onPress={stop}>Stop listening</Button>;
  return (
    <>
      <Button $tone="primary" onPress={connect}>
        {cable}
      </Button>
      <Button onPress={() => pretend(standIn())}>Try it with the stand-in</Button>
    </>
  );
}
