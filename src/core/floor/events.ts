import type { Dose } from "../catalogue/variation";
import type { LeverChange } from "../progressions/tread";
import type { Place } from "../judge/context";
import type { Day } from "../day";
import type { WarningSign } from "../limits/clinician";
import type { Side } from "../mechanics/channels";
import type { Part } from "../dose/part";
import type { Setting } from "../templates/lever";
import { type Belly, type PainKind, type Told, UNTOLD } from "./told";

/** How a set came to its end; anything but a tap on the pain number is no clean set. */
export const SET_ENDS = ["pain-tap", "sharp", "spreading", "belly", "joint", "cramp", "form-lost", "warning-sign"] as const;
export type SetEnd = (typeof SET_ENDS)[number];
/**
 * Ends that are a warning by themselves, said or not, taken back or not: it stands until a clinician has cleared it. The
 * database's function `stop_sign` says the same of stored events.
 */
const SIGN_OF_END: Partial<Record<SetEnd, WarningSign>> = {
  spreading: "spreading-pain",
  belly: "belly-or-pelvic",
  "warning-sign": "other-sign",
};
/** Ends after which the same may simply be gone on with: nothing hurt. */
export const HARMLESS_ENDS: readonly SetEnd[] = ["cramp", "form-lost"];

/** One set as it was done. What was not said stays null: pain and effort are never assumed. */
export interface PerformedSet {
  repetitions: number;
  painScore: number | null;
  /** Repetitions that were left; of work by the clock, seconds it could have gone on for. */
  leftInTank: number | null;
  /** Fault ids seen; none means clean. */
  faults: readonly string[];
  endedBy: SetEnd;
  /** Seconds by its timer, where it ran. */
  workedS?: number | null;
  /** What kind of pain it was; null where nobody said. Muscle work is no pain of a joint. */
  painKind?: PainKind | null;
  belly?: Belly | null;
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
      /** Hours of sitting before, a shift or a long drive: joints start stiff. */
      satLong?: boolean;
      /** Why it goes as planned though the rule says otherwise. */
      reason?: string;
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
      told?: Partial<Told>;
    }
  | {
      kind: "set-corrected";
      setId: string;
      change: { repetitions?: number; painScore?: number; leftInTank?: number; faults?: string[]; endedBy?: SetEnd } & Partial<Told>;
    }
  | { kind: "set-voided"; setId: string }
  /** What the item is from here on: levers moved, another row, or fewer sets. Without `by` it was eased. */
  | { kind: "eased"; itemId: string; levers: LeverChange[]; to: Place; setCount: number | null; by?: MovedBy; reason?: string; dose?: Dose }
  | { kind: "ease-undone"; easedEventId: string }
  /** Closes planning at once; only a clinician's recorded clearance lifts it. */
  | { kind: "warning-sign"; sign: string }
  | { kind: "item-stopped"; itemId: string }
  /** A set that asked and hurt nothing is gone on after. */
  | { kind: "went-on"; itemId: string }
  /** A session begun on a device that had no connection: everything the studio needs to have it too. */
  | { kind: "session-opened"; clientId: string; day: Day; isLight: boolean; items: OpenedItem[] }
  /** One more exercise, made on the floor. */
  | { kind: "item-added"; itemId: string; place: Place; side: Side; dose: Dose; reason?: string }
  /** The items in another order, by hand. */
  | { kind: "items-ordered"; itemIds: string[] }
  /** Two cues, one after the other, and which felt lighter. */
  | { kind: "compared"; itemId: string; cues: [string, string]; lighter: 0 | 1 | null }
  /** Left out today, for want of time or by choice; it can be taken up again. */
  | { kind: "item-skipped"; itemId: string }
  | { kind: "item-resumed"; itemId: string }
  | { kind: "session-ended" }
  /** How hard the whole session was, 0 to 10; the last word counts. */
  | { kind: "effort-told"; effortScore: number }
  /** Ended too early: the session goes on. */
  | { kind: "session-continued" };

/** How an item came to be at another place than planned. */
export const MOVES_BY = ["ease", "build", "set-up", "swap"] as const;
export type MovedBy = (typeof MOVES_BY)[number];

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

