import { plannedOf, trainedDays } from "../standing/history";
import { parseAbsolute } from "@internationalized/date";
import { adviceOf } from "../../assess/advice";
import { isInCatalogue, variationById } from "../../catalogue/catalogue";
import type { Dose, Frequency, Pattern } from "../../catalogue/variation";
import { type Day, dayAfter } from "../../day";
import { sideDoses, sideRuleOf } from "../../dose/sides";
import type { FitContext, Place } from "../../judge/context";
import { isBack } from "../../limits/complaint";
import type { Side } from "../../mechanics/channels";
import { buildSession, type SessionAsked } from "../../session/build";
import { laidFrom, type TrainingPlan } from "../../session/plan";
import type { Part } from "../../dose/part";
import { waiting, type WeakLink, type SessionItem } from "../../session/session";
import { parametersOf, templateOf } from "../../templates/form";
import { strengthFrom } from "../../standards/repetition";
import { isSameSetting, type LeverId } from "../../templates/lever";
import { wayDone } from "../../week/forecast";
import type { DoneSet } from "../../week/totals";
import { BLOCK_WEEKS, type Laid } from "../../week/week";
import { currentPlans, type Plan, planInLine } from "../standing/plans";
import { fitContextOf } from "../standing/context";
import type { ClientRecord, RungFact, SessionFact } from "../facts/record";
import { schoolIn } from "../standing/approach";

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
    minutes: Math.max(10, record.screen.person?.minutes ?? 45),
    purpose: record.sessions.length === 0 ? "first-strength" : "strength",
    skeletonId: null,
    ...weakLinkOf(record),
    planned: currentPlans(record).map(({ rung, prescription }) => ({
      variationId: rung.variationId,
      setting: rung.setting,
      dose: prescription.dose,
    })),
    sessionNumber: record.sessions.length,
    stiff: adviceOf(record.findings, record.screen).flatMap(({ code }) =>
      code === "ankle-causes-tuck" ? (["ankle"] as const) : code === "hip-causes-tuck" ? (["hip"] as const) : [],
    ),
  };
}
/** A knee that is stiff for so long in the morning trains later in the day. Source: handbook B4, 1; ◊ the minutes and the hour. */
const SLOW_TO_LOOSEN_MIN = 30;
/** The days where nobody laid any: the school's own frequency, on any day, for one block. */
export const usualWeek = (record: ClientRecord): Pick<TrainingPlan, "often" | "weekdays" | "at" | "weeks" | "loads"> => ({
  often: FREQUENCY[schoolIn(record).positions["frequency"] ?? ""] ?? "three-a-week",
  weekdays: [1, 2, 3, 4, 5, 6, 7],
  at: (record.screen.pain?.morningStiffMin ?? 0) >= SLOW_TO_LOOSEN_MIN ? "14:00" : "10:00",
  weeks: BLOCK_WEEKS,
  loads: [],
});

/** A programme to begin with, where none was kept: built for this client and laid on the usual days. */
export function firstProgramme(record: ClientRecord, context: FitContext, today: Day): Omit<TrainingPlan, "day" | "sequence" | "keptAt"> {
  const asked = usualAsked(record);
  const { items, rounds } = buildSession(context, asked);
  const { minutes, purpose, weak, weakSide } = asked;
  const draft = {
    minutes,
    purpose,
    skeletonId: null,
    weak,
    weakSide,
    rounds,
    items,
    ...usualWeek(record),
    laid: [],
    note: "",
    improvement: "",
  };
  return { ...draft, laid: laidFrom(draft, context.school, trainedDays(record), today) };
}

/**
 * The programme as it stands today: what Fit keeps for a pattern, and what was decided since it was kept, is taken over,
 * each side by its own log. Null where none was kept.
 */
export function programmeNow(record: ClientRecord): TrainingPlan | null {
  const plan = record.trainingPlan;
  return plan && { ...plan, items: asItStands(record, plan.items, plan, ({ id, isKept }) => (isKept ? null : id)) };
}

