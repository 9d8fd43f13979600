"use client";
import type { UnitSystem } from "../../core/units";
import { useEffect, useMemo, useState } from "react";
import { variationById, variationsOf } from "../../core/catalogue/catalogue";
import type { DailyTask, FitContext, Place } from "../../core/judge/context";
import { type DailyUse, dailyUses, OWN_DAY } from "../../core/judge/daily";
import type { Route } from "../../core/progressions/stair";
import { rangeOf, startSetting } from "../../core/templates/form";
import type { Setting } from "../../core/templates/lever";
import { lengthText } from "../../words/basics/quantity";
import { askWorker } from "./fit-worker";

const NEXT = "next";

export interface Goal {
  options: { id: string; label: string }[];
  goalId: string;
  setGoalId: (id: string) => void;
  route: Route | null;
  day: readonly DailyUse[];
}

/** Where the stair leads: just the next treads, one of the client's own seats, or another variation of the pattern. */
export function useGoal(context: FitContext, tasks: readonly DailyTask[], here: Place, units: UnitSystem): Goal {
  const [goalId, setGoalId] = useState(NEXT);
  const [route, setRoute] = useState<{ key: object; route: Route } | null>(null);
  const { shareFraction } = here.setting;
  const { pattern } = variationById(here.variationId);
  const share = useMemo((): Setting => (shareFraction === undefined ? {} : { shareFraction }), [shareFraction]);
  const day = useMemo(() => dailyUses(context, tasks, share), [context, tasks, share]);
  const goals = useMemo(() => {
    const { subject } = context;
    const own = tasks.flatMap(({ name, kind, heightM }) => {
      const { pattern: of, rowId, lever } = OWN_DAY[kind];
      const row = variationById(rowId);
      const range = rangeOf(subject, row, lever);
      if (of !== pattern || !range || heightM < range.min || heightM > range.max) return [];
      const setting = { ...startSetting(subject, row), [lever]: heightM, ...share };
      return [{ id: `day ${name}`, label: `own ${name}, ${lengthText(heightM, units)}`, place: { variationId: rowId, setting } }];
    });
    const rows = variationsOf(pattern, context.own)
      .filter(({ id }) => id !== here.variationId)
      .map((variation) => ({
        id: variation.id,
        label: variation.name.toLowerCase(),
        place: { variationId: variation.id, setting: { ...startSetting(subject, variation), ...share } },
      }));
    return [...own, ...rows];
  }, [context, tasks, here.variationId, pattern, share, units]);
  const goal = goals.find(({ id }) => id === goalId);
  const asked = useMemo(() => ({ context, here, goal: goal?.place }), [context, here, goal]);
  useEffect(() => {
    const { goal: to } = asked;
    if (!to) return;
    let isCurrent = true;
    askWorker((work) => work.route(asked.context, asked.here, to)).then(
      (answer) => isCurrent && setRoute({ key: to, route: answer }),
      () => undefined,
    );
    return () => {
      isCurrent = false;
    };
  }, [asked]);
  return {
    options: [{ id: NEXT, label: "the next treads" }, ...goals],
    goalId: goal ? goalId : NEXT,
    setGoalId,
    route: goal && route?.key === goal.place ? route.route : null,
    day,
  };
}
