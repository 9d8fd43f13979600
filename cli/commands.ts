import { runDecide, sessionIssues } from "./decide";
import { floorInputSchema, type ToleranceInput, toleranceInputSchema } from "../src/schemas/command-line/floor-input.schema";
import { runFloor, runTolerance } from "./floor";
import type Joi from "joi";
import { bodyFromMeasure } from "../src/core/body/body";
import { SAME_BETWEEN_FRACTION } from "../src/core/progressions/tread";
import { DEFAULT_SCHOOL } from "../src/core/approach/approach";
import { ceilingTable, confidenceOf } from "../src/core/judge/ceiling-table";
import { headlineOf, solveLever } from "../src/core/progressions/solve";
import { stairAround, stairToGoal } from "../src/core/progressions/stair";
import { bandTension } from "../src/core/mechanics/band";
import { strapLean } from "../src/core/mechanics/levers";
import type { Issue } from "../src/core/reasons";
import { ask, WHOLE } from "../src/core/templates/ask";
import { poseOf } from "../src/core/templates/pose";
import {
  calibrateInputSchema,
  type CeilingsInput,
  ceilingsInputSchema,
  type CalibrateInput,
  demandInputSchema,
  type DemandInput,
  fitInputSchema,
  catalogueInputSchema,
  compareInputSchema,
  neighboursInputSchema,
  type NeighboursInput,
  matchInputSchema,
  type MatchInput,
  solveInputSchema,
  type SolveInput,
  stairInputSchema,
  type StairInput,
} from "../src/schemas/command-line/core-input.schema";
import { decideInputSchema, type DecideInput } from "../src/schemas/command-line/decide-input.schema";
import { type AssessInput, assessInputSchema } from "../src/schemas/command-line/assess-input.schema";
import {
  calendarInputSchema,
  doseInputSchema,
  forecastInputSchema,
  sessionInputSchema,
  weekInputSchema,
} from "../src/schemas/command-line/plan-input.schema";
import { screenInputSchema } from "../src/schemas/screen.schema";
import { type StandardInput, standardsInputSchema } from "../src/schemas/command-line/standards.schema";
import { findingIssues, runAssess } from "./assess";
import { runCatalogue, runCompare, runFit, runNeighbours } from "./fit";
import { runExamples } from "./run-examples";
import type { Example } from "./shorthand";
import { mechanicsSchema } from "./shorthand.schema";
import { doseIssues, runCalendar, runDose, runForecast, runSession, runWeek } from "./plan";
import { runScreen, screenIssues } from "./screen";
import { FORMAT_COMMANDS } from "./formats";
import { runStandard } from "./standards";
import { clientFrom, contextFrom, fitIssues, formById, leverIssues, placeIssues, rangeAsked, subjectFrom } from "./client";

/** One command: JSON in, JSON out. `check` finds what only a body or a row can tell, after the schema has passed. */
export interface Command {
  summary: string;
  schema: Joi.Schema;
  check?: (input: never) => Issue[];
  run: (input: never) => unknown;
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

/** Every bound of every channel and side, the one that binds first. */
function runCeilings({ provisional = [], ...fit }: CeilingsInput): unknown {
  const context = contextFrom(fit);
  const fromPose = fit.calmPose ? context.ceilings.slice(fit.ceilings?.length ?? 0).map(({ id }) => id) : [];
  return ceilingTable(context, [...provisional, ...fromPose]).map((row) => ({ ...row, confidence: confidenceOf(row.bounds[0]) }));
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
      ...placeIssues(clientFrom(input), input, "", true),
      ...(input.goal ? placeIssues(clientFrom(input), input.goal, "goal.", true) : []),
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
  compare: {
    summary: "Two schools on one client: what each opens, takes first and does next, where they differ",
    schema: compareInputSchema,
    check: fitIssues,
    run: runCompare,
  },
  neighbours: {
    summary: "One step easier and harder of a rung, by one lever, and the rows beside it on the ladder",
    schema: neighboursInputSchema,
    check: (input: NeighboursInput) => [...fitIssues(input), ...placeIssues(clientFrom(input), input, "", true)],
    run: runNeighbours,
  },
  catalogue: {
    summary: "Rows of the catalogue as plain data, by code or pattern; all of them where neither is said",
    schema: catalogueInputSchema,
    run: runCatalogue,
  },
  decide: {
    summary: "Ease, hold, build, rest or stop, with reasons",
    schema: decideInputSchema,
    check: (input: DecideInput) => [
      ...fitIssues(input),
      ...placeIssues(clientFrom(input), input, "", true),
      ...input.sessions.flatMap((session, i) => sessionIssues(session, input.sessions[i - 1]?.day, input.today, `sessions.${i}.`)),
    ],
    run: runDecide,
  },
  floor: {
    summary:
      "What the events of a session add up to, whatever their order: sets, eases, what is stopped, whose set is next and the rest before it",
    schema: floorInputSchema,
    run: runFloor,
  },
  tolerance: {
    summary:
      "What a joint takes, learnt from every answered dose; what a dose at the ceiling would answer, and whether the ceiling should move",
    schema: toleranceInputSchema,
    check: ({ fromDay, today }: ToleranceInput) => (fromDay > today ? [{ path: "fromDay", code: "day.future" }] : []),
    run: runTolerance,
  },
  screen: {
    summary: "What was answered before training: whether a session may be built, and what the rules close, ask and remind of",
    schema: screenInputSchema,
    check: screenIssues,
    run: runScreen,
  },
  assess: {
    summary: "What was measured: against published ranges, both sides, the time before; what follows, what is due and what to measure next",
    schema: assessInputSchema,
    check: ({ findings, today }: AssessInput) => findingIssues(findings, today),
    run: runAssess,
  },
  ceilings: {
    summary: "Every ceiling of every channel and side with all that bounds it, the safer first",
    schema: ceilingsInputSchema,
    check: fitIssues,
    run: runCeilings,
  },
  dose: {
    summary: "A dose for a purpose, a tempo's time under tension, goal and next loads, drop sets, bands, and what each side does",
    schema: doseInputSchema,
    check: doseIssues,
    run: runDose,
  },
  session: {
    summary: "A session for one client in this room and these minutes: ordered, timed, looked through, and what to drop first",
    schema: sessionInputSchema,
    check: fitIssues,
    run: runSession,
  },
  week: {
    summary: "Sessions laid on the days a client can, rest kept; whether a day would do, and where a missed one goes",
    schema: weekInputSchema,
    run: runWeek,
  },
  forecast: {
    summary: "An honest range of weeks to a goal by this client's own mornings; a support fade; the part of the way that is done",
    schema: forecastInputSchema,
    run: runForecast,
  },
  calendar: {
    summary: "Sessions as an iCalendar file in a time zone",
    schema: calendarInputSchema,
    run: runCalendar,
  },
  ...FORMAT_COMMANDS,
  standards: {
    summary: "One published standard by name: a table's cell, a formula, a rule; outside what it covers it refuses",
    schema: standardsInputSchema,
    check: ({ fn, ...input }: StandardInput) =>
      fn === "due-date" && String(input["today"]) < String(input["lastPeriodDay"]) ? [{ path: "today", code: "day.before" }] : [],
    run: runStandard,
  },
};
