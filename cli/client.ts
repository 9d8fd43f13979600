import { bodyFromMeasure } from "../src/core/body/body";
import { CATALOGUE, isInCatalogue, variationById } from "../src/core/catalogue/catalogue";
import { STUDIES } from "../src/core/catalogue/studies.data";
import type { FitContext } from "../src/core/judge/context";
import { type Ceiling, ceilingsFromCalmPose } from "../src/core/limits/ceiling";
import { isBack } from "../src/core/limits/complaint";
import { DEFAULT_POSTURE } from "../src/core/mechanics/posture";
import type { Side } from "../src/core/mechanics/channels";
import type { Issue } from "../src/core/reasons";
import { type Form, leversOf, type OwnRange, settingProblems } from "../src/core/templates/form";
import { type LeverId, LEVERS } from "../src/core/templates/lever";
import type { Subject } from "../src/core/templates/template";
import { type FitInput, type PlaceInput } from "../src/schemas/command-line/core-input.schema";
import { carefulFrom, dayProblem, namedJoints } from "../src/core/screen/screen";
import { findingIssues } from "./assess";
import { answersFrom, kitFrom, schoolFrom, toldLimits } from "./told";
import type { SubjectInput } from "../src/schemas/command-line/subject.schema";

/** One client as the command line reads one: body, place, range and everything that decides what fits. */

/** More values than this on one lever is a slip of the pen, not a kit. */
const MOST_STEPS = 5000;

export const subjectFrom = ({ body, posture = DEFAULT_POSTURE, leadSide }: SubjectInput): Subject => ({
  body: bodyFromMeasure(body),
  posture,
  leadSide,
});
/** A row of the catalogue, or a study of the model. */
const formOf = (id: string): Form | undefined => (isInCatalogue(id) ? variationById(id) : STUDIES.find((study) => study.id === id));
export function formById(id: string): Form {
  const form = formOf(id);
  if (!form) throw new RangeError(id); // ids were checked on the way in
  return form;
}

/** What is wrong with a place on this body: no such row, levers of another, values out of its range. */
export function placeIssues(subject: Subject, { variationId, setting }: PlaceInput, path: string, onlyCatalogue: boolean): Issue[] {
  const form = onlyCatalogue && !isInCatalogue(variationId) ? undefined : formOf(variationId);
  if (!form) {
    const allowed = [...CATALOGUE, ...(onlyCatalogue ? [] : STUDIES)].map(({ id }) => id);
    return [{ path: `${path}variationId`, code: "any.only", allowed }];
  }
  return settingProblems(subject, form, setting).map((problem): Issue => {
    const at = `${path}setting.${problem.lever}`;
    if (problem.code === "unknown-lever") return { path: at, code: "object.unknown", allowed: form.levers.map(({ lever }) => lever) };
    const value = setting[problem.lever] ?? NaN;
    return value < problem.min
      ? { path: at, code: "number.min", limit: problem.min }
      : { path: at, code: "number.max", limit: problem.max };
  });
}

interface LeverAsked {
  lever: LeverId;
  low?: number;
  high?: number;
  increment?: number;
}
/** A form's lever over the range asked for, or its own. */
export function rangeAsked(
  subject: Subject,
  form: Form,
  { lever, low, high, increment }: LeverAsked,
): (OwnRange & { increment: number }) | null {
  const row = leversOf(subject, form).find((each) => each.lever === lever);
  return row ? { ...row, min: low ?? row.min, max: high ?? row.max, increment: increment ?? LEVERS[lever].increment } : null;
}
export function leverIssues(subject: Subject, place: PlaceInput, asked: LeverAsked, path: string): Issue[] {
  const form = formOf(place.variationId);
  const range = form && rangeAsked(subject, form, asked);
  if (!form) return [];
  if (!range) return [{ path: `${path}lever`, code: "any.only", allowed: form.levers.map(({ lever }) => lever) }];
  return (range.max - range.min) / range.increment > MOST_STEPS
    ? [{ path: `${path}increment`, code: "number.steps", limit: MOST_STEPS }]
    : [];
}

