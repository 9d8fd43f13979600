"use client";
import { useCallback, useEffect, useState } from "react";
import type { Day } from "../../core/day";
import type { FitContext } from "../../core/judge/context";
import { hardAndHold, type SessionAsked } from "../../core/session/build";
import { laidFrom, rulesOf } from "../../core/session/plan";
import type { Scan } from "../../core/session/scan";
import { type SessionItem, waiting, without } from "../../core/session/session";
import { alternating, type Laid, moveMissed, retryDay } from "../../core/week/week";
import type { NewTrainingPlan } from "../../schemas/training-plan.schema";
import { askWorker } from "../fit/fit-worker";

export type Draft = NewTrainingPlan;
/** What a session is built from, out of a draft. */
const askedOf = (draft: Draft, first: SessionAsked): SessionAsked => ({
  minutes: draft.minutes,
  purpose: draft.purpose,
  skeletonId: draft.skeletonId,
  weak: draft.weak,
  weakSide: draft.weakSide,
  planned: first.planned,
  sessionNumber: first.sessionNumber,
  ...(first.stiff ? { stiff: first.stiff } : {}),
});
/** A programme while it is changed: every change can be undone, and nothing leaves the page before it is kept. */
export function usePlan(context: FitContext, first: Draft, asked: SessionAsked, doneDays: readonly Day[]) {
  const [history, setHistory] = useState<readonly Draft[]>([first]);
  const draft = history.at(-1) ?? first;
  const [isBuilding, setBuilding] = useState(false);
  const [isFailed, setFailed] = useState(false);
  const [dropped, setDropped] = useState<readonly SessionItem[]>([]);
  const [scan, setScan] = useState<Scan | null>(null);
  const [said, setSaid] = useState("");
  const change = useCallback(
    (part: Partial<Draft>): void => setHistory((all) => [...all.slice(-50), { ...(all.at(-1) ?? first), ...part }]),
    [first],
  );
  const { items } = draft;
  useEffect(() => {
    let isCurrent = true;
    askWorker((work) => work.scan(context, items)).then(
      (answer) => isCurrent && setScan(answer),
      () => isCurrent && setFailed(true),
    );
    return () => {
      isCurrent = false;
    };
  }, [context, items]);
  const build = (part: Partial<Draft>): void => {
    const next = { ...draft, ...part };
    setBuilding(true);
    askWorker((work) => work.session(context, askedOf(next, asked))).then(
      (built) => {
        setBuilding(false);
        setDropped(built.dropped);
        if (built.items.length === 0) return setSaid("Nothing fits these minutes: give it more, or another skeleton.");
        setSaid("");
        change({ ...part, items: built.items, rounds: built.rounds });
      },
      () => {
        setBuilding(false);
        setFailed(true);
      },
    );
  };
  const move = (missed: Laid, from: Day): void => {
    const coming = draft.laid.filter(({ day }) => !doneDays.includes(day));
    const answer = moveMissed(missed, coming, from, rulesOf(draft, context.school, doneDays));
    if (!answer.ok) return setSaid(`No free day for it within ${answer.within} days: another weekday, or leave it out.`);
    setSaid("");
    change({ laid: alternating(answer.laid, draft.alternates === true) });
  };
  const waitingItems = waiting(items, context.calmRows);
  const aside = draft.setAside ?? [];
  return {
    draft,
    change,
    build,
    move,
    lay: (part: Partial<Draft>, from: Day) => change({ ...part, laid: laidFrom({ ...draft, ...part }, context.school, doneDays, from) }),
    waitingItems,
    openItems: items.filter((item) => !waitingItems.includes(item)),
    setAside: (item: SessionItem, today: Day) =>
      change({ items: without(items, item), setAside: [...aside, { item, backOn: retryDay(today) }] }),
    bringBack: (item: SessionItem) =>
      change({
        items: [...items.filter(({ id }) => id !== item.id), item],
        setAside: aside.filter((each) => each.item !== item),
      }),
    addHardAndHold: () => {
      const pair = hardAndHold(context);
      if (!pair) return setSaid("Nothing of bike, rower or walk, or no hold, is open here today.");
      setSaid("");
      const ids = pair.map(({ id }) => id);
      change({ items: [...items.filter(({ id }) => !ids.includes(id)), ...pair] });
    },
    undo: () => setHistory((all) => (all.length > 1 ? all.slice(0, -1) : all)),
    canUndo: history.length > 1,
    isBuilding,
    isFailed,
    dropped,
    scan,
    said,
  };
}
export type PlanState = ReturnType<typeof usePlan>;
