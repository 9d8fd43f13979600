import { adviceOf } from "../assess/advice";
import { variationById } from "../catalogue/catalogue";
import type { Frequency } from "../catalogue/variation";
import type { Day } from "../day";
import { isBack } from "../limits/complaint";
import type { Side } from "../mechanics/channels";
import type { SessionAsked } from "../session/build";
import type { TrainingPlan } from "../session/plan";
import type { WeakLink } from "../session/session";
import { parametersOf, templateOf } from "../templates/form";
import type { DoneSet } from "../week/totals";
import { BLOCK_WEEKS } from "../week/week";
import { currentPlans } from "./derive";
import { plannedOf } from "./history";
import type { ClientRecord } from "./record";
import { schoolIn } from "./school";

const FREQUENCY: Readonly<Record<string, Frequency>> = { daily: "daily", "two-rest-days": "two-rest-days", "three-a-week": "three-a-week" };
/** What must not be tired first, and on which side, by what hurts. */
export function weakLinkOf({ complaints }: Pick<ClientRecord, "complaints">): { weak: WeakLink; weakSide: Side | "both" | null } {
  const [first] = complaints;
  const sides = new Set(complaints.map(({ side }) => side));
  const weakSide =
    sides.has("both") && sides.size === 1
      ? null
      : sides.has("left") && sides.has("right")
        ? "both"
        : sides.has("left")
          ? "left"
          : sides.has("right")
            ? "right"
            : null;
  if (!first) return { weak: { kind: "knee" }, weakSide: null };
  if (isBack(first.site)) return { weak: { kind: "back" }, weakSide };
  return { weak: first.site === "hip" ? { kind: "muscle", trained: "side-hip" } : { kind: "knee" }, weakSide };
}

/** What a session is built from where nothing was chosen yet. */
export function usualAsked(record: ClientRecord): SessionAsked {
  return {
    minutes: 45,
    purpose: record.sessions.length === 0 ? "first-strength" : "strength",
    skeletonId: null,
    ...weakLinkOf(record),
    planned: currentPlans(record).map(({ rung }) => ({ variationId: rung.variationId, setting: rung.setting })),
    sessionNumber: record.sessions.length,
    stiff: adviceOf(record.findings, record.screen).flatMap(({ code }) =>
      code === "ankle-causes-tuck" ? (["ankle"] as const) : code === "hip-causes-tuck" ? (["hip"] as const) : [],
    ),
  };
}
/** The days where nobody laid any: the school's own frequency, on any day, for one block. */
export const usualWeek = (record: ClientRecord): Pick<TrainingPlan, "often" | "weekdays" | "at" | "weeks" | "loads"> => ({
  often: FREQUENCY[schoolIn(record).positions["frequency"] ?? ""] ?? "three-a-week",
  weekdays: [1, 2, 3, 4, 5, 6, 7],
  at: "10:00",
  weeks: BLOCK_WEEKS,
  loads: [],
});

/** Days on which this client trained. */
export const trainedDays = ({ sessions }: Pick<ClientRecord, "sessions">): Day[] => [
  ...new Set(sessions.filter(({ sets }) => sets.length > 0).map(({ day }) => day)),
];

/** Sets of a record as they were done, each with the row and leg it was planned for. */
export function doneSets(record: ClientRecord): DoneSet[] {
  return record.sessions.flatMap(({ day, sets, items }) =>
    sets.flatMap(({ itemId, repetitions }): DoneSet[] => {
      const item = items.find(({ id }) => id === itemId);
      const planned = item && plannedOf(record, item);
      if (!planned) return [];
      const row = variationById(planned.rung.variationId);
      const isEven = templateOf(row).isEven(parametersOf(row));
      return [{ day, variationId: row.id, side: isEven ? null : planned.rung.side, repetitions }];
    }),
  );
}
