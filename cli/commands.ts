import type Joi from "joi";
import {
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
  inverse,
  leverValues,
  nextStep,
  type Subject,
  variationById,
  variationsOf,
  withLever,
} from "../src/core";
import {
  decideInputSchema,
  type DecideInput,
  demandInputSchema,
  type DemandInput,
  fitInputSchema,
  type FitInput,
  solveInputSchema,
  type SolveInput,
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

/** The exact setting, and the nearest one on the equipment's grid that does not ask more. */
function runSolve({ lever, low, high, channel, side, target, increment, ...input }: SolveInput): unknown {
  const subject = subjectFrom(input);
  const variation = variationById(input.variationId);
  const at = (value: number): number => {
    const demand = demandOf(subject, variation, withLever(input.setting, lever, value));
    return demand.ok ? (demand.channels.find((d) => d.channel === channel && d.side === side)?.head ?? NaN) : NaN;
  };
  const result = inverse(at, low, high, target);
  const step = increment ?? DEFAULT_KIT.increments[lever];
  const snapped = leverValues({ lever, min: low, max: high, start: low }, step).filter((value) => at(value) <= target);
  return { ...result, snapped: snapped.at(-1) ?? null };
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
  fit: { summary: "Every variation for one client today: open, try or closed, solved and ranked", schema: fitInputSchema, run: runFit },
  decide: { summary: "Ease, hold, build or stop, with reasons", schema: decideInputSchema, run: runDecide },
};
