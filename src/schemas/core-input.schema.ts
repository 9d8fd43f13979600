import Joi from "joi";
import {
  type BandTable,
  type BodyMeasure,
  CATALOGUE,
  type CalmPose,
  type Ceiling,
  FIT_CHANNELS,
  type FitChannelId,
  DEFAULT_KIT,
  type Day,
  type Dose,
  type Equipment,
  LEVERS,
  type LeverId,
  type LeverKind,
  type Limit,
  LOAD_CHANNELS,
  type SessionOutcome,
  type Setting,
} from "../core";
import { bodyMeasureSchema } from "./body.schema";
import { subjectKeys, type SubjectInput } from "./subject.schema";
import {
  either,
  type TemplateDemandInput,
  templateDemandSchema,
  type TemplateMatchInput,
  templateMatchSchema,
  type TemplateSolveInput,
  templateSolveSchema,
} from "./template-input.schema";
import { day, settingSchema, side, within } from "./fields";
import { doseSchema } from "./plan.schema";

/** Input of the core's command line: one client, one day, as plain data. */
const variationId = Joi.string().valid(...CATALOGUE.map(({ id }) => id));
const lever = Joi.string().valid(...Object.keys(LEVERS));
const channelSide = Joi.string().valid("left", "right", "both");

export const ruleSchema = Joi.object({
  kind: Joi.string().valid("knee-bend", "shin-forward", "no-load-on-back", "own-words").required(),
  maxDeg: Joi.number().when("kind", { is: Joi.valid("knee-bend", "shin-forward"), then: Joi.required(), otherwise: Joi.forbidden() }),
  text: Joi.string().when("kind", { is: "own-words", then: Joi.required(), otherwise: Joi.forbidden() }),
});

const limitSchema = Joi.object({
  id: Joi.string().required(),
  rule: ruleSchema.required(),
  side: channelSide.required(),
  owner: Joi.object({ kind: Joi.string().valid("clinician", "rule", "client").required(), name: Joi.string().required() }).required(),
  fromDay: day.required(),
  untilDay: day.allow(null).required(),
  lift: Joi.object({ by: Joi.string().required(), role: Joi.string().required(), day: day.required(), reason: Joi.string().required() })
    .allow(null)
    .required(),
});

const calmPoseSchema = Joi.object({
  side: side.required(),
  limitedBy: Joi.string().valid("kneecap", "knee", "hip", "low-back").required(),
  variationId: variationId.required(),
  setting: settingSchema.required(),
  shareFraction: within({ min: 0.2, max: 0.8 }).allow(null).required(),
});

const ceilingSchema = Joi.object({
  id: Joi.string().required(),
  channel: Joi.string()
    .valid(...LOAD_CHANNELS)
    .required(),
  side: channelSide.required(),
  value: Joi.number().positive().required(),
  source: Joi.object({ kind: Joi.string().valid("calm-pose", "history").required(), id: Joi.string().required() }).required(),
  standsInFor: Joi.string().valid("kneecapStress").allow(null).required(),
  fromDay: day.required(),
  share: Joi.object({ fraction: within({ min: 0.2, max: 0.8 }).required(), measured: Joi.boolean().required() }).required(),
});

const increment = Joi.number().positive();
export interface DemandInput extends SubjectInput {
  variationId: string;
  setting: Setting;
}
const variationDemandSchema = Joi.object<DemandInput>({
  ...subjectKeys,
  variationId: variationId.required(),
  setting: settingSchema.required(),
});
export const demandInputSchema = either<DemandInput | TemplateDemandInput>(templateDemandSchema, variationDemandSchema);

export interface SolveInput extends DemandInput {
  lever: LeverId;
  low: number;
  high: number;
  channel: FitChannelId;
  side: "left" | "right" | "both";
  target: number;
  increment?: number;
}
const variationSolveSchema = variationDemandSchema.append<SolveInput>({
  lever: lever.required(),
  low: Joi.number().required(),
  high: Joi.number().greater(Joi.ref("low")).required(),
  channel: Joi.string()
    .valid(...FIT_CHANNELS)
    .required(),
  side: channelSide.required(),
  target: Joi.number().required(),
  increment,
});

export const solveInputSchema = either<SolveInput | TemplateSolveInput>(templateSolveSchema, variationSolveSchema);

