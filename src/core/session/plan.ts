import { adviceOf } from "../assess/advice";
import { isBack } from "../limits/complaint";
import type { Frequency } from "../catalogue/variation";
import { type Day, dayAfter } from "../day";
import type { Purpose } from "../dose/purpose";
import type { Side } from "../mechanics/channels";
import type { ClientRecord } from "../record/record";
import { currentPlans } from "../record/derive";
import { schoolIn } from "../record/school";
import { BLOCK_WEEKS, type DayLoad, type Laid, layOut, type WeekRules } from "../week/week";
import type { SessionAsked } from "./build";
import type { SessionItem, WeakLink } from "./session";

/** A client's programme as it was kept: one session, and the days it is laid on. Kept whole, the latest counts. */
export interface TrainingPlan {
  day: Day;
  minutes: number;
  purpose: Purpose;
  skeletonId: string | null;
  weak: WeakLink;
  weakSide: Side | "both" | null;
  rounds: number;
  items: readonly SessionItem[];
  often: Frequency;
  /** Days of the week that the client can, 1 Monday to 7 Sunday, and when. */
  weekdays: readonly number[];
  at: string;
  weeks: number;
  loads: readonly DayLoad[];
  laid: readonly Laid[];
  /** The trainer's own words, printed on the sheet. */
  note: string;
  /** The one improvement of the week. */
  improvement: string;
  /** How often it was changed: a calendar that reads it again changes its entries and doubles none. */
  sequence: number;
}

const FREQUENCY: Readonly<Record<string, Frequency>> = { daily: "daily", "two-rest-days": "two-rest-days", "three-a-week": "three-a-week" };
export const SESSIONS_A_WEEK: Readonly<Record<Frequency, number>> = { "several-a-day": 7, daily: 7, "three-a-week": 3, "two-rest-days": 2 };

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

type OnDays = Pick<TrainingPlan, "often" | "weekdays" | "weeks" | "loads" | "laid">;
/** `doneDays` are the days that were trained: rest follows them too. */
export const rulesOf = (
  { weekdays, loads, often }: Pick<OnDays, "weekdays" | "loads" | "often">,
  school: WeekRules["school"],
  doneDays: readonly Day[],
): WeekRules => ({ weekdays, loads, school, done: doneDays.map((day) => ({ id: `done ${day}`, day, often })) });
/** Days on which this client trained. */
export const trainedDays = ({ sessions }: Pick<ClientRecord, "sessions">): Day[] => [
  ...new Set(sessions.filter(({ sets }) => sets.length > 0).map(({ day }) => day)),
];
/** Sessions laid anew from a day on, as many a week as their class has; what lies before it stays. */
export function laidFrom(plan: OnDays, school: WeekRules["school"], doneDays: readonly Day[], from: Day): Laid[] {
  const rules = rulesOf(plan, school, doneDays);
  const before = plan.laid.filter(({ day }) => day < from && !doneDays.includes(day));
  return Array.from({ length: plan.weeks }, (_, week) => week).reduce<Laid[]>(
    (all, week) => [...all, ...layOut(SESSIONS_A_WEEK[plan.often], plan.often, dayAfter(from, 7 * week), 1, rules, all)],
    before,
  );
}
