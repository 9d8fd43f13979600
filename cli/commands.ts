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
  MODEL_TEMPLATES,
  type ModelTemplate,
  nextStep,
  solveLever,
  solveTemplate,
  stairAround,
  stairToGoal,
  startValues,
  strapLean,
  type Subject,
  templateDemand,
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
} from "../src/schemas/core-input.schema";
import type { SubjectInput } from "../src/schemas/subject.schema";
import type { TemplateDemandInput, TemplateMatchInput, TemplatePlace, TemplateSolveInput } from "../src/schemas/template-input.schema";
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

function templateFrom({ template, values }: TemplatePlace): { template: ModelTemplate; values: Record<string, number> } {
  const found = MODEL_TEMPLATES.find(({ id }) => id === template);
  if (!found) throw new RangeError(template); // ids were checked on the way in
  return { template: found, values: { ...startValues(found), ...values } };
}
/** A template's lever over the range asked for, or its own. */
function leverFrom(
  template: ModelTemplate,
  { lever, low, high, increment }: { lever: string; low?: number; high?: number; increment?: number },
) {
  const row = template.levers.find(({ id }) => id === lever);
  if (!row) throw new RangeError(lever);
  return { id: lever, min: low ?? row.min, max: high ?? row.max, step: increment ?? row.step };
}

function runDemand(input: DemandInput | TemplateDemandInput): unknown {
  if (!("template" in input)) return demandOf(subjectFrom(input), variationById(input.variationId), input.setting);
  const { template, values } = templateFrom(input);
  return template.pose(subjectFrom(input), values);
}

function runSolve(input: SolveInput | TemplateSolveInput): unknown {
  if (!("template" in input)) return runSolveVariation(input);
  const { template, values } = templateFrom(input);
  const { channel, leg = "lead", target } = input;
  return solveTemplate(subjectFrom(input), template, values, leverFrom(template, input), { channel, leg }, target);
}

function runSolveVariation({ lever, low, high, channel, side, target, increment, ...input }: SolveInput): unknown {
  const range = { lever, min: low, max: high };
  const step = increment ?? DEFAULT_KIT.increments[lever];
  return solveLever(subjectFrom(input), variationById(input.variationId), input.setting, range, { channel, side }, target, step);
}

function runMatch(input: MatchInput | TemplateMatchInput): unknown {
  if ("side" in input) return runMatchVariations(input);
  const { from, to, channel, leg = "lead" } = input;
  const who = subjectFrom(input);
  const [a, b] = [templateFrom(from), templateFrom(to)];
  const target = templateDemand(who, a.template, a.values, { channel, leg });
  if (!(target > 0)) {
    const pose = a.template.pose(who, a.values);
    return { ok: false, reason: pose.ok ? "no-demand" : pose.reason };
  }
  const solution = solveTemplate(who, b.template, b.values, leverFrom(b.template, to), { channel, leg }, target);
  return { ok: true, target, solution };
}

function runMatchVariations({ from, to, channel, side, ...subject }: MatchInput): unknown {
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

function runStair({ variationId, setting, down = 2, up = 8, goal, order, ...fit }: StairInput): unknown {
  if (goal) return stairToGoal(contextFrom(fit), { variationId, setting }, goal, order);
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
  demand: {
    summary: "What a variation, or any template of the model, asks of each joint in one set-up",
    schema: demandInputSchema,
    run: runDemand,
  },
  solve: {
    summary: "Which value of one lever gives a wanted demand, snapped to what is on hand on the safe side",
    schema: solveInputSchema,
    run: runSolve,
  },
  match: {
    summary: "Which setting of one variation or template asks as much of a joint as another does",
    schema: matchInputSchema,
    run: runMatch,
  },
  stair: { summary: "Even risers around a rung, or the whole way to a goal, one lever a step", schema: stairInputSchema, run: runStair },
  calibrate: {
    summary: "A band's measured points, or a straight-body lean on a strap, as force",
    schema: calibrateInputSchema,
    run: runCalibrate,
  },
  fit: { summary: "Every variation for one client today: open, try or closed, solved and ranked", schema: fitInputSchema, run: runFit },
  decide: { summary: "Ease, hold, build or stop, with reasons", schema: decideInputSchema, run: runDecide },
};