/** The side that hurts or that a condition is on, where none is said to lead. */
export function clientFrom(input: FitInput): Subject {
  const sides = [...(input.complaints ?? []), ...(input.conditions ?? [])].map(({ side }) => side);
  const sore = sides.find((side): side is Side => side === "left" || side === "right");
  return subjectFrom({ ...input, leadSide: input.leadSide ?? sore ?? "right" });
}

function ceilingsFrom(subject: Subject, { calmPose, ceilings = [], today }: FitInput): { ceilings: Ceiling[]; issues: Issue[] } {
  if (!calmPose) return { ceilings, issues: [] };
  const form = formOf(calmPose.variationId);
  if (!form) return { ceilings, issues: placeIssues(subject, calmPose, "calmPose.", true) };
  const unknown = settingProblems(subject, form, calmPose.setting).filter(({ code }) => code === "unknown-lever");
  if (unknown.length > 0)
    return { ceilings, issues: unknown.map(({ lever }) => ({ path: `calmPose.setting.${lever}`, code: "object.unknown" })) };
  const calibration = ceilingsFromCalmPose(subject, { ...calmPose, id: "calm-pose", day: today, form });
  if (!calibration.ok) {
    const { reason, channel } = calibration;
    return { ceilings, issues: [{ path: "calmPose", code: reason, ...(channel ? { allowed: [channel] } : {}) }] };
  }
  return { ceilings: [...ceilings, ...calibration.ceilings.map((ceiling, i) => ({ ...ceiling, id: `calm-pose-${i}` }))], issues: [] };
}

function incrementIssues({ increments = {} }: FitInput, subject: Subject): Issue[] {
  const widest = (lever: LeverId): number =>
    Math.max(
      0,
      ...CATALOGUE.flatMap((form) => leversOf(subject, form).filter((range) => range.lever === lever)).map(({ min, max }) => max - min),
    );
  return (Object.entries(increments) as [LeverId, number][]).flatMap(([lever, increment]) =>
    widest(lever) / increment > MOST_STEPS ? [{ path: `increments.${lever}`, code: "number.steps", limit: MOST_STEPS }] : [],
  );
}
/** A due date a year away, surgery in the future. */
const conditionIssues = (input: FitInput): Issue[] =>
  (answersFrom(input).conditions ?? []).flatMap((condition, i) => {
    const code = dayProblem(condition, input.today);
    return code ? [{ path: `conditions.${i}.${input.conditions?.[i]?.dueDay ? "dueDay" : "day"}`, code }] : [];
  });
export const fitIssues = (input: FitInput): Issue[] => {
  const subject = clientFrom(input);
  return [
    ...ceilingsFrom(subject, input).issues,
    ...incrementIssues(input, subject),
    ...(Array.isArray(input.findings) ? findingIssues(input.findings, input.today) : []),
    ...conditionIssues(input),
    ...(input.nothingHurts && (input.complaints ?? []).length > 0 ? [{ path: "nothingHurts", code: "any.contradiction" }] : []),
  ];
};

/** An id that was left out, by its place. */
const named = (id: string, otherwise: string, i: number): string => (id === otherwise ? `${otherwise}-${i}` : id);

export function contextFrom(input: FitInput): FitContext {
  const subject = clientFrom(input);
  const school = schoolFrom(input.school);
  const { complaints = [], careful: said = [] } = input;
  const careful = [...new Set([...said, ...carefulFrom(answersFrom(input))])];
  return {
    subject,
    complaints: complaints.map((complaint, i) => ({ ...complaint, id: named(complaint.id, "complaint", i) })),
    conditions: namedJoints(answersFrom(input)),
    nothingHurts: input.nothingHurts ?? false,
    careful: complaints.some(({ site }) => isBack(site)) ? [...new Set([...careful, "back" as const])] : careful,
    limits: [
      ...(input.limits ?? []).map((limit, i) => ({ ...limit, id: named(limit.id, "limit", i) })),
      ...toldLimits(subject, input, input.today),
    ],
    ceilings: ceilingsFrom(subject, input).ceilings,
    unusable: [],
    calmLoads: input.calmLoads ?? {},
    calmRows: input.calmRows ?? [],
    ownRange: input.ownRange ?? {},
    today: input.today,
    kit: kitFrom(input, input.increments),
    school,
    targetUseFraction: input.targetUseFraction ?? school.targetUseFraction,
  };
}
