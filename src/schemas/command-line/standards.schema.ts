import Joi from "joi";
import { CHAIR_STAND_AGES } from "../../core/standards/chair-rise";
import { JOINT_CONTACT_PERCENT } from "../../core/standards/joint-contact";
import { COUPLINGS } from "../../core/standards/lifting";
import { DISEASES, INTENSITIES } from "../../core/standards/pre-participation";
import { inReserve, loadFor, ONE_REP_MAX_FORMULAS, REPETITIONS_TO_FAILURE } from "../../core/standards/repetition";
import { SEGMENT_SOURCES, segmentNames } from "../../core/standards/segment";
import { STANCE_AGES } from "../../core/standards/single-leg-stance.data";
import { recurrenceDays } from "../../core/week/recurrence";
import { loincCheck } from "../../formats/loinc";
import { day, within } from "../fields";

/** Arguments of the published standards by name. A bound is what the table or formula covers: outside it nothing is published. */
const oneOf = (...values: readonly string[]): Joi.StringSchema => Joi.string().valid(...values);
const sex = oneOf("female", "male");
const age = within({ min: 18, max: 110 });
const massKg = within({ min: 20, max: 300 }).required();
const seconds = Joi.number().positive().max(3600).required();
const load = Joi.number().positive().max(5000);
const holdS = Joi.number().positive().max(3600).required();

const isActivity = (...names: string[]) => ({ is: Joi.valid(...names), then: Joi.required(), otherwise: Joi.forbidden() });