/**
 * Items of a programme with what the gate has decided about their line since it was kept; null stands for what Fit keeps of
 * their pattern, which counts whenever it was kept. Each side by its own log.
 */
export function asItStands(
  record: ClientRecord,
  items: readonly SessionItem[],
  plan: Pick<TrainingPlan, "keptAt" | "weakSide">,
  lineOf: (item: SessionItem) => string | null,
): SessionItem[] {
  const rule = sideRuleOf(schoolIn(record));
  return items.map((item) => {
    const line = lineOf(item);
    const { pattern } = variationById(item.variationId);
    const standing = (side: Side): Plan | null => {
      const found = planInLine(record, { pattern, side, line });
      return found && (line === null || found.prescription.at > plan.keptAt) ? found : null;
    };
    const order = item.sides.length > 0 ? item.sides.map(({ side }) => side) : SIDES;
    const [first] = order.flatMap((side) => standing(side) ?? []);
    if (!first) return item;
    const { variationId, setting } = first.rung;
    const dose = line === null ? first.prescription.dose : item.dose;
    const good = { setCount: dose.setCount, repetitions: dose.repetitionsHigh };
    const doses = line === null ? sideDoses(good, plan.weakSide, rule) : item.sides;
    return {
      ...item,
      variationId,
      setting,
      dose: item.sides.length > 0 ? dose : first.prescription.dose,
      sides: item.sides.map((own) => {
        const now = standing(own.side);
        const isElsewhere = now && !(now.rung.variationId === variationId && isSameSetting(now.rung.setting, setting));
        const { place: _, ...rest } = doses.find(({ side }) => side === own.side) ?? own;
        return { ...rest, ...(isElsewhere ? { place: { variationId: now.rung.variationId, setting: now.rung.setting } } : {}) };
      }),
    };
  });
}
const SIDES: readonly Side[] = ["right", "left"];

/** One side of one item, as a session has it. */
export interface ProgrammeItem {
  /** The item's own id. */
  line: string;
  /** The line its rungs stand in; null for what Fit keeps. */
  ownLine: string | null;
  place: Place;
  side: Side;
  dose: Dose;
  part: Part;
  inTurn: boolean;
}
/** What today's session of the programme holds, side by side in the order it is done: what waits is not in it. */
export function programmeItems(record: ClientRecord, today: Day): ProgrammeItem[] {
  const [plan, context] = [programmeNow(record), fitContextOf(record, today)];
  if (!plan || !context) return [];
  const waits = waiting(plan.items, context.calmRows);
  return plan.items
    .filter((item) => !waits.includes(item) && isInCatalogue(item.variationId))
    .flatMap((item): ProgrammeItem[] => {
      const { id: line, variationId, setting, part, dose, sides, pairedWithNext } = item;
      const common = { line, ownLine: item.isKept ? null : line, part };
      const even = currentPlans(record).find(({ rung }) => item.isKept && rung.pattern === variationById(variationId).pattern);
      if (sides.length === 0)
        return [
          {
            ...common,
            place: { variationId, setting },
            side: even?.rung.side ?? context.subject.leadSide,
            dose,
            inTurn: pairedWithNext === true,
          },
        ];
      return sides.map(({ side, setCount, repetitions, place }, i) => ({
        ...common,
        place: place ?? { variationId, setting },
        side,
        dose: { ...dose, setCount, repetitionsHigh: repetitions, repetitionsLow: Math.min(dose.repetitionsLow, repetitions) },
        inTurn: i < sides.length - 1 || pairedWithNext === true,
      }));
    });
}

/** What the programme has on a day. */
export const laidOn = ({ trainingPlan }: Pick<ClientRecord, "trainingPlan">, day: Day): Laid | undefined =>
  trainingPlan?.laid.find((each) => each.day === day);

