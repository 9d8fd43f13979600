import Joi from "joi";
import type { BodyMeasure } from "../../core/body/body";
import { type Dose, type Pattern, PATTERNS } from "../../core/catalogue/variation";
import type { Ceiling } from "../../core/limits/ceiling";
import { type Complaint, type LimitedBy, SITES } from "../../core/limits/complaint";
import type { Day } from "../../core/day";
import type { Limit } from "../../core/limits/limit";
import { type Careful, type RailChannelId, RAILS } from "../../core/limits/rails";
import type { BandTable } from "../../core/mechanics/band";
import {
  CEILING_CHANNELS,
  type ChannelSide,
  CHANNELS,
  NUMBER_CHANNELS,
  type NumberChannelId,
  type Side,
} from "../../core/mechanics/channels";
import { LEVER_IDS, type LeverId, type LeverKind, type Setting } from "../../core/templates/lever";
import { bodyMeasureSchema } from "../body.schema";
import { ALWAYS } from "../../core/screen/screen";
import { channelSide, day, lever, settingSchema, side, within, words } from "../fields";
import { schoolInputSchema, type SchoolInput, toldKeys, type ToldInput } from "./fit-input.schema";
import { calmPoseKeys, isEndedBeforeBegun, ruleSchema } from "../limit.schema";
import { doseSchema } from "../plan.schema";
import { subjectKeys, type SubjectInput } from "./subject.schema";

/** Input of the core's command line: one client, one day, as plain data. What a body decides is checked after it is read. */
export const id = Joi.string().max(80);

const liftSchema = Joi.object({
  kind: Joi.string().valid("lifted", "mistake").required(),
  by: words(80).required(),
  role: words(80).required(),
  day: day.required(),
  reason: words(400).required(),
});
/** What is left out: a clinician's, on both sides, in force until it is lifted. */
export const limitSchema = Joi.object<Limit>({
  id: id.default("limit"),
  rule: ruleSchema.required(),
  side: channelSide.default("both"),
  owner: Joi.object({
    kind: Joi.string().valid("clinician", "rule", "client", "measure").required(),
    name: words(80).required(),
  }).default({ kind: "clinician", name: "clinician" }),
  fromDay: day.default(ALWAYS),
  untilDay: day.allow(null).default(null),
  lift: liftSchema.allow(null).default(null),
}).custom((limit: Limit, helpers) => (isEndedBeforeBegun(limit) ? helpers.error("day.before") : limit));

/** A ceiling on a side that its channel does not have would be read by nothing. */
const ceilingSchema = Joi.object<Ceiling>({
  id: id.required(),
  channel: Joi.string()
    .valid(...CEILING_CHANNELS)
    .required(),
  side: Joi.when("channel", {
    switch: CEILING_CHANNELS.map((channel) => ({
      is: channel,
      then: CHANNELS[channel].sided ? side.required() : Joi.valid("both").required(),
    })),
  }),
  value: Joi.number().positive().max(1e6).required(),
  source: Joi.object({ kind: Joi.string().valid("calm-pose", "history", "trainer").required(), id: id.required() }).required(),
  fromDay: day.required(),
  isShareMeasured: Joi.boolean().required(),
});

export const complaintSchema = Joi.object<Complaint>({
  id: id.default("complaint"),
  site: Joi.string()
    .valid(...SITES)
    .required(),
  side: channelSide.required(),
  words: Joi.string().allow("").max(200).default(""),
  usualPainScore: within({ min: 0, max: 10 }).required(),
  painLimitScore: within({ min: 0, max: 10 }).required(),
});

/** A variation of the catalogue or a study of the model, in one set-up. */
export interface PlaceInput {
  variationId: string;
  setting: Setting;
}
export const placeKeys = { variationId: id.required(), setting: settingSchema.required() };

export interface DemandInput extends SubjectInput, PlaceInput {}
export const demandInputSchema = Joi.object<DemandInput>({ ...subjectKeys, ...placeKeys }).required();

const channel = Joi.string().valid(...NUMBER_CHANNELS);
const increment = Joi.number().positive();
interface LeverInput {
  lever: LeverId;
  low?: number;
  high?: number;
  increment?: number;
}
const leverKeys = { lever: lever.required(), low: Joi.number(), high: Joi.number().greater(Joi.ref("low")), increment };

export interface SolveInput extends DemandInput, LeverInput {
  channel: NumberChannelId;
  side: ChannelSide;
  target: number;
}
export const solveInputSchema = Joi.object<SolveInput>({
  ...subjectKeys,
  ...placeKeys,
  ...leverKeys,
  channel: channel.required(),
  side: channelSide.required(),
  target: Joi.number().required(),
}).required();

