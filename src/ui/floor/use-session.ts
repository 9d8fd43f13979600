"use client";
import { useMemo, useRef, useState, useEffect } from "react";
import { v4 as newUuid } from "uuid";
import { variationById } from "../../core/catalogue/catalogue";
import type { Dose, Variation } from "../../core/catalogue/variation";
import type { FitContext, Place } from "../../core/fit/context";
import { type Stepped, easeOnce } from "../../core/fit/step";
import {
  type CheckInChoice,
  doseLeft,
  type FloorEvent,
  type FloorSet,
  type FloorState,
  placeNow,
  type SetEnd,
  unansweredSet,
} from "../../core/floor/events";
import type { Away } from "../../core/progress/away";
import { nextItem, type OrderedItem, restAfterS, turnsOf } from "../../core/floor/order";
import type { Part } from "../../core/session/session";
import type { WarningSign } from "../../core/limits/clinician";
import type { Side } from "../../core/mechanics/channels";
import type { Owner } from "../outbox/event-store";
import { useAutoStart } from "./use-auto-start";
import { type FloorLog, useFloorEvents } from "./use-floor-events";
import { useRestLeftS } from "./use-rest";
import { type Tempo, useTempo } from "./use-tempo";

export interface FloorItem extends Place {
  itemId: string;
  side: Side;
  dose: Dose;
  part: Part | null;
  /** Its sets go in turn with those of the item after it. */
  inTurn: boolean;
}
export interface FloorPlan {
  sessionId: string;
  isLight: boolean;
  items: readonly FloorItem[];
}

export interface FloorSession {
  log: FloorLog;
  tempo: Tempo;
  item: FloorItem;
  pick: (itemId: string) => void;
  /** Whose set comes after this one's; null when the session is done. */
  next: FloorItem | null;
  goNext: () => void;
  context: FitContext;
  variation: Variation;
  /** The place and the dose now, after any easing. */
  place: Place;
  dose: Dose;
  /** Sets of the item in hand. */
  sets: readonly FloorSet[];
  /** What easing would do next; null where nothing easier is left. */
  easing: Stepped | null;
  /** Faults seen in the set under way, or in the last one during rest. */
  faults: readonly string[];
  restLeftS: number | null;
  /** Seconds of the count before a set that starts by itself. */
  countLeftS: number | null;
  isWaiting: boolean;
  wait: () => void;
  lastSet: FloorSet | undefined;
  allSetsDone: boolean;
  isStopped: boolean;
  /** A set that ended in a way that asks one large question. */
  asking: FloorSet | null;
  checkIn: (told: CheckedIn) => void;
  tapPain: (painScore: number) => void;
  /** A set done without the timer: as it was meant, its pain still to be said. */
  logSet: () => void;
  endSet: (endedBy: Exclude<SetEnd, "warning-sign">) => void;
  warn: (sign: WarningSign) => void;
  correctRepetitions: (by: 1 | -1) => void;
  sayTank: (leftInTank: number) => void;
  toggleFault: (fault: string) => void;
  ease: () => void;
  undoEase: () => void;
  stopItem: () => void;
  /** Left out today, or taken up again. */
  skip: (itemId: string) => void;
  isSkipped: boolean;
  voidLast: () => void;
  end: () => void;
  goOn: () => void;
  tellEffort: (effortScore: number) => void;
}

/** What is said before the first set. */
export interface CheckedIn {
  painScore: number;
  newSwelling: boolean;
  underRelief: boolean;
  choice: CheckInChoice;
  /** Items that the minutes have no room for. */
  leftOut: readonly string[];
  /** What a time without training takes off. */
  away: Away | null;
}

/** Signs that come with how a set ended: they close planning as any other does. */
const SIGN_OF: Partial<Record<SetEnd, WarningSign>> = { spreading: "spreading-pain", belly: "belly-or-pelvic" };

/** The items as their order asks of them: fewer sets where one was eased by a set. */
const orderOf = (items: readonly FloorItem[], eases: FloorState["eases"]): OrderedItem[] =>
  items.map((item) => {
    const { setCount } = placeNow({ ...item, setCount: item.dose.setCount }, item.itemId, eases);
    return { itemId: item.itemId, setCount, restS: item.dose.restS, inTurn: item.inTurn };
  });

