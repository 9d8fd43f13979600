"use client";
import { useMemo, useState } from "react";
import {
  CATALOGUE,
  type DailyTask,
  type DailyUse,
  dailyUses,
  type FitContext,
  type Place,
  type Route,
  type Setting,
  stairToGoal,
  startSetting,
} from "../../core";
import { lengthText, type UnitSystem } from "../text/quantity-text";

const NEXT = "next";

export interface Goal {
  options: { id: string; label: string }[];
  goalId: string;
  setGoalId: (id: string) => void;
  route: Route | null;
  day: readonly DailyUse[];
}

/** Where the stair leads: just the next treads, one of the client's own seats, or another variation of the catalogue. */
export function useGoal(context: FitContext, tasks: readonly DailyTask[], here: Place, units: UnitSystem): Goal {
  const [goalId, setGoalId] = useState(NEXT);
  const { shareFraction } = here.setting;
  const day = useMemo(
    () => dailyUses(context.subject, context.ceilings, tasks, shareFraction),
    [context.subject, context.ceilings, tasks, shareFraction],
  );
  const goals = useMemo(() => {
    const share: Setting = shareFraction === undefined ? {} : { shareFraction };
    const seats = tasks
      .filter(({ kind }) => kind === "seat")
      .map(({ name, heightM }) => ({
        id: `day ${name}`,
        label: `own ${name}, ${lengthText(heightM, units)}`,
        place: { variationId: "plain-chair-sit-to-stand", setting: { seatHeightM: heightM, ...share } },
      }));
    const rows = CATALOGUE.filter(({ id }) => id !== here.variationId).map((variation) => ({
      id: variation.id,
      label: variation.name.toLowerCase(),
      place: { variationId: variation.id, setting: { ...startSetting(variation), ...share } },
    }));
    return [...seats, ...rows];
  }, [tasks, here.variationId, shareFraction, units]);
  const goal = goals.find(({ id }) => id === goalId);
  const route = useMemo(() => (goal ? stairToGoal(context, here, goal.place) : null), [context, here, goal]);
  return { options: [{ id: NEXT, label: "the next treads" }, ...goals], goalId: goal ? goalId : NEXT, setGoalId, route, day };
}