export interface MatchInput extends SubjectInput {
  from: PlaceInput;
  to: PlaceInput & LeverInput;
  channel: NumberChannelId;
  side: ChannelSide;
}
export const matchInputSchema = Joi.object<MatchInput>({
  ...subjectKeys,
  from: Joi.object(placeKeys).required(),
  to: Joi.object({ ...placeKeys, ...leverKeys }).required(),
  channel: channel.required(),
  side: channelSide.required(),
}).required();

export interface CalmPoseInput extends PlaceInput {
  side: Side;
  limitedBy: LimitedBy;
  shareFraction: number | null;
}
export interface FitInput extends Omit<SubjectInput, "leadSide">, ToldInput {
  /** Left out: the side that hurts or that a condition is on, else the right. */
  leadSide?: Side;
  today: Day;
  pattern?: Pattern;
  patterns?: Pattern[];
  complaints?: Complaint[];
  /** Asked, and nothing hurts: an empty list alone says that nobody asked. */
  nothingHurts?: boolean;
  /** Rows done as prescribed and answered calm, by id. */
  calmRows?: string[];
  careful?: Careful[];
  limits?: Limit[];
  ceilings?: Ceiling[];
  calmPose?: CalmPoseInput;
  /** Loads that were calm, by pattern; bends further than the guard rails that were measured or calm. */
  calmLoads?: Partial<Record<Pattern, Setting>>;
  ownRange?: Partial<Record<RailChannelId, number>>;
  increments?: Partial<Record<LeverId, number>>;
  targetUseFraction?: number;
}
export const fitKeys = {
  ...subjectKeys,
  leadSide: side,
  ...toldKeys,
  today: day.required(),
  pattern: Joi.string().valid(...PATTERNS),
  patterns: Joi.array()
    .items(Joi.string().valid(...PATTERNS))
    .unique(),
  complaints: Joi.array().items(complaintSchema).max(50),
  nothingHurts: Joi.boolean(),
  calmRows: Joi.array().items(id).max(500),
  careful: Joi.array()
    .items(Joi.string().valid("back", "bone-thinning", "pregnancy"))
    .unique(),
  limits: Joi.array().items(limitSchema).max(200),
  ceilings: Joi.array().items(ceilingSchema).max(200),
  calmPose: Joi.object(calmPoseKeys),
  calmLoads: Joi.object(Object.fromEntries(PATTERNS.map((pattern) => [pattern, settingSchema]))),
  ownRange: Joi.object(Object.fromEntries(Object.keys(RAILS).map((rail) => [rail, within({ min: 0, max: 180 })]))),
  increments: Joi.object(Object.fromEntries(LEVER_IDS.map((each) => [each, increment]))),
  targetUseFraction: within({ min: 0.1, max: 1 }),
};
export const fitInputSchema = Joi.object<FitInput>(fitKeys).required();

export interface CompareInput extends FitInput {
  /** The two schools side by side. */
  schools: [SchoolInput, SchoolInput];
}
export const compareInputSchema = Joi.object<CompareInput>({
  ...fitKeys,
  schools: Joi.array().items(schoolInputSchema).length(2).required(),
}).required();

export interface NeighboursInput extends FitInput, PlaceInput {
  dose?: Dose;
}
export const neighboursInputSchema = Joi.object<NeighboursInput>({ ...fitKeys, ...placeKeys, dose: doseSchema }).required();

export interface CatalogueInput {
  codes?: string[];
  patterns?: Pattern[];
}
export const catalogueInputSchema = Joi.object<CatalogueInput>({
  codes: Joi.array().items(Joi.string().max(8)).max(300),
  patterns: Joi.array().items(Joi.string().valid(...PATTERNS)),
}).required();

export interface CeilingsInput extends FitInput {
  /** Ceilings that no calm morning has confirmed yet; those of `calmPose` never are. */
  provisional?: string[];
}
export const ceilingsInputSchema = Joi.object<CeilingsInput>({
  ...fitKeys,
  provisional: Joi.array().items(id).max(200),
}).required();

const treadCount = Joi.number().integer().min(0).max(40);
export interface StairInput extends FitInput, PlaceInput {
  down?: number;
  up?: number;
  /** The whole way to here instead of the treads around; levers in `order`. */
  goal?: PlaceInput;
  order?: LeverKind[];
}
export const stairInputSchema = Joi.object<StairInput>({
  ...fitKeys,
  ...placeKeys,
  down: treadCount,
  up: treadCount,
  goal: Joi.object(placeKeys),
  order: Joi.array()
    .items(Joi.string().valid("support", "range", "stance", "load"))
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