const onLeg = (context: FitContext, leadSide: Side): FitContext => ({ ...context, subject: { ...context.subject, leadSide } });
const useOnLeg = (context: FitContext, leadSide: Side): FitContext => useMemo(() => onLeg(context, leadSide), [context, leadSide]);

/** One session on the floor: every tap becomes an event, and everything shown is what the events add up to. */
export function useSession(
  plan: FloorPlan,
  given: FitContext,
  told: { known: readonly FloorEvent[]; owner: Owner },
  options: { isMuted: boolean; isAuto: boolean; limitScore: number },
): FloorSession {
  const { sessionId, items } = plan;
  const log = useFloorEvents(sessionId, told.known, told.owner);
  const { state, append, latest } = log;
  const [picked, setPicked] = useState<string | null>(null);
  const order = useMemo(() => orderOf(items, state.eases), [items, state.eases]);
  const comesId = useMemo(() => nextItem(order, state)?.itemId ?? null, [order, state]);
  const next = items.find(({ itemId }) => itemId === comesId) ?? null;
  const item = items.find(({ itemId }) => itemId === picked) ?? next ?? items.at(-1);
  if (!item) throw new RangeError("a session without items");
  const { itemId, side } = item;
  const context = useOnLeg(given, side);
  const now = placeNow({ ...item, setCount: item.dose.setCount }, itemId, state.eases);
  const { setCount, variationId } = now;
  const isEased = state.eases.some((ease) => ease.itemId === itemId);
  const sets = state.sets.filter((set) => set.itemId === itemId);
  const dose = useMemo(() => ({ ...doseLeft(item.dose, sets.length, isEased), setCount }), [item.dose, sets.length, isEased, setCount]);
  const setting = dose.mixed?.setting ?? now.setting;
  const rung = useMemo(() => ({ variationId, setting: now.setting }), [variationId, now.setting]);
  const place = useMemo(() => ({ variationId, setting }), [variationId, setting]);
  const variation = variationById(variationId);
  const tempo = useTempo(sessionId, itemId, dose, variation.startsBy, options.isMuted);
  const [seen, setSeen] = useState<readonly string[]>([]);
  const [isWaiting, setWaiting] = useState(false);
  const easing = useMemo(() => easeOnce(context, rung, dose), [context, rung, dose]);
  const lastSet = sets.at(-1);
  const isStopped = state.stoppedItemIds.includes(itemId);
  const isSkipped = state.skippedItemIds.includes(itemId);
  const allSetsDone = sets.length >= dose.setCount || isStopped || isSkipped;
  const isIdle = tempo.status === "idle";
  const isInTurn = turnsOf(order).some((turn) => turn.length > 1 && turn.some((each) => each.itemId === itemId));
  const asking = unansweredSet(state, options.limitScore);
  const isOver = state.endedAt !== null || state.warnings.length > 0;
  const isHeld = isWaiting || allSetsDone || !isIdle || asking !== null || isOver;
  // after a set that asks, nothing counts down until it is answered
  const lastOfAll = state.sets.at(-1);
  const isResting = isIdle && next !== null && lastOfAll && asking === null && !isOver;
  const restLeftS = useRestLeftS(isResting ? lastOfAll.endedAt : null, restAfterS(order, state));
  const countLeftS = useAutoStart({ isOn: options.isAuto, restLeftS, isHeld, count: tempo.count, start: () => tempo.start(0) });

  const isSetOpen = useRef(false);
  useEffect(() => {
    isSetOpen.current = !isIdle;
  }, [isIdle]);

  const saveSet = (painScore: number | null, endedBy: SetEnd): void => {
    isSetOpen.current = false; // before any render: a second tap corrects, it does not add
    const { repetitions, workedS } = tempo;
    append({ kind: "set-ended", setId: newUuid(), itemId, setting, repetitions, painScore, faults: [...seen], endedBy, workedS });
    // after its last set an exercise stays in hand, for what is asked then; what goes in turn hands over at once
    setPicked(sets.length + 1 >= setCount || !isInTurn ? itemId : null);
    tempo.clear();
    setSeen([]);
    setWaiting(false);
  };
  const lastOf = (): FloorSet | undefined => latest().sets.findLast((set) => set.itemId === itemId);
  const correct = (change: Extract<FloorEvent["body"], { kind: "set-corrected" }>["change"]): void => {
    const last = lastOf();
    if (last) append({ kind: "set-corrected", setId: last.id, change });
  };
  const appendEase = (of: string, { tread, dose: to }: Stepped): void => {
    const { change, variationId: toId, setting: toSetting } = tread;
    const levers = [...(change?.levers ?? [])];
    append({ kind: "eased", itemId: of, levers, to: { variationId: toId, setting: toSetting }, setCount: to.setCount });
  };
  const ease = (): void => {
    if (isSetOpen.current) saveSet(null, "pain-tap");
    if (easing) appendEase(itemId, easing);
  };
  const endWith = (endedBy: SetEnd): void => {
    if (isSetOpen.current) saveSet(null, endedBy);
    else correct({ endedBy });
  };

  return {
    log,
    tempo,
    item,
    pick: setPicked,
    next: next && next.itemId !== itemId ? next : null,
    goNext: () => setPicked(null),
    context,
    variation,
    place,
    dose,
    sets,
    easing,
    faults: isIdle ? (lastSet?.faults ?? []) : seen,
    restLeftS,
    countLeftS,
    isWaiting,
    wait: () => setWaiting(true),
    lastSet,
    allSetsDone,
    isStopped,
    isSkipped,
    asking,
    checkIn: ({ painScore, newSwelling, underRelief, choice, leftOut, away }) => {
      append({ kind: "checked-in", painScore, newSwelling, choice, ...(underRelief ? { underRelief } : {}) });
      for (const id of leftOut) append({ kind: "item-skipped", itemId: id });
      if (choice === "stop") append({ kind: "session-ended" });
      const takesAll = choice === "ease-all" || away?.step === "rung-lower";
      if (choice === "stop" || (!takesAll && away === null)) return;
      for (const each of items) {
        if (leftOut.includes(each.itemId)) continue;
        const { itemId: id, variationId: of, setting: at, dose: planned } = each;
        if (!takesAll) {
          const to = { variationId: of, setting: at };
          if (planned.setCount > 1) append({ kind: "eased", itemId: id, levers: [], to, setCount: planned.setCount - 1 });
          continue;
        }
        const own = onLeg(given, each.side);
        const eased = easeOnce(own, each, each.dose);
        if (eased) appendEase(each.itemId, eased);
        else append({ kind: "item-stopped", itemId: each.itemId }); // nothing easier is left: it rests today
      }
    },
    tapPain: (painScore) => {
      if (isSetOpen.current) return saveSet(painScore, "pain-tap");
      const waits = lastSet?.painScore === null && isInTurn && !allSetsDone;
      correct({ painScore });
      if (waits) setPicked(null); // said, it hands over to the one in turn
    },
    logSet: () => {
      append({
        kind: "set-ended",
        setId: newUuid(),
        itemId,
        setting,
        repetitions: dose.repetitionsHigh,
        painScore: null,
        faults: [],
        endedBy: "pain-tap",
      });
      setPicked(itemId);
    },
    endSet: (endedBy) => {
      endWith(endedBy);
      const sign = SIGN_OF[endedBy];
      if (sign) append({ kind: "warning-sign", sign });
    },
    warn: (sign) => {
      if (isSetOpen.current || lastOf()) endWith("warning-sign");
      append({ kind: "warning-sign", sign });
    },
    correctRepetitions: (by) => {
      const last = lastOf();
      if (last) correct({ repetitions: Math.max(0, last.repetitions + by) });
    },
    sayTank: (leftInTank) => correct({ leftInTank }),
    toggleFault: (fault) => {
      const toggled = (list: readonly string[]): string[] =>
        list.includes(fault) ? list.filter((other) => other !== fault) : [...list, fault];
      if (isSetOpen.current) setSeen(toggled);
      else correct({ faults: toggled(lastOf()?.faults ?? []) });
    },
    ease,
    undoEase: () => {
      const last = latest().eases.findLast((each) => each.itemId === itemId);
      if (last) append({ kind: "ease-undone", easedEventId: last.eventId });
    },
    stopItem: () => {
      append({ kind: "item-stopped", itemId });
      setPicked(null);
    },
    skip: (id) => {
      append({ kind: state.skippedItemIds.includes(id) ? "item-resumed" : "item-skipped", itemId: id });
      setPicked(null);
    },
    voidLast: () => {
      const last = lastOf();
      if (last) append({ kind: "set-voided", setId: last.id });
    },
    end: () => append({ kind: "session-ended" }),
    goOn: () => append({ kind: "session-continued" }),
    tellEffort: (effortScore) => append({ kind: "effort-told", effortScore }),
  };
}
