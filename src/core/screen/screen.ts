import { traitsOfRow } from "../catalogue/traits";
import type { Variation } from "../catalogue/variation";
import { type Day, dayAfter, daysBetween } from "../day";
import type { ClinicianRole, WarningSign } from "../limits/clinician";
import type { Complaint, LimitedBy } from "../limits/complaint";
import { isBinding, type Limit } from "../limits/limit";
import type { Careful } from "../limits/rails";
import type { ChannelSide } from "../mechanics/channels";
import { type Gestation, gestation, lastPeriodOf, TERM_DAYS } from "../standards/gestation";
import { preParticipation, type Symptom, type Verdict } from "../standards/pre-participation";
import { CONDITION_KINDS, type ConditionKind } from "./conditions.data";
import { BACK_MEANS, type BackSign, FURTHER_QUESTIONS, type FurtherQuestion, type Goal, type Medicine } from "./further.data";
import { type MeasureGate, SCREEN_RULES, type ScreenRule } from "./rules.data";

/** One condition of a client: the side it is on, and the day its clock counts from where that is known. */
export interface OwnCondition {
  id: string;
  side: ChannelSide;
  day: Day | null;
}
/** What is known of a client before training. A part that nobody asked is missing, and never reads as "no". */
export interface ScreenAnswers {
  /** Its id is the warning's own: a sign stays open until a clinician has cleared it, whatever is answered later. */
  signs?: { id: string; day: Day; signs: readonly WarningSign[]; symptoms: readonly Symptom[] };
  conditions?: readonly OwnCondition[];
  activity?: { active: boolean; monthsActive: number };
  clearance?: { kind: "not-asked" } | { kind: "cleared" | "refused"; by: string; role: ClinicianRole; day: Day };
  /** Asked what hurts, the client said nothing. */
  nothingHurts?: true;
  goals?: readonly Goal[];
  /** How it hurts: at its worst, stiffness of the morning in minutes, when. */
  pain?: { worstScore: number | null; morningStiffMin: number | null; swells: boolean; when: string };
  /** Of a client whose back hurts, and the day it was asked. */
  back?: { day: Day; signs: readonly BackSign[] };
  medicines?: { kinds: readonly Medicine[]; injectionDay: Day | null; earlierInjectionDays?: readonly Day[] };
  aids?: { brace: boolean; stick: boolean; footwear: string; helperAtHome: boolean };
  /** What is feared; what of the form is the joint's own limit and not to be corrected; the time there is. */
  person?: { fear: string; ownLimit: string; sessionsPerWeek: number | null; minutes: number | null };
  /** Rules the trainer has set aside, with why: never what a clinician said. */
  setAside?: readonly { ruleId: string; side: ChannelSide; by: string; reason: string; day: Day }[];
}
export const SCREEN_QUESTIONS = ["signs", "conditions", "activity", "clearance"] as const;
export type ScreenQuestion = (typeof SCREEN_QUESTIONS)[number];

/** Those that follow from what was said: a back is asked about where one hurts. */
export const furtherQuestions = ({ conditions = [] }: ScreenAnswers, backHurts: boolean): FurtherQuestion[] =>
  FURTHER_QUESTIONS.filter((question) => question !== "back" || backHurts || conditions.some(({ id }) => kindOf(id)?.careful === "back"));

/** What was said to be known, and what the other answers come to. A clearance from before they were given does not cover them. */
export function conditionsOf({ conditions = [], back, medicines }: ScreenAnswers): OwnCondition[] {
  const implied: OwnCondition[] = [
    ...[...new Set((back?.signs ?? []).map((sign) => BACK_MEANS[sign]))].map((id): OwnCondition => ({
      id,
      side: "both",
      day: back?.day ?? null,
    })),
    ...(medicines?.kinds.includes("blunts-heart-rate") ? [{ id: "heart-rate-medicine", side: "both" as const, day: null }] : []),
  ];
  // said again is said anew: a clearance from before that day does not cover what was known without one
  const known = conditions.map((own) => ({ ...own, day: own.day ?? implied.find(({ id }) => id === own.id)?.day ?? null }));
  return [...known, ...implied.filter(({ id }) => !known.some((own) => own.id === id))];
}

const kindOf = (id: string): ConditionKind | undefined => CONDITION_KINDS.find((kind) => kind.id === id);
/** Every day an injection was told of: the latest question does not take an earlier answer back. */
export const injectionDays = ({ medicines }: Pick<ScreenAnswers, "medicines">): Day[] => [
  ...new Set([...(medicines?.earlierInjectionDays ?? []), ...(medicines?.injectionDay ? [medicines.injectionDay] : [])]),
];
/** Answers with one or more parts said anew: what was answered before stays, and every injection day with it. */
export function withPart(before: ScreenAnswers, part: Omit<ScreenAnswers, "setAside">): ScreenAnswers {
  const earlier = injectionDays(before).filter((day) => day !== part.medicines?.injectionDay);
  const medicines = part.medicines && { ...part.medicines, ...(earlier.length > 0 ? { earlierInjectionDays: earlier } : {}) };
  return { ...before, ...part, ...(medicines ? { medicines } : {}) };
}

