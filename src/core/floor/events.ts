import type { Dose } from "../catalogue/variation";
import type { LeverChange } from "../fit/tread";
import type { Place } from "../fit/context";
import type { Setting } from "../templates/lever";

/** How a set came to its end; anything but a tap on the pain number is no clean set. */
export const SET_ENDS = ["pain-tap", "sharp", "spreading", "belly", "warning-sign"] as const;
export type SetEnd = (typeof SET_ENDS)[number];

/** One set as it was done. What was not said stays null: pain and effort are never assumed. */
export interface PerformedSet {
  repetitions: number;
  painScore: number | null;
  leftInTank: number | null;
  /** Fault ids seen; none means clean. */
  faults: readonly string[];
  endedBy: SetEnd;
}

export type CheckInChoice = "as-planned" | "ease-all" | "stop";

/** What happened on the floor, made on the device first and never changed. The session is what they add up to. */
export type FloorEventBody =
  | {
      kind: "checked-in";
      painScore: number;
      newSwelling: boolean;
      choice: CheckInChoice;
      note?: string;
      /** More pain relief than usual, or an injection within two weeks: what is calm under it proves nothing. */
      underRelief?: boolean;
    }
  | {
      kind: "set-ended";
      setId: string;
      itemId: string;
      setting: Setting;
      repetitions: number;
      painScore: number | null;
      faults: string[];
      endedBy: SetEnd;
      /** Seconds of the set by its timer, where it ran. */
      workedS?: number;
    }
  | {
      kind: "set-corrected";
      setId: string;
      change: { repetitions?: number; painScore?: number; leftInTank?: number; faults?: string[]; endedBy?: SetEnd };
    }
  | { kind: "set-voided"; setId: string }
  /** What the item is from here on: levers moved, another row, or fewer sets. */
  | { kind: "eased"; itemId: string; levers: LeverChange[]; to: Place; setCount: number | null }
  | { kind: "ease-undone"; easedEventId: string }
  /** Closes planning at once; only a clinician's recorded clearance lifts it. */
  | { kind: "warning-sign"; sign: string }
  | { kind: "item-stopped"; itemId: string }
  /** Left out today, for want of time or by choice; it can be taken up again. */
  | { kind: "item-skipped"; itemId: string }
  | { kind: "item-resumed"; itemId: string }
  | { kind: "session-ended" }
  /** How hard the whole session was, 0 to 10; the last word counts. */
  | { kind: "effort-told"; effortScore: number }
  /** Ended too early: the session goes on. */
  | { kind: "session-continued" };

export interface FloorEvent {
  id: string;
  deviceId: string;
  sessionId: string;
  /** The device's own count: what it was told, in the order of the taps. */
  sequence: number;
  /** The studio's count, in the order it received them; none until it has. */
  receipt?: number;
  /** ISO 8601, UTC, from the device's clock. To be read, never to order by: clocks are wrong. */
  occurredAt: string;
  body: FloorEventBody;
}

/** Why the studio did not take an event. It is kept on the device, and may be sent again once the cause is gone. */
export type EventRefusal = "bad-input" | "unknown-session" | "unknown-item" | "id-elsewhere";
/** What the studio says to a batch: every id is in one of the two, or was not reached. */
export interface Verdict {
  received: string[];
  refused: { id: string; code: EventRefusal }[];
}

export interface FloorSet extends PerformedSet {
  id: string;
  itemId: string;
  setting: Setting;
  endedAt: string;
  workedS: number | null;
  /** Its place among the events of the session. */
  order: number;
}
export interface FloorEase {
  eventId: string;
  order: number;
  itemId: string;
  levers: readonly LeverChange[];
  to: Place;
  setCount: number | null;
}

export interface FloorState {
  checkIn: { painScore: number; newSwelling: boolean; choice: CheckInChoice; underRelief: boolean } | null;
  sets: FloorSet[];
  /** Eases in force, oldest first. */
  eases: FloorEase[];
  stoppedItemIds: string[];
  skippedItemIds: string[];
  warnings: { eventId: string; sign: string; at: string }[];
  endedAt: string | null;
  effortScore: number | null;
}

/** One of each id, in order: as the studio received them, then what only this device knows, as it was tapped. */
export function inOrder(events: readonly FloorEvent[]): FloorEvent[] {
  const unique = new Map<string, FloorEvent>();
  for (const event of events) if (unique.get(event.id)?.receipt === undefined) unique.set(event.id, event);
  return [...unique.values()].sort(
    (a, b) => (a.receipt ?? Infinity) - (b.receipt ?? Infinity) || a.sequence - b.sequence || a.id.localeCompare(b.id),
  );
}

