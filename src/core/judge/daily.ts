import { ask, WHOLE } from "../templates/ask";
import type { Form } from "../templates/form";
import type { Setting } from "../templates/lever";
import type { DailyTask, FitContext } from "./context";
import { tightest, type Use, usesOf } from "./use";

/** The row and the lever a height of the own day is trained by. */
export const OWN_DAY = {
  seat: { pattern: "squat", rowId: "plain-chair-sit-to-stand", lever: "seatHeightM" },
  step: { pattern: "step", rowId: "vertical-step-up", lever: "stepHeightM" },
} as const;
export const DAILY_LIMITS = { seat: { min: 0.2, max: 0.8 }, step: { min: 0.03, max: 0.45 } } as const;

/** Hands free: a seat by the share of the rise, a step over how hard the lower foot may push. */
const FORMS = {
  seat: {
    template: "two-feet",
    parameters: { depth: "seat", hands: "forward" },
    levers: [
      { lever: "seatHeightM", min: 0.2, max: 0.8, start: 0.45 },
      { lever: "shareFraction", min: 0.2, max: 0.8, start: 0.5 },
    ],
  },
  step: { template: "step", parameters: { direction: "up" }, levers: [{ lever: "stepHeightM", min: 0.03, max: 0.45, start: 0.17 }] },
} as const satisfies Record<DailyTask["kind"], Form>;

/** A task and how near it comes to the tightest ceiling; null where this body cannot do it, or nothing limits it. */
export interface DailyUse {
  task: DailyTask;
  use: Use | null;
}

/** The client's own day against the ceilings, least demanding first. */
export function dailyUses(
  { subject, ceilings }: Pick<FitContext, "subject" | "ceilings">,
  tasks: readonly DailyTask[],
  share: Setting = {},
): DailyUse[] {
  return tasks
    .map((task): DailyUse => {
      const setting: Setting = task.kind === "seat" ? { seatHeightM: task.heightM, ...share } : { stepHeightM: task.heightM };
      const asked = ask(subject, FORMS[task.kind], setting, WHOLE);
      return { task, use: asked.ok ? tightest(usesOf(asked.demands, ceilings, "standing").uses) : null };
    })
    .toSorted((a, b) => (a.use?.head ?? Infinity) - (b.use?.head ?? Infinity));
}
