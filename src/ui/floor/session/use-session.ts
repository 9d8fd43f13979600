"use client";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { FootShare } from "../../../core/floor/told";
import { v4 as newUuid } from "uuid";
import { variationById } from "../../../core/catalogue/catalogue";
import { dropCount, settingOfSet } from "../../../core/dose/dose";
import type { Dose } from "../../../core/catalogue/variation";
import type { FitContext } from "../../../core/judge/context";
import { type Stepped, easeOnce } from "../../../core/progressions/step";
import {
  type AddedItem,
  doseLeft,
  type FloorEvent,
  type FloorSet,
  type FloorState,
  type MovedBy,
  placeNow,
  type SetEnd,
  unansweredSet,
} from "../../../core/floor/events";
import { comesFirst, nextItem, type OrderedItem, orderedBy, restAfterS, turnsOf } from "../../../core/floor/order";
import type { Side } from "../../../core/mechanics/channels";
import type { Owner } from "../../../outbox/floor/event-store";
import type { FloorItem, FloorPlan, FloorSession } from "./floor-session";
import { useFloorEvents } from "./use-floor-events";
import { useTempo } from "../tempo/use-tempo";

/** From here on a fault is one of the set's last third: strength or fatigue. Source: handbook F, views. */
const LATE_FROM = 2 / 3;

/** The items as their order asks of them: fewer sets where one was eased by a set. */
const orderOf = (items: readonly FloorItem[], moves: FloorState["moves"]): OrderedItem[] =>
  items.map((item) => {
    const { setCount } = placeNow({ ...item, setCount: item.dose.setCount }, item.itemId, moves);
    return { itemId: item.itemId, setCount, restS: item.dose.restS, inTurn: item.inTurn, dropCount: dropCount({ ...item.dose, setCount }) };
  });

/** Those planned and those added on the floor, in the order of the day. */
const itemsNow = (planned: readonly FloorItem[], added: readonly AddedItem[], ordered: FloorState["ordered"]): FloorItem[] =>
  orderedBy(
    [
      ...planned,
      ...added
        .filter(({ itemId }) => !planned.some((each) => each.itemId === itemId))
        .map(({ itemId, place, side, dose }): FloorItem => ({ itemId, ...place, side, dose, part: null, inTurn: false })),
    ],
    ordered,
  );

const onLeg = (context: FitContext, leadSide: Side): FitContext => ({ ...context, subject: { ...context.subject, leadSide } });
const useOnLeg = (context: FitContext, leadSide: Side): FitContext => useMemo(() => onLeg(context, leadSide), [context, leadSide]);

