"use client";
import { useEffect, useRef, useState } from "react";
import { readingsFrom, type ScaleDriver, serialDriver, serialOf } from "./driver";

/** Longer than any set on two scales; the oldest are let go. */
const MOST_READINGS = 3000;
export type ScalesState = "idle" | "listening" | "lost" | "refused";

/** Listens to one driver at a time and reads its lines; stops when the page is left. `parse` is one for good. */
export function useScales<T extends object>(
  parse: (line: string) => T | null,
): {
  state: ScalesState;
  readings: readonly (T & { atS: number })[];
  /** What is read is pretended: for trying and showing, never kept as measured. */
  isStandIn: boolean;
  /** A cable was asked for, and this browser reads none. */
  lacksCable: boolean;
  connect: () => void;
  pretend: (standIn: ScaleDriver) => void;
  stop: () => void;
} {
  const [state, setState] = useState<ScalesState>("idle");
  const [readings, setReadings] = useState<readonly (T & { atS: number })[]>([]);
  const [isStandIn, setStandIn] = useState(false);
  const [lacksCable, setLacksCable] = useState(false);
  const held = useRef<{ close: () => Promise<void> } | null>(null);
  const letGo = (): void => {
    void held.current?.close().catch(() => undefined);
    held.current = null;
  };
  useEffect(
    () => () => {
      void held.current?.close().catch(() => undefined);
      held.current = null;
    },
    [],
  );
  const listen = (driver: ScaleDriver, isPretended: boolean): void => {
    letGo();
    setStandIn(isPretended);
    setReadings([]);
    const startedMs = performance.now();
    const take = readingsFrom(
      parse,
      (reading) => setReadings((all) => [...all.slice(-MOST_READINGS + 1), reading]),
      () => (performance.now() - startedMs) / 1000,
    );
    driver
      .open(take, () => setState("lost"))
      .then(
        (open) => {
          held.current = open;
          setState("listening");
        },
        () => setState("refused"),
      );
  };
  return {
    state,
    readings,
    isStandIn,
    lacksCable,
    connect: () => {
      const serial = serialOf();
      setLacksCable(!serial);
      serial?.requestPort().then(
        (port) => listen(serialDriver(port), false),
        () => undefined, // no port was chosen
      );
    },
    pretend: (standIn) => listen(standIn, true),
    stop: () => {
      letGo();
      setState("idle");
    },
  };
}
