import type Joi from "joi";
import { bodyFromMeasure } from "../src/core/body/body";
import { CATALOGUE, isInCatalogue, variationById } from "../src/core/catalogue/catalogue";
import { STUDIES } from "../src/core/catalogue/studies.data";
import { DEFAULT_KIT, DEFAULT_SCHOOL, DEFAULT_TARGET_USE, type FitContext, SAME_BETWEEN_FRACTION } from "../src/core/fit/context";
import { judge } from "../src/core/fit/judge";
import { fitCatalogue } from "../src/core/fit/search";
import { headlineOf, solveLever } from "../src/core/fit/solve";
import { stairAround, stairToGoal } from "../src/core/fit/stair";
import { buildOnce, easeOnce, easeTwice, easeUntilAllowed } from "../src/core/fit/step";
import { type Ceiling, ceilingsFromCalmPose } from "../src/core/limits/ceiling";
import { isBack } from "../src/core/limits/complaint";
import { bandTension } from "../src/core/mechanics/band";
import { strapLean } from "../src/core/mechanics/levers";
import { DEFAULT_POSTURE } from "../src/core/mechanics/posture";
import { decide } from "../src/core/progress/decide";
import { openWarnings } from "../src/core/progress/warning";
import type { Issue } from "../src/core/reasons";
import { ask, WHOLE } from "../src/core/templates/ask";
import { type Form, leversOf, type OwnRange, settingProblems } from "../src/core/templates/form";
import { type LeverId, LEVERS } from "../src/core/templates/lever";
import { poseOf } from "../src/core/templates/pose";
import type { Subject } from "../src/core/templates/template";
import {
  calibrateInputSchema,
  type CalibrateInput,
  decideInputSchema,
  type DecideInput,
  demandInputSchema,
  type DemandInput,
  fitInputSchema,
  type FitInput,
  matchInputSchema,
  type MatchInput,
  type PlaceInput,
  solveInputSchema,
  type SolveInput,
  stairInputSchema,
  type StairInput,
} from "../src/schemas/core-input.schema";
import { screenInputSchema } from "../src/schemas/screen.schema";
import { type StandardInput, standardsInputSchema } from "../src/schemas/standards.schema";
import type { SubjectInput } from "../src/schemas/subject.schema";
import { runExamples } from "./run-examples";
import type { Example } from "./shorthand";
import { mechanicsSchema } from "./shorthand.schema";
import { runScreen, screenIssues } from "./screen";
import { runStandard } from "./standards";

/** One command: JSON in, JSON out. `check` finds what only a body or a row can tell, after the schema has passed. */
export interface Command {
  summary: string;
  schema: Joi.Schema;
  check?: (input: never) => Issue[];
  run: (input: never) => unknown;
}

/** More values than this on one lever is a slip of the pen, not a kit. */
const MOST_STEPS = 5000;

const subjectFrom = ({ body, posture = DEFAULT_POSTURE, leadSide }: SubjectInput): Subject => ({
  body: bodyFromMeasure(body),
  posture,
  leadSide,
});
/** A row of the catalogue, or a study of the model. */
const formOf = (id: string): Form | undefined => (isInCatalogue(id) ? variationById(id) : STUDIES.find((study) => study.id === id));
function formById(id: string): Form {
  const form = formOf(id);
  if (!form) throw new RangeError(id); // ids were checked on the way in
  return form;
}