/** A date nobody knows never opens anything: the rule has always run. */
export const ALWAYS: Day = "1900-01-01";

/** The day a condition's clock starts; null where it is not known. */
function clockDay({ id, day }: OwnCondition): Day | null {
  return day !== null && kindOf(id)?.dated === "due" ? lastPeriodOf(day) : day;
}

/** A rule as it holds for one client: the days it runs. */
export interface OwnRule {
  rule: ScreenRule;
  condition: OwnCondition;
  fromDay: Day;
  untilDay: Day | null;
}
export function rulesOf(answers: ScreenAnswers): OwnRule[] {
  return conditionsOf(answers).flatMap((condition) => {
    const start = clockDay(condition);
    return SCREEN_RULES.filter(
      ({ condition: id, onlyIf }) => id === condition.id && (onlyIf === undefined || !answers.activity?.active),
    ).map((rule) => ({
      rule,
      condition,
      fromDay: start === null ? ALWAYS : dayAfter(start, rule.fromDays ?? 0),
      untilDay: start === null || rule.untilDays === undefined ? null : dayAfter(start, rule.untilDays),
    }));
  });
}
const runs = ({ fromDay, untilDay }: OwnRule, today: Day): boolean => fromDay <= today && (untilDay === null || today <= untilDay);
export const rulesOn = (answers: ScreenAnswers, today: Day): OwnRule[] => rulesOf(answers).filter((own) => runs(own, today));

export const RULE = "rule ";
/** Whether a limit follows from the screen: nobody entered it, and its owner's name is the rule's. */
export const isScreenLimit = ({ id }: Pick<Limit, "id">): boolean => id.startsWith(RULE);
export const limitIdOf = ({ rule, condition }: Pick<OwnRule, "rule" | "condition">): string => `${RULE}${rule.id} ${condition.side}`;

/**
 * What the rules close, as limits like any other: on their side, between their days, set aside where the trainer said
 * why. A rule that a measure ends is asked about it: what nobody measured does not.
 */
export function ruleLimits(answers: ScreenAnswers, isMeasured: (gate: MeasureGate, side: ChannelSide) => boolean): Limit[] {
  return rulesOf(answers).flatMap((own): Limit[] => {
    const { rule, condition, fromDay, untilDay } = own;
    const { id: ruleId, limit, untilMeasured } = rule;
    const { side } = condition;
    if (!limit || (untilMeasured && isMeasured(untilMeasured, side))) return [];
    const aside = answers.setAside?.findLast((each) => each.ruleId === ruleId && each.side === side);
    const lift = aside ? { kind: "lifted" as const, by: aside.by, role: "trainer", day: aside.day, reason: aside.reason } : null;
    return [{ id: limitIdOf(own), rule: limit, side, owner: { kind: "rule", name: ruleId }, fromDay, untilDay, lift }];
  });
}

/** The rules of a condition that close a row at some time, whatever it is set to. */
export const rulesClosing = (variation: Variation, conditionId: string): ScreenRule[] =>
  SCREEN_RULES.filter(({ condition, limit }) => {
    if (condition !== conditionId || !limit) return false;
    return limit.kind === "rows"
      ? limit.codes.includes(variation.code)
      : limit.kind === "never" && traitsOfRow(variation).includes(limit.what);
  });

/** Conditions that ask for care with the low back, with bone, or with a belly. */
export const carefulFrom = (answers: ScreenAnswers): Careful[] => [
  ...new Set(conditionsOf(answers).flatMap(({ id }) => kindOf(id)?.careful ?? [])),
];

/** Joints that a condition names: those are measured whether they hurt or not. */
export const namedJoints = (answers: ScreenAnswers): { condition: string; site: LimitedBy; side: ChannelSide }[] =>
  conditionsOf(answers).flatMap(({ id, side }) => {
    const site = kindOf(id)?.joint;
    return site === undefined ? [] : [{ condition: id, site, side }];
  });

/** Whether how the belly looks is asked of every set: in a pregnancy and after one. */
export const asksBelly = (answers: ScreenAnswers): boolean => conditionsOf(answers).some(({ id }) => kindOf(id)?.family === "pregnancy");

/** Open: a session may be built. Missing: something was not asked. Refer: a clinician looks first. Stop: until one has. */
export type Gate =
  | { state: "open"; verdict: Verdict }
  | { state: "missing"; missing: readonly ScreenQuestion[] }
  | { state: "refer" | "stop"; verdict: Verdict; because: readonly string[] };

const DAYS_PER_MONTH = 365.25 / 12;

/**
 * Whether a session may be built today. A warning sign stops until it is cleared by name: `openSigns` are those that are
 * not, and without a list every sign said is one. What was not asked is named; a symptom or condition newer than a clearance is not covered by it.
 */