/**
 * A session from its events, whatever order and however often they arrived. No clock orders them: see `inOrder`. A set
 * is there before its corrections; one that is voided stays voided; a warning sign is never taken back.
 */
export function floorState(events: readonly FloorEvent[]): FloorState {
  const ordered = inOrder(events);
  const sets = new Map<string, FloorSet>();
  const voided = new Set<string>();
  const undone = new Set(ordered.flatMap(({ body }) => (body.kind === "ease-undone" ? [body.easedEventId] : [])));
  const state: Omit<FloorState, "sets"> = {
    checkIn: null,
    eases: [],
    stoppedItemIds: [],
    skippedItemIds: [],
    warnings: [],
    endedAt: null,
    effortScore: null,
  };
  ordered.forEach(({ occurredAt, body }, order) => {
    if (body.kind !== "set-ended") return;
    const { setId, itemId, setting, repetitions, painScore, faults, endedBy, workedS = null } = body;
    const set = {
      id: setId,
      itemId,
      setting,
      repetitions,
      painScore,
      leftInTank: null,
      faults,
      endedBy,
      endedAt: occurredAt,
      order,
      workedS,
    };
    sets.set(setId, set);
  });
  for (const [order, { id, occurredAt, body }] of ordered.entries()) {
    switch (body.kind) {
      case "set-ended":
      case "ease-undone":
        break; // read above
      case "checked-in": {
        const { painScore, newSwelling, choice, underRelief = false } = body;
        state.checkIn = { painScore, newSwelling, choice, underRelief };
        break;
      }
      case "set-corrected": {
        const set = sets.get(body.setId);
        // a set that a warning sign ended is never made clean again
        const { endedBy, ...change } = body.change;
        const isFinal = set?.endedBy === "warning-sign" || endedBy === undefined;
        if (set) sets.set(body.setId, { ...set, ...change, ...(isFinal ? {} : { endedBy }) });
        break;
      }
      case "set-voided":
        voided.add(body.setId);
        break;
      case "eased":
        if (!undone.has(id))
          state.eases.push({ eventId: id, order, itemId: body.itemId, levers: body.levers, to: body.to, setCount: body.setCount });
        break;
      case "warning-sign":
        state.warnings.push({ eventId: id, sign: body.sign, at: occurredAt });
        break;
      case "item-stopped":
        state.stoppedItemIds.push(body.itemId);
        break;
      case "item-skipped":
      case "item-resumed":
        state.skippedItemIds = state.skippedItemIds.filter((itemId) => itemId !== body.itemId);
        if (body.kind === "item-skipped") state.skippedItemIds.push(body.itemId);
        break;
      case "session-ended":
        state.endedAt = occurredAt;
        break;
      case "session-continued":
        state.endedAt = null;
        break;
      case "effort-told":
        state.effortScore = body.effortScore;
    }
  }
  return { ...state, sets: [...sets.values()].filter((set) => !voided.has(set.id)) };
}

/** What an item is at now: as planned, or as it was last eased. */
export function placeNow(planned: Place & { setCount: number }, itemId: string, eases: FloorState["eases"]): Place & { setCount: number } {
  const own = eases.filter((ease) => ease.itemId === itemId);
  const fewest = own.reduce((least, { setCount }) => Math.min(least, setCount ?? least), planned.setCount);
  return { ...(own.at(-1)?.to ?? planned), setCount: fewest };
}

/** What is left of a mixed dose: the harder sets come first, and none is left once something was eased. */
export function doseLeft({ mixed, ...dose }: Dose, setsDone: number, isEased: boolean): Dose {
  return mixed && !isEased && setsDone < mixed.setCount ? { ...dose, mixed } : dose;
}

/** Whether a set ended in a way that stops the countdown and asks one large question. */
export const asksAtOnce = (set: Pick<PerformedSet, "endedBy" | "painScore">, limitScore: number): boolean =>
  set.endedBy !== "pain-tap" || (set.painScore !== null && !(set.painScore <= limitScore));

/**
 * The set that the floor has not been answered about: the last one, where it ended in a way that asks, and its item was
 * neither eased nor stopped since.
 */
export function unansweredSet({ sets, eases, stoppedItemIds, endedAt }: FloorState, limitScore: number): FloorSet | null {
  const last = sets.at(-1);
  if (!last || endedAt !== null || !asksAtOnce(last, limitScore)) return null;
  const isEased = eases.some(({ itemId, order }) => itemId === last.itemId && order > last.order);
  return isEased || stoppedItemIds.includes(last.itemId) ? null : last;
}