export const STANDARD_ARGUMENTS = {
  "pre-participation": {
    active: Joi.boolean().required(),
    monthsActive: within({ min: 0, max: 1200 }).required(),
    disease: Joi.array()
      .items(oneOf(...DISEASES))
      .max(3)
      .required(),
    symptoms: Joi.array().items(Joi.string().max(200)).max(20).required(),
    clearedMonthsAgo: within({ min: 0, max: 1200 }).allow(null).required(),
    wants: oneOf(...INTENSITIES).required(),
  },
  "chair-stand": {
    age: Joi.number()
      .min(CHAIR_STAND_AGES[0])
      .less(CHAIR_STAND_AGES[1] + 1)
      .required(),
    sex: sex.required(),
    count: Joi.number().integer().min(0).max(100).required(),
  },
  "sppb-chair": { seconds },
  "sppb-walk": { seconds },
  "single-leg-stance": {
    age: Joi.number()
      .min(STANCE_AGES[0])
      .less(STANCE_AGES[1] + 1)
      .required(),
    sex,
    eyes: oneOf("open", "closed").required(),
    measure: oneOf("best", "mean").required(),
  },
  "trunk-endurance": { flexionS: holdS, extensionS: holdS, rightS: holdS, leftS: holdS },
  "due-date": { lastPeriodDay: day.required(), today: day.required() },
  "lifting-equation": {
    loadKg: within({ min: 0, max: 500 }).required(),
    horizontalCm: Joi.number().positive().max(300).required(),
    verticalCm: within({ min: -100, max: 300 }).required(),
    distanceCm: within({ min: 0, max: 300 }).required(),
    asymmetryDeg: within({ min: 0, max: 180 }).required(),
    liftsPerMin: within({ min: 0, max: 60 }).required(),
    hours: Joi.number().positive().max(8).required(),
    coupling: oneOf(...COUPLINGS).required(),
    twoDecimals: Joi.boolean(),
  },
  "joint-contact": {
    joint: oneOf(...Object.keys(JOINT_CONTACT_PERCENT)).required(),
    activity: Joi.when("joint", {
      switch: Object.entries(JOINT_CONTACT_PERCENT).map(([joint, activities]) => ({
        is: joint,
        then: oneOf(...Object.keys(activities)).required(),
      })),
    }),
    massKg,
  },
  segment: {
    table: oneOf(...SEGMENT_SOURCES).required(),
    sex: sex.required(),
    massKg,
    segment: Joi.when("table", { switch: SEGMENT_SOURCES.map((table) => ({ is: table, then: oneOf(...segmentNames(table)).required() })) }),
    lengthM: Joi.number().positive().max(3),
  },
  stature: { statureM: within({ min: 1, max: 2.3 }).required() },
  "heart-rate": {
    age: age.required(),
    restingBpm: within({ min: 25, max: 150 }),
    reserveFraction: within({ min: 0, max: 1 }),
    betaBlocker: Joi.boolean(),
  },
  metabolic: {
    activity: oneOf("step", "leg-ergometer", "arm-ergometer", "walk").required(),
    stepsPerMin: within({ min: 12, max: 30 }).when("activity", isActivity("step")),
    heightM: within({ min: 0.04, max: 0.4 }).when("activity", isActivity("step")),
    watts: Joi.when("activity", { is: "leg-ergometer", then: within({ min: 50, max: 200 }), otherwise: within({ min: 0, max: 500 }) }).when(
      "activity",
      isActivity("leg-ergometer", "arm-ergometer"),
    ),
    massKg: within({ min: 20, max: 300 }).when("activity", isActivity("leg-ergometer", "arm-ergometer")),
    metresPerMin: within({ min: 50, max: 100 }).when("activity", isActivity("walk")),
    grade: within({ min: 0, max: 0.5 }).when("activity", isActivity("walk")),
  },
  "sit-to-stand-power": {
    massKg,
    statureM: within({ min: 1, max: 2.3 }).required(),
    chairM: within({ min: 0.2, max: 1 }).required(),
    seconds,
  },
  "one-rep-max": {
    formula: oneOf(...ONE_REP_MAX_FORMULAS).required(),
    load: load.required(),
    repetitions: within(REPETITIONS_TO_FAILURE).integer().required(),
  },
  "load-for": {
    oneRepMax: load.required(),
    // what the table has no row for is not published
    repetitions: Joi.number()
      .integer()
      .min(1)
      .custom((count: number, helpers) => {
        const { inReserve: left = 0 } = (helpers.state.ancestors as { inReserve?: number }[])[0] ?? {};
        return loadFor(1, count, left) ? count : helpers.error("number.untabulated");
      })
      .required(),
    inReserve: within({ min: 0, max: 10 }).integer(),
  },
  "in-reserve": {
    rpe: Joi.number()
      .min(1)
      .max(10)
      .multiple(0.5)
      .custom((rpe: number, helpers) => (inReserve(rpe) ? rpe : helpers.error("number.untabulated")))
      .required(),
  },
  "two-for-two": {
    goal: within({ min: 1, max: 100 }).integer().required(),
    lastSets: Joi.array()
      .items(within({ min: 0, max: 200 }).integer())
      .length(2)
      .required(),
  },
  "load-window": { load: load.required(), increment: Joi.number().positive().max(1000) },
  "session-load": {
    daily: Joi.array()
      .items(within({ min: 0, max: 100_000 }))
      .length(7)
      .required(),
  },
  loinc: {
    code: Joi.string()
      .max(20)
      .custom((code: string, helpers) => (loincCheck(code) ? code : helpers.error("code.unread")))
      .required(),
  },
  "csv-row": { fields: Joi.array().items(Joi.string().allow("").max(10_000), Joi.number()).min(1).max(1000).required() },
  recurrence: {
    rule: Joi.string()
      .max(300)
      .custom((rule: string, helpers) => (recurrenceDays(rule, "2026-01-01") ? rule : helpers.error("rule.unread")))
      .required(),
    start: day.required(),
  },
} as const satisfies Record<string, Joi.PartialSchemaMap>;
export type StandardName = keyof typeof STANDARD_ARGUMENTS;
export const STANDARD_NAMES = Object.keys(STANDARD_ARGUMENTS) as StandardName[];

export type StandardInput = { fn: StandardName } & Record<string, unknown>;
/** One function by name, with its own arguments. */
const isCalled = (fn: StandardName) => Joi.object({ fn: Joi.valid(fn).required() }).unknown();
export const standardsInputSchema = STANDARD_NAMES.reduce(
  (schema, fn) => schema.when(isCalled(fn), { then: Joi.object<StandardInput>(STANDARD_ARGUMENTS[fn] as Joi.SchemaMap) }),
  Joi.object<StandardInput>({ fn: oneOf(...STANDARD_NAMES).required() }),
);