export function screenGate(answers: ScreenAnswers, today: Day, openSigns: readonly string[] = answers.signs?.signs ?? []): Gate {
  if (openSigns.length > 0) return { state: "stop", verdict: "stop", because: openSigns };
  const { signs, conditions, activity, clearance } = answers;
  if (!signs || !conditions || !activity || !clearance)
    return { state: "missing", missing: SCREEN_QUESTIONS.filter((question) => answers[question] === undefined) };
  if (clearance.kind === "refused") return { state: "stop", verdict: "stop", because: ["clearance-refused"] };
  const cleared = clearance.kind === "cleared" ? clearance : null;
  const symptoms = cleared && cleared.day >= signs.day ? [] : signs.symptoms;
  const verdict = preParticipation({
    ...activity,
    disease: conditions.flatMap(({ id }) => kindOf(id)?.disease ?? []),
    symptoms,
    clearedMonthsAgo: cleared ? Math.floor(daysBetween(cleared.day, today) / DAYS_PER_MONTH) : null,
    wants: "moderate",
  });
  if (verdict === "stop") return { state: "stop", verdict, because: symptoms };
  const asking = rulesOn(answers, today).filter(({ rule, condition }) => rule.asksFirst && !isCoveredBy(cleared, condition));
  const because = [...(verdict === "clearance-recommended" ? ["clearance-recommended"] : []), ...asking.map(({ rule }) => rule.id)];
  return because.length > 0 ? { state: "refer", verdict, because } : { state: "open", verdict };
}
/** A clearance from before the surgery or the birth says nothing about what came after. */
const isCoveredBy = (cleared: { day: Day } | null, { id, day }: OwnCondition): boolean =>
  cleared !== null && (day === null || kindOf(id)?.dated === "due" || cleared.day >= day);

/** How far a dated condition is today: weeks since it, or week and trimester. */
export type Clock = { condition: OwnCondition } & ({ kind: "weeks"; weeks: number } | { kind: "gestation"; at: Gestation });
export function clocksOf({ conditions = [] }: ScreenAnswers, today: Day): Clock[] {
  return conditions.flatMap((condition): Clock[] => {
    const start = clockDay(condition);
    if (start === null || start > today) return [];
    return kindOf(condition.id)?.dated === "due"
      ? [{ condition, kind: "gestation", at: gestation(start, today) }]
      : [{ condition, kind: "weeks", weeks: Math.floor(daysBetween(start, today) / 7) }];
  });
}

/** What is about to run out: somebody asks before it has. */
export type Soon = { kind: "limit-ends"; limit: Limit; days: number } | { kind: "clearance-old"; months: number };
const SOON_DAYS = 14;
/** A clearance counts for twelve months (Riebe 2015), or for fewer by a school; two months before it is time to ask. */
const CLEARANCE_MONTHS = 12;
const ASK_BEFORE_MONTHS = 2;
export function soonOf({ clearance }: ScreenAnswers, limits: readonly Limit[], today: Day, clearanceMonths = CLEARANCE_MONTHS): Soon[] {
  const ending = limits.flatMap((limit): Soon[] => {
    const { untilDay, owner } = limit;
    const days = untilDay === null ? Infinity : daysBetween(today, untilDay);
    return owner.kind === "clinician" && isBinding(limit, today) && days >= 0 && days <= SOON_DAYS
      ? [{ kind: "limit-ends", limit, days }]
      : [];
  });
  const months = clearance?.kind === "cleared" ? Math.floor(daysBetween(clearance.day, today) / DAYS_PER_MONTH) : 0;
  return [...ending, ...(months >= Math.max(1, clearanceMonths - ASK_BEFORE_MONTHS) ? [{ kind: "clearance-old" as const, months }] : [])];
}

/** Conditions said to be on the other side than everything that hurts there: left and right are easily swapped. */
export function sidesInDoubt(
  conditions: readonly Pick<OwnCondition, "id" | "side">[],
  complaints: readonly Pick<Complaint, "site" | "side">[],
): string[] {
  return conditions.flatMap(({ id, side }) => {
    const family = kindOf(id)?.family;
    const sore = complaints.filter(({ site }) =>
      family === "knee" ? site === "knee" || site === "kneecap" : family === "hip" && site === "hip",
    );
    return side !== "both" && sore.length > 0 && sore.every((complaint) => complaint.side !== side && complaint.side !== "both")
      ? [id]
      : [];
  });
}

/** A day that cannot be: surgery or a birth to come, a due date long past or more than a pregnancy away. */
export function dayProblem({ id, day }: OwnCondition, today: Day): "day.future" | "day.too-far" | "day.past" | null {
  const dated = kindOf(id)?.dated;
  if (day === null || !dated) return null;
  if (dated !== "due") return day > today ? "day.future" : null;
  if (day > dayAfter(today, TERM_DAYS)) return "day.too-far";
  return day < dayAfter(today, -21) ? "day.past" : null;
}