export interface FitInput extends SubjectInput {
  limits?: Limit[];
  ceilings?: Ceiling[];
  calmPose?: Omit<CalmPose, "id" | "day" | "variation"> & { variationId: string };
  today: Day;
  increments?: Partial<Record<LeverId, number>>;
  equipment?: Equipment[];
  targetUseFraction?: number;
}
const fitKeys = {
  ...subjectKeys,
  limits: Joi.array().items(limitSchema),
  ceilings: Joi.array().items(ceilingSchema),
  calmPose: calmPoseSchema,
  today: day.required(),
  increments: Joi.object(Object.fromEntries(Object.keys(LEVERS).map((id) => [id, increment]))),
  equipment: Joi.array().items(Joi.string().valid(...DEFAULT_KIT.equipment)),
  targetUseFraction: within({ min: 0.1, max: 1 }),
};
export const fitInputSchema = Joi.object<FitInput>(fitKeys).required();

const setSchema = Joi.object({
  repetitions: Joi.number().integer().min(0).required(),
  painScore: within({ min: 0, max: 10 }).allow(null).required(),
  leftInTank: Joi.number().integer().min(0).allow(null).required(),
  faults: Joi.array().items(Joi.string()).required(),
  endedBy: Joi.string().valid("pain-tap", "sharp", "spreading", "warning-sign").required(),
});
const sessionSchema = Joi.object({
  day: day.required(),
  sets: Joi.array().items(setSchema).required(),
  eased: Joi.boolean().required(),
  response: Joi.string().valid("calm", "noticed", "flare").allow(null).required(),
  newSwelling: Joi.boolean().required(),
  warningSigns: Joi.array().items(Joi.string()).required(),
});

export interface DecideInput extends FitInput {
  variationId: string;
  setting: Setting;
  dose: Dose;
  sessions: SessionOutcome[];
  painLimitScore: number;
  provisional: boolean;
}
export const decideInputSchema = Joi.object<DecideInput>({
  ...fitKeys,
  variationId: variationId.required(),
  setting: settingSchema.required(),
  dose: doseSchema.required(),
  sessions: Joi.array().items(sessionSchema).required(),
  painLimitScore: within({ min: 0, max: 10 }).required(),
  provisional: Joi.boolean().required(),
}).required();

interface Chosen {
  variationId: string;
  setting: Setting;
}
export interface MatchInput extends SubjectInput {
  from: Chosen;
  to: Chosen & { lever: LeverId; low: number; high: number; increment?: number };
  channel: FitChannelId;
  side: "left" | "right" | "both";
}
const chosenKeys = { variationId: variationId.required(), setting: settingSchema.required() };
const variationMatchSchema = Joi.object<MatchInput>({
  ...subjectKeys,
  from: Joi.object(chosenKeys).required(),
  to: Joi.object({
    ...chosenKeys,
    lever: lever.required(),
    low: Joi.number().required(),
    high: Joi.number().greater(Joi.ref("low")).required(),
    increment,
  }).required(),
  channel: Joi.string()
    .valid(...FIT_CHANNELS)
    .required(),
  side: channelSide.required(),
}).required();

export const matchInputSchema = Joi.alternatives<MatchInput | TemplateMatchInput>()
  .conditional(Joi.object({ from: Joi.object({ template: Joi.exist() }).unknown() }).unknown(), {
    then: templateMatchSchema,
    otherwise: variationMatchSchema,
  })
  .required();

export interface StairInput extends FitInput, Chosen {
  down?: number;
  up?: number;
  /** The whole way to here instead of the treads around; levers in `order`. */
  goal?: Chosen;
  order?: LeverKind[];
}
const treadCount = Joi.number().integer().min(0).max(40);
export const stairInputSchema = Joi.object<StairInput>({
  ...fitKeys,
  ...chosenKeys,
  down: treadCount,
  up: treadCount,
  goal: Joi.object(chosenKeys),
  order: Joi.array()
    .items(Joi.string().valid("support", "range", "load", "share"))
    .unique(),
}).required();

export interface CalibrateInput {
  band?: BandTable;
  lengthsM?: number[];
  body?: BodyMeasure;
  strap?: { leanDeg: number; comHeightM: number; handleHeightM: number; directionDeg: number };
}
const lengthM = Joi.number().greater(0).max(10);
export const calibrateInputSchema = Joi.object<CalibrateInput>({
  band: Joi.object({
    restM: lengthM.required(),
    points: Joi.array()
      .items(
        Joi.object({ lengthM: lengthM.greater(Joi.ref("/band.restM")).required(), tensionN: Joi.number().min(0).max(2000).required() }),
      )
      .min(1)
      .required(),
  }),
  lengthsM: Joi.array().items(Joi.number().min(0).max(10)),
  body: bodyMeasureSchema,
  strap: Joi.object({
    leanDeg: within({ min: 0, max: 60 }).required(),
    comHeightM: within({ min: 0.4, max: 1.5 }).required(),
    handleHeightM: within({ min: 0.2, max: 2 }).required(),
    directionDeg: within({ min: -90, max: 180 }).required(),
  }),
})
  .or("band", "strap")
  .with("strap", "body")
  .required();