export interface FloorSet extends Omit<PerformedSet, keyof Told>, Told {
  id: string;
  itemId: string;
  setting: Setting;
  endedAt: string;
  workedS: number | null;
  /** Its place among the events of the session. */
  order: number;
  /** The place of the event that said how it ended: its own, or the correction that made it one that asks. */
  endedOrder: number;
}
/** One item of a session as its device begins it; the line is its place of the programme, null for what Fit keeps. */
export interface OpenedItem {
  itemId: string;
  place: Place;
  side: Side;
  dose: Dose;
  line: string | null;
  part: Part | null;
  inTurn: boolean;
}
export interface FloorMove {
  eventId: string;
  order: number;
  itemId: string;
  by: MovedBy;
  levers: readonly LeverChange[];
  to: Place;
  setCount: number | null;
  /** The dose there, where the row became another. */
  dose: Dose | null;
  /** Why, where the rules did not propose it. */
  reason: string;
}
export interface AddedItem {
  itemId: string;
  place: Place;
  side: Side;
  dose: Dose;
  /** Why, where what it asks was not measured. */
  reason: string;
}
export interface Comparison {
  itemId: string;
  cues: readonly [string, string];
  lighter: 0 | 1 | null;
}

export interface FloorState {
  checkIn: {
    painScore: number;
    newSwelling: boolean;
    choice: CheckInChoice;
    underRelief: boolean;
    satLong: boolean;
    reason: string;
  } | null;
  sets: FloorSet[];
  /** Changes of place in force, oldest first: eases, and what was moved by hand. */
  moves: FloorMove[];
  added: AddedItem[];
  /** The items as they were put in order by hand; null as planned. */
  ordered: readonly string[] | null;
  compared: Comparison[];
  /** Where somebody went on after a set that asked: the item, and its place among the events. */
  wentOn: { itemId: string; order: number }[];
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
    moves: [],
    added: [],
    ordered: null,
    compared: [],
    wentOn: [],
    stoppedItemIds: [],
    skippedItemIds: [],
    warnings: [],
    endedAt: null,
    effortScore: null,
  };
  ordered.forEach(({ occurredAt, body }, order) => {
    if (body.kind !== "set-ended") return;
    const { setId, itemId, setting, repetitions, painScore, faults, endedBy, workedS = null, told } = body;
    const set = {
      ...UNTOLD,
      ...told,
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
      endedOrder: order,
      workedS,
    };
    sets.set(setId, set);
  });
  for (const [order, { id, occurredAt, body }] of ordered.entries()) {
    switch (body.kind) {
      case "set-ended":
      case "ease-undone":
      case "session-opened":
        break; // read above, or by the studio alone
      case "checked-in": {
        const { painScore, newSwelling, choice, underRelief = false, satLong = false, reason = "" } = body;
        state.checkIn = { painScore, newSwelling, choice, underRelief, satLong, reason };
        break;
      }
      case "set-corrected": {
        const set = sets.get(body.setId);
        // a set that a warning sign ended is never made clean again
        const { endedBy, ...change } = body.change;
        const isFinal = set?.endedBy === "warning-sign" || endedBy === undefined;
        if (set) {
          const now = { ...set, ...change, ...(isFinal ? {} : { endedBy }) };
          const isSaidNow = sharpIfSaid(now).endedBy !== sharpIfSaid(set).endedBy;
          sets.set(body.setId, isSaidNow ? { ...now, endedOrder: order } : now);
        }
        break;
      }
      case "set-voided":
        voided.add(body.setId);
        break;
      case "eased":
        if (!undone.has(id)) {
          const { itemId, levers, to, setCount, by = "ease", reason = "", dose = null } = body;
          state.moves.push({ eventId: id, order, itemId, by, levers, to, setCount, reason, dose });
        }
        break;
      case "went-on":
        state.wentOn.push({ itemId: body.itemId, order });
        break;
      case "item-added":
        if (!state.added.some(({ itemId }) => itemId === body.itemId))
          state.added.push({ itemId: body.itemId, place: body.place, side: body.side, dose: body.dose, reason: body.reason ?? "" });
        break;
      case "items-ordered":
        state.ordered = body.itemIds;
        break;
      case "compared":
        state.compared.push({ itemId: body.itemId, cues: body.cues, lighter: body.lighter });
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
  state.warnings.push(...warnedByEnd(ordered, state.warnings));
  return { ...state, sets: [...sets.values()].filter((set) => !voided.has(set.id)).map(sharpIfSaid) };
}

/** Warnings of how sets ended, where the sign itself was not told in so many words. */
function warnedByEnd(ordered: readonly FloorEvent[], told: FloorState["warnings"]): FloorState["warnings"] {
  const isTold = (sign: WarningSign): boolean => told.some((each) => each.sign === sign || sign === "other-sign");
  return ordered.flatMap(({ id, occurredAt: at, body }) => {
    const endedBy = body.kind === "set-ended" ? body.endedBy : body.kind === "set-corrected" ? body.change.endedBy : undefined;
    const sign = endedBy && SIGN_OF_END[endedBy];
    return sign && !isTold(sign) ? [{ eventId: id, sign, at }] : [];
  });
}

/** Sharp pain ends a set whatever its number was, even when it is only told afterwards. */
const sharpIfSaid = (set: FloorSet): FloorSet =>
  set.painKind === "sharp" && (set.endedBy === "pain-tap" || HARMLESS_ENDS.includes(set.endedBy)) ? { ...set, endedBy: "sharp" } : set;

/** What an item is at now: as planned, or where it was last moved to. */
export function placeNow(planned: Place & { setCount: number }, itemId: string, moves: FloorState["moves"]): Place & { setCount: number } {
  const own = moves.filter((move) => move.itemId === itemId);
  const fewest = own.reduce((least, { setCount }) => Math.min(least, setCount ?? least), planned.setCount);
  return { ...(own.at(-1)?.to ?? planned), setCount: fewest };
}

/** What is left of a mixed dose: the harder sets come first, and none is left once something was changed. */
export function doseLeft({ mixed, ...dose }: Dose, setsDone: number, isMoved: boolean): Dose {
  return mixed && !isMoved && setsDone < mixed.setCount ? { ...dose, mixed } : dose;
}

/** Whether a set ended in a way that stops the countdown and asks one large question. */
export const asksAtOnce = (set: Pick<PerformedSet, "endedBy" | "painScore" | "painKind">, limitScore: number): boolean =>
  set.endedBy !== "pain-tap" || isOverNumber(set, limitScore);
/** From here on the first answer to pain is to stop this exercise, and two steps are given back. ◊ */
export const STOP_FROM_SCORE = 7;
/** Whether stopping is the first thing offered: sharp or spreading pain, or so much of it. NaN falls on the safe side. */
export const stopsFirst = ({ endedBy, painScore, painKind }: Pick<PerformedSet, "endedBy" | "painScore" | "painKind">): boolean =>
  endedBy === "sharp" || endedBy === "spreading" || (painScore !== null && painKind !== "muscle-work" && !(painScore < STOP_FROM_SCORE));
/** Joint pain over the agreed number; a muscle's work is none. NaN falls on the safe side. */
export const isOverNumber = ({ painScore, painKind }: Pick<PerformedSet, "painScore" | "painKind">, limitScore: number): boolean =>
  painScore !== null && painKind !== "muscle-work" && !(painScore <= limitScore);

/**
 * The last set that the floor has not been answered about: it ended in a way that asks, whenever that was said, and its
 * item was neither eased, swapped nor stopped since; nor gone on with, where nothing hurt.
 */
export function unansweredSet({ sets, moves, wentOn, stoppedItemIds, endedAt }: FloorState, limitScore: number): FloorSet | null {
  if (endedAt !== null) return null;
  const isAnswered = (set: FloorSet): boolean => {
    const isSince = ({ itemId, order }: { itemId: string; order: number }): boolean => itemId === set.itemId && order > set.endedOrder;
    const isEased = moves.some((move) => (move.by === "ease" || move.by === "swap") && isSince(move));
    const isOn = HARMLESS_ENDS.includes(set.endedBy) && !isOverNumber(set, limitScore) && wentOn.some(isSince);
    return isEased || isOn || stoppedItemIds.includes(set.itemId);
  };
  return sets.findLast((set) => asksAtOnce(set, limitScore) && !isAnswered(set)) ?? null;
}
