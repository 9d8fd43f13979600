import type { Frequency } from "../catalogue/variation";
import { type Day, dayAfter } from "../day";
import type { Purpose } from "../dose/purpose";
import type { Side } from "../mechanics/channels";
import { alternating, type DayLoad, type Laid, layOut, type WeekRules } from "../week/week";
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
  /** The day the present block began; its first laid day where nobody began one. */
  blockFrom?: Day;
  /** Every second session is a light one. */
  alternates?: boolean;
  /** What the joint was not ready for, and when it is tried again. */
  setAside?: readonly SetAside[];
  /** A goal in the client's own unit, by what it was, is and shall be. */
  ownGoal?: OwnGoal | undefined;
  /** The trainer's own words, printed on the sheet. */
  note: string;
  /** The one improvement of the week. */
  improvement: string;
  /** How often it was changed: a calendar that reads it again changes its entries and doubles none. */
  sequence: number;
  /** When it was kept, to be told from what was decided since. ISO 8601. */
  keptAt: string;
}

export interface OwnGoal {
  name: string;
  unit: string;
  from: number;
  now: number;
  to: number;
}
export const OWN_GOAL_LIMITS = { min: -10_000, max: 1_000_000 } as const;

/** An exercise left out for now. Source: handbook B4, 4. */
export interface SetAside {
  item: SessionItem;
  backOn: Day;
}

export const SESSIONS_A_WEEK: Readonly<Record<Frequency, number>> = { "several-a-day": 7, daily: 7, "three-a-week": 3, "two-rest-days": 2 };

export const blockStart = ({ blockFrom, laid }: Pick<TrainingPlan, "blockFrom" | "laid">): Day | undefined =>
  blockFrom ?? laid.map(({ day }) => day).toSorted()[0];

type OnDays = Pick<TrainingPlan, "often" | "weekdays" | "weeks" | "loads" | "laid" | "alternates">;
/** `doneDays` are the days that were trained: rest follows them too. */
export const rulesOf = (
  { weekdays, loads, often }: Pick<OnDays, "weekdays" | "loads" | "often">,
  school: WeekRules["school"],
  doneDays: readonly Day[],
): WeekRules => ({ weekdays, loads, school, done: doneDays.map((day) => ({ id: `done ${day}`, day, often })) });
/** Sessions laid anew from a day on, as many a week as their class has; what lies before it stays. */
export function laidFrom(plan: OnDays, school: WeekRules["school"], doneDays: readonly Day[], from: Day): Laid[] {
  const rules = rulesOf(plan, school, doneDays);
  const before = plan.laid.filter(({ day }) => day < from && !doneDays.includes(day));
  const laid = Array.from({ length: plan.weeks }, (_, week) => week).reduce<Laid[]>(
    (all, week) => [...all, ...layOut(SESSIONS_A_WEEK[plan.often], plan.often, dayAfter(from, 7 * week), 1, rules, all)],
    before,
  );
  return alternating(laid, plan.alternates === true);
}