/** One session on the floor: every tap becomes an event, and everything shown is what the events add up to. */
export function useSession(
  plan: FloorPlan,
  given: FitContext,
  told: { known: readonly FloorEvent[]; owner: Owner },
  options: { isMuted: boolean; limitScore: number; weakSide: Side | "both" | null },
): FloorSession {
  const { sessionId } = plan;
  const log = useFloorEvents(sessionId, told.known, told.owner);
  const { state, append, latest } = log;
  const items = useMemo(() => itemsNow(plan.items, state.added, state.ordered), [plan.items, state.added, state.ordered]);
  const [picked, setPicked] = useState<string | null>(null);
  const order = useMemo(() => orderOf(items, state.moves), [items, state.moves]);
  const comesId = useMemo(() => nextItem(order, state)?.itemId ?? null, [order, state]);
  const next = items.find(({ itemId }) => itemId === comesId) ?? null;
  const asking = unansweredSet(state, options.limitScore);
  const inHandId = asking?.itemId ?? picked; // what is answered now is about that exercise, whatever comes next
  const item = items.find(({ itemId }) => itemId === inHandId) ?? next ?? items.at(-1);
  if (!item) throw new RangeError("a session without items");
  const { itemId, side } = item;
  const context = useOnLeg(given, side);
  const now = placeNow({ ...item, setCount: item.dose.setCount }, itemId, state.moves);
  const { setCount, variationId } = now;
  const swapped = state.moves.findLast((move) => move.itemId === itemId && move.dose !== null);
  const isMoved = state.moves.some((move) => move.itemId === itemId);
  const ownDose = swapped?.dose ?? item.dose;
  const sets = state.sets.filter((set) => set.itemId === itemId);
  const dose = useMemo(() => ({ ...doseLeft(ownDose, sets.length, isMoved), setCount }), [ownDose, sets.length, isMoved, setCount]);
  const setting = useMemo(() => dose.mixed?.setting ?? settingOfSet(dose, now.setting, sets.length), [dose, now.setting, sets.length]);
  const rung = useMemo(() => ({ variationId, setting: now.setting }), [variationId, now.setting]);
  const place = useMemo(() => ({ variationId, setting }), [variationId, setting]);
  const variation = variationById(variationId);
  const tempo = useTempo(sessionId, itemId, dose, variation.startsBy, options.isMuted);
  const [seen, setSeen] = useState<readonly string[]>([]);
  const [late, setLate] = useState<readonly string[]>([]);
  const [isWaiting, setWaiting] = useState(false);
  const [more, setMore] = useState<{ itemId: string; setCount: number } | null>(null);
  const easing = useMemo(() => easeOnce(context, rung, dose), [context, rung, dose]);
  const [chosenId, choose] = useState<string | null>(null);
  const lastSet = sets.find(({ id }) => id === chosenId) ?? sets.at(-1);
  const isStopped = state.stoppedItemIds.includes(itemId);
  const isSkipped = state.skippedItemIds.includes(itemId);
  const meant = more?.itemId === itemId ? Math.max(dose.setCount, more.setCount) : dose.setCount;
  const allSetsDone = sets.length >= meant || isStopped || isSkipped;
  const isIdle = tempo.status === "idle";
  const isInTurn = turnsOf(order).some((turn) => turn.length > 1 && turn.some((each) => each.itemId === itemId));
  const isOver = state.endedAt !== null || state.warnings.length > 0;
  const isHeld = isWaiting || allSetsDone || !isIdle || asking !== null || isOver;
  // after a set that asks, nothing counts down until it is answered
  const lastOfAll = state.sets.at(-1);
  const isResting = isIdle && next !== null && lastOfAll && asking === null && !isOver;
  const rest = isResting ? { endedAt: lastOfAll.endedAt, lengthS: restAfterS(order, state) } : null;

  const feet = useRef<(() => FootShare | null) | null>(null);
  const watchFeet = useCallback((read: (() => FootShare | null) | null) => {
    feet.current = read;
  }, []);
  const isSetOpen = useRef(false);
  useEffect(() => {
    isSetOpen.current = !isIdle;
  }, [isIdle]);

  const saveSet = (painScore: number | null, endedBy: SetEnd): void => {
    isSetOpen.current = false; // before any render: a second tap corrects, it does not add
    const { repetitions, workedS } = tempo.read();
    const lateFaults = late.filter((fault) => seen.includes(fault));
    const foot = feet.current?.() ?? null;
    const told = { ...(lateFaults.length > 0 ? { lateFaults } : {}), ...(foot ? { foot } : {}) };
    const said = Object.keys(told).length > 0 ? { told } : {};
    append({ kind: "set-ended", setId: newUuid(), itemId, setting, repetitions, painScore, faults: [...seen], endedBy, workedS, ...said });
    // after its last set an exercise stays in hand, for what is asked then; what goes in turn hands over at once
    setPicked(sets.length + 1 >= setCount || !isInTurn ? itemId : null);
    tempo.clear();
    choose(null);
    setSeen([]);
    setLate([]);
    setWaiting(false);
  };
  const lastOf = (): FloorSet | undefined => {
    const own = latest().sets.filter((set) => set.itemId === itemId);
    return own.find(({ id }) => id === (asking?.id ?? chosenId)) ?? own.at(-1);
  };
  const correct = (change: Extract<FloorEvent["body"], { kind: "set-corrected" }>["change"]): void => {
    const last = lastOf();
    if (last) append({ kind: "set-corrected", setId: last.id, change });
  };
  const appendMove = (of: string, { tread, dose: to }: Stepped, more: { by?: MovedBy; reason?: string; dose?: Dose } = {}): void => {
    const { change, variationId: toId, setting: toSetting } = tread;
    const levers = [...(change?.levers ?? [])];
    append({ kind: "eased", itemId: of, levers, to: { variationId: toId, setting: toSetting }, setCount: to.setCount, ...more });
  };
  const ease = (): void => {
    if (isSetOpen.current) saveSet(null, "pain-tap");
    if (easing) appendMove(itemId, easing);
  };
  const endWith = (endedBy: SetEnd): void => {
    if (isSetOpen.current) saveSet(null, endedBy);
    else correct({ endedBy });
  };

  return {
    sessionId,
    items,
    rung,
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
    rest,
    isHeld,
    isWaiting,
    wait: () => setWaiting(true),
    lastSet,
    allSetsDone,
    oneMore: () => {
      setMore({ itemId, setCount: sets.length + 1 });
      setPicked(itemId);
    },
    comesFirst: comesFirst({ itemId, variationId, side }, items, order, state, options.weakSide),
    isStopped,
    isSkipped,
    asking,
    checkIn: ({ painScore, newSwelling, underRelief, satLong, reason, choice, leftOut, away }) => {
      const said = { ...(underRelief ? { underRelief } : {}), ...(satLong ? { satLong } : {}), ...(reason ? { reason } : {}) };
      append({ kind: "checked-in", painScore, newSwelling, choice, ...said });
      for (const id of leftOut) append({ kind: "item-skipped", itemId: id });
      if (choice === "stop") append({ kind: "session-ended" });
      if (choice === "stop") return;
      for (const each of items) {
        const gap = each.isAwayGiven ? null : away;
        const takesAll = choice === "ease-all" || gap?.step === "rung-lower";
        if (leftOut.includes(each.itemId) || (!takesAll && gap === null)) continue;
        const { itemId: id, variationId: of, setting: at, dose: planned } = each;
        if (!takesAll) {
          const to = { variationId: of, setting: at };
          if (planned.setCount > 1) append({ kind: "eased", itemId: id, levers: [], to, setCount: planned.setCount - 1 });
          continue;
        }
        const own = onLeg(given, each.side);
        const eased = easeOnce(own, each, each.dose);
        if (eased) appendMove(each.itemId, eased);
        else append({ kind: "item-stopped", itemId: each.itemId }); // nothing easier is left: it rests today
      }
    },
    tapPain: (painScore) => {
      if (isSetOpen.current) return saveSet(painScore, "pain-tap");
      const waits = lastSet?.painScore === null && isInTurn && !allSetsDone;
      correct({ painScore });
      if (waits) setPicked(null); // said, it hands over to the one in turn
    },
    watchFeet,
    tell: correct,
    sayMuscle: () => correct({ painKind: "muscle-work" }),
    goOnAfter: () => append({ kind: "went-on", itemId }),
    move: (by, stepped, reason) =>
      appendMove(itemId, stepped, { by, ...(reason ? { reason } : {}), ...(by === "swap" ? { dose: stepped.dose } : {}) }),
    add: (added) => {
      const id = newUuid();
      append({ kind: "item-added", itemId: id, ...added });
      setPicked(id);
    },
    reorder: (by) => {
      const ids = items.map((each) => each.itemId);
      const at = ids.indexOf(itemId);
      const to = at + by;
      if (to < 0 || to >= ids.length) return;
      append({ kind: "items-ordered", itemIds: ids.toSpliced(at, 1).toSpliced(to, 0, itemId) });
      setPicked(itemId);
    },
    compare: (compared) => append({ kind: "compared", itemId, cues: [...compared.cues], lighter: compared.lighter }),
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
      choose(null);
      setPicked(itemId);
    },
    endSet: endWith,
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
      if (isSetOpen.current) {
        setSeen(toggled);
        if (tempo.read().repetitions >= LATE_FROM * dose.repetitionsHigh) setLate((all) => [...all, fault]);
      } else correct({ faults: toggled(lastOf()?.faults ?? []) });
    },
    ease,
    undoEase: () => {
      const last = latest().moves.findLast((each) => each.itemId === itemId);
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
    chooseSet: choose,
    voidLast: () => {
      const last = lastOf();
      if (last) append({ kind: "set-voided", setId: last.id });
      choose(null);
    },
    end: () => append({ kind: "session-ended" }),
    goOn: () => append({ kind: "session-continued" }),
    tellEffort: (effortScore) => append({ kind: "effort-told", effortScore }),
  };
}
