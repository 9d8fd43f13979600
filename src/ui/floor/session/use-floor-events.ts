"use client";
import { useCallback, useEffect, useRef, useState } from "react";
import { type FloorEvent, type FloorEventBody, floorState, type FloorState } from "../../../core/floor/events";
import { steadyMs } from "../../../outbox/clock";
import type { Owner } from "../../../outbox/floor/event-store";
import { useOutbox } from "../../outbox/use-outbox";

const LOOK_EVERY_MS = 1500;
const PATIENCE_MS = 15_000;

export interface FloorLog {
  state: FloorState;
  /** True once what this tablet holds has been read. */
  isReady: boolean;
  append: (body: FloorEventBody) => FloorEvent;
  /** The state with everything appended so far, for handlers that run before the next render. */
  latest: () => FloorState;
}

const isReceived = ({ receipt }: FloorEvent): boolean => receipt !== undefined;
const lastReceipt = (events: readonly FloorEvent[]): number => Math.max(0, ...events.map(({ receipt }) => receipt ?? 0));

/** One of each id; what the studio received has its place, what was tapped here keeps its own time. */
function merged(now: readonly FloorEvent[], more: readonly FloorEvent[]): FloorEvent[] {
  const all = new Map(now.map((event) => [event.id, event]));
  for (const event of more) {
    const known = all.get(event.id);
    if (!known) all.set(event.id, event);
    else if (!isReceived(known) && event.receipt !== undefined) all.set(event.id, { ...known, receipt: event.receipt });
  }
  return [...all.values()];
}

/** What the studio received of a session after a receipt, its times moved to this tablet's clock; null when it does not answer. */
async function look(sessionId: string, after: number): Promise<FloorEvent[] | null> {
  try {
    const options = { cache: "no-store", redirect: "manual", signal: AbortSignal.timeout(PATIENCE_MS) } as const;
    const response = await fetch(`/api/floor/${sessionId}?after=${after}`, options);
    if (response.status !== 200) return null;
    const { events, now } = (await response.json()) as { events: FloorEvent[]; now: string };
    const aheadMs = steadyMs() - Date.parse(now);
    return events.map((event) => ({ ...event, occurredAt: new Date(Date.parse(event.occurredAt) + aheadMs).toISOString() }));
  } catch {
    return null;
  }
}

/**
 * The session as this tablet knows it: what the studio received from anyone, looked at again and again, and what was
 * tapped here. Appending changes the screen at once; what it adds up to is always the same pure function of the events.
 */
export function useFloorEvents(sessionId: string, known: readonly FloorEvent[], owner: Owner): FloorLog {
  const { outbox, state: kept } = useOutbox(owner);
  const [events, setEvents] = useState<readonly FloorEvent[]>(known);
  const [isRead, setRead] = useState(false);
  const all = useRef<readonly FloorEvent[]>(known);

  const take = useCallback((more: readonly FloorEvent[]) => {
    if (more.length === 0) return;
    all.current = merged(all.current, more);
    setEvents(all.current);
  }, []);
  useEffect(() => {
    if (!kept.isReady || !outbox) return;
    let isCurrent = true;
    void outbox.eventsOf(sessionId).then((own) => {
      if (!isCurrent) return;
      take(own);
      setRead(true);
    });
    return () => {
      isCurrent = false;
    };
  }, [outbox, kept.isReady, sessionId, take]);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isCurrent = true;
    const again = async (): Promise<void> => {
      if (document.visibilityState === "visible" && navigator.onLine) take((await look(sessionId, lastReceipt(all.current))) ?? []);
      if (isCurrent) timer = setTimeout(() => void again(), LOOK_EVERY_MS);
    };
    timer = setTimeout(() => void again(), LOOK_EVERY_MS);
    return () => {
      isCurrent = false;
      clearTimeout(timer);
    };
  }, [sessionId, take]);

  const append = (body: FloorEventBody): FloorEvent => {
    if (!outbox) throw new Error("nothing is tapped before the page is there");
    const event = outbox.append(sessionId, body);
    take([event]);
    return event;
  };
  return { state: floorState(events), isReady: kept.isReady && isRead, append, latest: () => floorState(all.current) };
}