/** What is wrong with a place on this body: no such row, levers of another, values out of its range. */
function placeIssues(subject: Subject, { variationId, setting }: PlaceInput, path: string, onlyCatalogue: boolean): Issue[] {
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
function rangeAsked(subject: Subject, form: Form, { lever, low, high, increment }: LeverAsked): (OwnRange & { increment: number }) | null {
  const row = leversOf(subject, form).find((each) => each.lever === lever);
  return row ? { ...row, min: low ?? row.min, max: high ?? row.max, increment: increment ?? LEVERS[lever].increment } : null;
}
function leverIssues(subject: Subject, place: PlaceInput, asked: LeverAsked, path: string): Issue[] {
  const form = formOf(place.variationId);
  const range = form && rangeAsked(subject, form, asked);
  if (!form) return [];
  if (!range) return [{ path: `${path}lever`, code: "any.only", allowed: form.levers.map(({ lever }) => lever) }];
  return (range.max - range.min) / range.increment > MOST_STEPS
    ? [{ path: `${path}increment`, code: "number.steps", limit: MOST_STEPS }]
    : [];
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
const fitIssues = (input: FitInput): Issue[] => {
  const subject = subjectFrom(input);
  return [...ceilingsFrom(subject, input).issues, ...incrementIssues(input, subject)];
};

function contextFrom(input: FitInput): FitContext {
  const subject = subjectFrom(input);
  const { complaints = [], careful = [] } = input;
  return {
    subject,
    complaints,
    careful: complaints.some(({ site }) => isBack(site)) ? [...new Set([...careful, "back" as const])] : careful,
    limits: input.limits ?? [],
    ceilings: ceilingsFrom(subject, input).ceilings,
    unusable: [],
    calmLoads: input.calmLoads ?? {},
    ownRange: input.ownRange ?? {},
    today: input.today,
    kit: {
      ...DEFAULT_KIT,
      increments: { ...DEFAULT_KIT.increments, ...input.increments },
      equipment: input.equipment ?? DEFAULT_KIT.equipment,
    },
    school: DEFAULT_SCHOOL,
    targetUseFraction: input.targetUseFraction ?? DEFAULT_TARGET_USE,
  };
}

function runDemand({ variationId, setting, ...of }: DemandInput): unknown {
  const [subject, form] = [subjectFrom(of), formById(variationId)];
  const asked = ask(subject, form, setting, WHOLE);
  return asked.ok ? { ...asked, pose: poseOf(subject, form, setting) } : asked;
}

function runSolve({ variationId, setting, channel, side, target, ...of }: SolveInput): unknown {
  const [subject, form] = [subjectFrom(of), formById(variationId)];
  const range = rangeAsked(subject, form, of);
  return range && solveLever(subject, form, setting, range, { channel, side }, target, range.increment);
}

function runMatch({ from, to, channel, side, ...of }: MatchInput): unknown {
  const subject = subjectFrom(of);
  const [a, b] = [formById(from.variationId), formById(to.variationId)];
  const target = headlineOf(subject, a, from.setting, { channel, side }, true);
  if (!(target > 0)) {
    const asked = ask(subject, a, from.setting, WHOLE);
    return { ok: false, reason: asked.ok ? "no-demand" : asked.reason };
  }
  const range = rangeAsked(subject, b, to);
  const solution = range && solveLever(subject, b, to.setting, range, { channel, side }, target, range.increment);
  const now = headlineOf(subject, b, to.setting, { channel, side }, true);
  const same = from.variationId === to.variationId ? DEFAULT_SCHOOL.smallRiserFraction : SAME_BETWEEN_FRACTION;
  return { ok: true, target, solution, isAboutTheSame: Math.abs(now / target - 1) < same };
}

function runStair({ variationId, setting, down = 2, up = 8, goal, order, ...fit }: StairInput): unknown {
  const [context, place] = [contextFrom(fit), { variationId, setting }];
  return goal ? stairToGoal(context, place, goal, order) : stairAround(context, place, { down, up });
}

function runCalibrate({ band, lengthsM = [], strap, body }: CalibrateInput): unknown {
  return {
    ...(band ? { band: lengthsM.map((lengthM) => ({ lengthM, ...bandTension(band, lengthM) })) } : {}),
    ...(strap && body
      ? { strap: strapLean(bodyFromMeasure(body), strap.leanDeg, strap.comHeightM, strap.handleHeightM, strap.directionDeg) }
      : {}),
  };
}

const runFit = (input: FitInput): unknown =>
  fitCatalogue(
    contextFrom(input),
    CATALOGUE.filter(({ pattern }) => input.pattern === undefined || pattern === input.pattern),
  );

function runDecide({ variationId, setting, dose, sessions, clearances = [], painLimitScore, provisional, ...fit }: DecideInput): unknown {
  const context = contextFrom(fit);
  const place = { variationId, setting };
  const warnings = sessions.flatMap(({ id, day, warningSigns }, i) =>
    warningSigns.map((sign) => ({ sourceId: id ?? String(i), sign, day, at: day })),
  );
  return decide({
    today: fit.today,
    dose,
    sessions,
    openWarnings: openWarnings(
      warnings,
      clearances.map(({ sessionId, sign }) => ({ sourceId: sessionId, sign })),
    ),
    painLimitScore,
    provisional,
    current: judge(context, variationById(variationId), setting),
    ease: easeOnce(context, place, dose),
    easeTwice: easeTwice(context, place, dose),
    easeUntilAllowed: easeUntilAllowed(context, place, dose),
    build: buildOnce(context, place, dose),
    proposedCeiling: null,
  });
}

export const COMMANDS: Readonly<Record<string, Command>> = {
  mechanics: {
    summary: "Worked examples of the body model in their own shorthand",
    schema: mechanicsSchema,
    run: (input: Example[]) => runExamples(input),
  },
  demand: {
    summary: "What a variation of the catalogue, or a study of the model, asks of each joint in one set-up, and its pose",
    schema: demandInputSchema,
    check: (input: DemandInput) => placeIssues(subjectFrom(input), input, "", false),
    run: runDemand,
  },
  solve: {
    summary: "Which value of one lever gives a wanted demand, snapped to what is on hand on the safe side",
    schema: solveInputSchema,
    check: (input: SolveInput) => [
      ...placeIssues(subjectFrom(input), input, "", false),
      ...leverIssues(subjectFrom(input), input, input, ""),
    ],
    run: runSolve,
  },
  match: {
    summary: "Which setting of one variation or study asks as much of a joint as another does",
    schema: matchInputSchema,
    check: (input: MatchInput) => [
      ...placeIssues(subjectFrom(input), input.from, "from.", false),
      ...placeIssues(subjectFrom(input), input.to, "to.", false),
      ...leverIssues(subjectFrom(input), input.to, input.to, "to."),
    ],
    run: runMatch,
  },
  stair: {
    summary: "Even risers around a rung, or the whole way to a goal, one lever a step",
    schema: stairInputSchema,
    check: (input: StairInput) => [
      ...fitIssues(input),
      ...placeIssues(subjectFrom(input), input, "", true),
      ...(input.goal ? placeIssues(subjectFrom(input), input.goal, "goal.", true) : []),
    ],
    run: runStair,
  },
  calibrate: {
    summary: "A band's measured points, or a straight-body lean on a strap, as force",
    schema: calibrateInputSchema,
    run: runCalibrate,
  },
  fit: {
    summary: "Every variation for one client today: open, try, not measured or closed, solved and ranked",
    schema: fitInputSchema,
    check: fitIssues,
    run: runFit,
  },
  decide: {
    summary: "Ease, hold, build, rest or stop, with reasons",
    schema: decideInputSchema,
    check: (input: DecideInput) => [
      ...fitIssues(input),
      ...placeIssues(subjectFrom(input), input, "", true),
      ...input.sessions.flatMap(({ day }, i) => (day > input.today ? [{ path: `sessions.${i}.day`, code: "day.future" }] : [])),
    ],
    run: runDecide,
  },
  screen: {
    summary: "What was answered before training: whether a session may be built, and what the rules close, ask and remind of",
    schema: screenInputSchema,
    check: screenIssues,
    run: runScreen,
  },
  standards: {
    summary: "One published standard by name: a table's cell, a formula, a rule; outside what it covers it refuses",
    schema: standardsInputSchema,
    check: ({ fn, ...input }: StandardInput) =>
      fn === "due-date" && String(input["today"]) < String(input["lastPeriodDay"]) ? [{ path: "today", code: "day.before" }] : [],
    run: runStandard,
  },
};