/** What a session weighs: how hard it was times its minutes, by the first and last set. Null where nobody told. Source: Foster 2001. */
export function sessionLoadOf({ effortScore, sets, endedAt }: Pick<SessionFact, "effortScore" | "sets" | "endedAt">): number | null {
  const [first, last] = [sets[0]?.endedAt, endedAt ?? sets.at(-1)?.endedAt];
  if (effortScore === null || first === undefined || last === undefined) return null;
  const minutes = parseAbsolute(last, "UTC").compare(parseAbsolute(first, "UTC")) / 60_000 + FIRST_SET_MIN;
  return effortScore * Math.min(minutes, LONGEST_MIN);
}
/** The first set is known by its end alone; a session left open overnight was none of fifteen hours. */
const FIRST_SET_MIN = 1;
const LONGEST_MIN = 180;

/** Session load of the seven days that end today, day by day, and the sums of the four weeks before. Unknown sessions count as none. */
export function dailyLoads(
  { sessions }: Pick<ClientRecord, "sessions">,
  today: Day,
): { daily: number[]; weeksBefore: number[]; untold: number } {
  const on = (day: Day): number => sessions.reduce((sum, each) => sum + (each.day === day ? (sessionLoadOf(each) ?? 0) : 0), 0);
  const days = (from: number, count: number): number[] => Array.from({ length: count }, (_, i) => on(dayAfter(today, i - from)));
  const weeks = [4, 3, 2, 1].map((week) => days(6 + 7 * week, 7).reduce((sum, each) => sum + each, 0));
  const recent = sessions.filter(({ day, sets }) => day > dayAfter(today, -7) && sets.length > 0);
  return {
    daily: days(6, 7),
    weeksBefore: weeks.filter((each) => each > 0),
    untold: recent.filter((each) => sessionLoadOf(each) === null).length,
  };
}

/** Strength of a row by its logged sets, the best of each day. Source: standards 1.1 to 1.3, on loads that the sets name. */
export interface StrengthTrend {
  variationId: string;
  days: { day: Day; kg: number }[];
}
export function strengthTrends(record: ClientRecord): StrengthTrend[] {
  const best = new Map<string, Map<Day, number>>();
  for (const { day, sets, items } of record.sessions)
    for (const { itemId, setting, repetitions, leftInTank } of sets) {
      const item = items.find(({ id }) => id === itemId);
      const row = item && plannedOf(record, item)?.rung.variationId;
      const kg = leftInTank === null ? null : strengthFrom(setting.loadKg ?? 0, repetitions, leftInTank);
      if (row === undefined || kg === null) continue;
      const days = best.get(row) ?? new Map<Day, number>();
      best.set(row, days.set(day, Math.max(kg, days.get(day) ?? 0)));
    }
  return [...best].map(([variationId, days]) => ({ variationId, days: [...days].map(([day, kg]) => ({ day, kg })) }));
}

/** How far a goal's own lever has come, from the first rung that had it; null where it never was on one. */
export function wayToGoal(
  { rungs }: Pick<ClientRecord, "rungs">,
  { pattern, lever, wanted }: { pattern: Pattern; lever: LeverId; wanted: number },
): { lever: LeverId; from: number; now: number; sinceDay: Day; doneFraction: number } | null {
  const on = rungs
    .filter((rung) => rung.pattern === pattern && rung.setting[lever] !== undefined)
    .toSorted((a, b) => a.day.localeCompare(b.day));
  const [first, last] = [on[0], on.at(-1)];
  const [from, now] = [first?.setting[lever], last?.setting[lever]];
  if (!first || from === undefined || now === undefined) return null;
  return { lever, from, now, sinceDay: first.day, doneFraction: wayDone(from, now, wanted) };
}

/** What was built since a day, pattern by pattern and side by side: the rung of then and the one of now, where they differ. */
export function builtSince(record: ClientRecord, since: Day): { from: RungFact; to: RungFact }[] {
  return currentPlans(record).flatMap(({ rung: to }) => {
    const own = record.rungs
      .filter(({ pattern, side }) => pattern === to.pattern && side === to.side)
      .toSorted((a, b) => a.day.localeCompare(b.day));
    const from = own.findLast(({ day }) => day <= since) ?? own[0];
    const isSame = from?.variationId === to.variationId && isSameSetting(from.setting, to.setting);
    return !from || isSame ? [] : [{ from, to }];
  });
}

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
