"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import { v4 as newUuid } from "uuid";
import { type FloorEvent, type FloorEventBody, floorState, type FloorState } from "../../core/floor/events";
import { keepEvent, keptEvents, type SendOutcome, sendWaiting, waitingCount } from "./event-store";

const RETRY_MS = [1000, 2000, 4000, 8000, 15_000];
const DEVICE_KEY = "ponderis-device";

function deviceId(): string {
  const known = localStorage.getItem(DEVICE_KEY);
  if (known) return known;
  const made = newUuid();
  localStorage.setItem(DEVICE_KEY, made);
  return made;
}

export interface SaveState {
  /** Kept on this tablet and not yet in the studio. */
  waiting: number;
  outcome: SendOutcome | "sending" | "not-kept";
}

export interface FloorLog {
  state: FloorState;
  saved: SaveState;
  /** True once what this tablet holds has been read. */
  isReady: boolean;
  append: (body: FloorEventBody) => FloorEvent;
  /** The state with everything appended so far, for handlers that run before the next render. */
  latest: () => FloorState;
}

const merged = (a: readonly FloorEvent[], b: readonly FloorEvent[]): FloorEvent[] => [
  ...new Map([...a, ...b].map((event) => [event.id, event])).values(),
];

/** Sends in the background: at once after each event, then again with growing pauses, and when the connection is back. */
function useSender(): { saved: SaveState; wake: () => void; failKeeping: () => void } {
  const [saved, setSaved] = useState<SaveState>({ waiting: 0, outcome: "sending" });
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const isSending = useRef(false);
  const again = useRef(false);
  const wake = useCallback(() => {
    const run = async (attempt: number): Promise<void> => {
      clearTimeout(timer.current);
      if (isSending.current) {
        again.current = true;
        return;
      }
      isSending.current = true;
      again.current = false;
      setSaved({ waiting: await waitingCount(), outcome: "sending" });
      const outcome = await sendWaiting();
      setSaved({ waiting: await waitingCount(), outcome });
      isSending.current = false;
      if (again.current) return run(0);
      if (outcome === "no-connection" || outcome === "signed-out")
        timer.current = setTimeout(() => void run(attempt + 1), RETRY_MS[Math.min(attempt, RETRY_MS.length - 1)]);
    };
    void run(0);
  }, []);
  useEffect(() => {
    wake();
    window.addEventListener("online", wake);
    return () => {
      window.removeEventListener("online", wake);
      clearTimeout(timer.current);
    };
  }, [wake]);
  return { saved, wake, failKeeping: () => setSaved((now) => ({ ...now, outcome: "not-kept" })) };
}

/**
 * The session as this tablet knows it: the server's events and its own, which are kept here first. Appending changes
 * the screen at once; what it adds up to is always the same pure function of the events.
 */
export function useFloorEvents(sessionId: string, known: readonly FloorEvent[]): FloorLog {
  const [events, setEvents] = useState<readonly FloorEvent[]>(known);
  const [isReady, setReady] = useState(false);
  const all = useRef<readonly FloorEvent[]>(known);
  const { saved, wake, failKeeping } = useSender();

  const take = useCallback((more: readonly FloorEvent[]) => {
    all.current = merged(all.current, more);
    setEvents(all.current);
  }, []);
  useEffect(() => {
    let isCurrent = true;
    keptEvents(sessionId)
      .then((kept) => isCurrent && take(kept))
      .catch(() => undefined)
      .finally(() => isCurrent && setReady(true));
    return () => {
      isCurrent = false;
    };
  }, [sessionId, take]);

  const append = (body: FloorEventBody): FloorEvent => {
    const event = { id: newUuid(), deviceId: deviceId(), sessionId, occurredAt: new Date().toISOString(), body };
    take([event]);
    keepEvent(event).then(wake, failKeeping);
    return event;
  };
  return { state: floorState(events), saved, isReady, append, latest: () => floorState(all.current) };
}
