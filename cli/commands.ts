import type Joi from "joi";
import {
  bandTension,
  bodyFromMeasure,
  type Ceiling,
  ceilingsFromCalmPose,
  decide,
  DEFAULT_KIT,
  DEFAULT_POSTURE,
  DEFAULT_TARGET_USE,
  demandOf,
  fitCatalogue,
  type FitContext,
  matchDemand,
  nextStep,
  solveLever,
  stairAround,
  strapLean,
  type Subject,
  variationById,
  variationsOf,
} from "../src/core";
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
  solveInputSchema,
  type SolveInput,
  stairInputSchema,
  type StairInput,
  type SubjectInput,
} from "../src/schemas/core-input.schema";
import { runExamples } from "./run-examples";
import type { Example } from "./shorthand";
import { mechanicsSchema } from "./shorthand.schema";

/** One command: JSON in, JSON out. */
export interface Command {
  summary: string;
  schema: Joi.Schema;
  run: (input: never) => unknown;
}

const subjectFrom = ({ body, posture = DEFAULT_POSTURE, leadSide }: SubjectInput): Subject => ({
  body: bodyFromMeasure(body),
  posture,
  leadSide,
});

function ceilingsFrom(subject: Subject, { calmPose, ceilings = [], today }: FitInput): Ceiling[] {
  if (!calmPose) return ceilings;
  const calibration = ceilingsFromCalmPose(subject, {
    ...calmPose,
    id: "calm-pose",
    day: today,
    variation: variationById(calmPose.variationId),
  });
  if (!calibration.ok) return ceilings;
  return [...ceilings, ...calibration.ceilings.map((ceiling, i) => ({ ...ceiling, id: `calm-pose-${i}` }))];
}

function contextFrom(input: FitInput): FitContext {
  const subject = subjectFrom(input);
  return {
    subject,
    limits: input.limits ?? [],
    ceilings: ceilingsFrom(subject, input),
    today: input.today,
    increments: { ...DEFAULT_KIT.increments, ...input.increments },
    equipment: input.equipment ?? DEFAULT_KIT.equipment,
    targetUseFraction: input.targetUseFraction ?? DEFAULT_TARGET_USE,
  };
}

function runDemand(input: DemandInput): unknown {
  return demandOf(subjectFrom(input), variationById(input.variationId), input.setting);
}

function runSolve({ lever, low, high, channel, side, target, increment, ...input }: SolveInput): unknown {
  const range = { lever, min: low, max: high };
  const step = increment ?? DEFAULT_KIT.increments[lever];
  return solveLever(subjectFrom(input), variationById(input.variationId), input.setting, range, { channel, side }, target, step);
}

function runMatch({ from, to, channel, side, ...subject }: MatchInput): unknown {
  const target = {
    variation: variationById(to.variationId),
    setting: to.setting,
    range: { lever: to.lever, min: to.low, max: to.high },
    increment: to.increment ?? DEFAULT_KIT.increments[to.lever],
  };
  return matchDemand(subjectFrom(subject), { variation: variationById(from.variationId), setting: from.setting }, target, {
    channel,
    side,
  });
}

function runStair({ variationId, setting, down = 2, up = 8, ...fit }: StairInput): unknown {
  return stairAround(contextFrom(fit), variationById(variationId), setting, { down, up });
}

function runCalibrate({ band, lengthsM = [], strap, body }: CalibrateInput): unknown {
  return {
    ...(band ? { band: lengthsM.map((lengthM) => ({ lengthM, ...bandTension(band, lengthM) })) } : {}),
    ...(strap && body
      ? { strap: strapLean(bodyFromMeasure(body), strap.leanDeg, strap.comHeightM, strap.handleHeightM, strap.directionDeg) }
      : {}),
  };
}

const runFit = (input: FitInput): unknown => fitCatalogue(contextFrom(input), variationsOf("squat"));

function runDecide({ variationId, setting, dose, sessions, painLimitScore, provisional, ...fit }: DecideInput): unknown {
  const context = contextFrom(fit);
  const variation = variationById(variationId);
  const step = (move: "ease" | "build") => nextStep(context, variation, setting, move);
  return decide({ dose, sessions, painLimitScore, provisional, ease: step("ease"), build: step("build"), proposedCeiling: null });
}

export const COMMANDS: Readonly<Record<string, Command>> = {
  mechanics: {
    summary: "Worked examples of the body model in their own shorthand",
    schema: mechanicsSchema,
    run: (input: Example[]) => runExamples(input),
  },
  demand: { summary: "What a variation in one set-up asks of each joint", schema: demandInputSchema, run: runDemand },
  solve: { summary: "Which value of one lever gives a wanted demand", schema: solveInputSchema, run: runSolve },
  match: { summary: "Which setting of one variation asks as much of a joint as another does", schema: matchInputSchema, run: runMatch },
  stair: { summary: "Even risers around a rung, one lever a step", schema: stairInputSchema, run: runStair },
  calibrate: {
    summary: "A band's measured points, or a straight-body lean on a strap, as force",
    schema: calibrateInputSchema,
    run: runCalibrate,
  },
  fit: { summary: "Every variation for one client today: open, try or closed, solved and ranked", schema: fitInputSchema, run: runFit },
  decide: { summary: "Ease, hold, build or stop, with reasons", schema: decideInputSchema, run: runDecide },
};
