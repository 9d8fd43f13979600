import { floorState } from "../src/core/floor/events";
import { nextItem, restAfterS } from "../src/core/floor/order";
import { answerTo, proposedCeiling, quantile, toleranceFrom, withinRisk } from "../src/core/limits/tolerance";
import type { FloorInput, ToleranceInput } from "../src/schemas/command-line/floor-input.schema";

/** The learnt curve of one ceiling: what it takes, what a dose at it would answer, and whether it should move. */
export function runTolerance({ ceiling, calibrated, fromDay, today, limit = Infinity, doses }: ToleranceInput): unknown {
  const own = doses.filter(({ day }) => day <= today);
  const belief = toleranceFrom({ calibrated, fromDay }, own, today);
  const [low, middle, high] = [0.1, 0.5, 0.9].map((fraction) => quantile(belief, fraction));
  return {
    takes: { low, middle, high },
    atCeiling: answerTo(belief, ceiling, 24),
    withinRisk: withinRisk(belief),
    proposal: proposedCeiling(ceiling, belief, own, { limitValue: limit, unquiet: null, sinceDay: fromDay }),
  };
}

export function runFloor({ items, events }: FloorInput): unknown {
  const state = floorState(events);
  return { ...state, next: nextItem(items, state)?.itemId ?? null, restS: restAfterS(items, state) };
}
