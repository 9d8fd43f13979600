import Joi from "joi";
import { COUNTED, type Dose, TRAINED } from "../core/catalogue/variation";
import { PURPOSES } from "../core/dose/purpose";
import { OWN_GOAL_LIMITS, type TrainingPlan } from "../core/session/plan";
import { PARTS } from "../core/dose/part";
import { SKELETONS } from "../core/session/skeletons.data";
import { dropsSchema } from "./plan.schema";
import { day, maybeWords, settingSchema, side, text, variationId, within } from "./fields";

const often = Joi.string().valid("several-a-day", "daily", "three-a-week", "two-rest-days").required();
const sideDose = Joi.object({
  side: side.required(),
  setCount: within({ min: 1, max: 10 }).integer().required(),
  repetitions: within({ min: 1, max: 200 }).integer().required(),
  place: Joi.object({ variationId: variationId.required(), setting: settingSchema.required() }),
});
const tempoS = within({ min: 0, max: 1200 }).required();
/** A dose as a session has it: holds, walks and rounds are longer than a set of repetitions is written by hand. */
export const sessionDose = Joi.object<Dose>({
  setCount: within({ min: 1, max: 12 }).integer().required(),
  repetitionsLow: within({ min: 1, max: 200 }).integer().required(),
  repetitionsHigh: within({ min: 1, max: 200 }).integer().min(Joi.ref("repetitionsLow")).required(),
  tempo: Joi.object({ lowerS: tempoS, pauseS: tempoS, riseS: tempoS }).required(),
  restS: within({ min: 0, max: 600 }).required(),
  counts: Joi.string().valid(...COUNTED),
  drops: dropsSchema,
  mixed: Joi.object({ setting: settingSchema.required(), setCount: within({ min: 1, max: 10 }).integer().required() }),
});
const item = Joi.object({
  id: text(80).min(1).required(),
  variationId: variationId.required(),
  setting: settingSchema.required(),
  part: Joi.string()
    .valid(...PARTS)
    .required(),
  dose: sessionDose.required(),
  sides: Joi.array().items(sideDose).max(2).required(),
  isKept: Joi.boolean().valid(true),
  pairedWithNext: Joi.boolean().valid(true),
  waits: Joi.boolean().valid(true),
});
export type NewTrainingPlan = Omit<TrainingPlan, "day" | "sequence" | "keptAt">;
/** A programme as a page keeps it. */
export const trainingPlanSchema = Joi.object<NewTrainingPlan>({
  minutes: within({ min: 10, max: 180 }).required(),
  purpose: Joi.string()
    .valid(...PURPOSES)
    .required(),
  skeletonId: Joi.string()
    .valid(...SKELETONS.map(({ id }) => id))
    .allow(null)
    .required(),
  weak: Joi.alternatives(
    Joi.object({ kind: Joi.string().valid("knee", "back").required() }),
    Joi.object({
      kind: Joi.string().valid("muscle").required(),
      trained: Joi.string()
        .valid(...TRAINED)
        .required(),
    }),
  ).required(),
  weakSide: Joi.string().valid("left", "right", "both").allow(null).required(),
  rounds: within({ min: 1, max: 3 }).integer().required(),
  items: Joi.array().items(item).unique("id").min(1).max(30).required(),
  often,
  weekdays: Joi.array().items(Joi.number().integer().min(1).max(7)).unique().min(1).max(7).required(),
  at: Joi.string()
    .pattern(/^([01]\d|2[0-3]):[0-5]\d$/)
    .required(),
  weeks: within({ min: 1, max: 12 }).integer().required(),
  loads: Joi.array()
    .items(Joi.object({ day: day.required(), name: text(80).min(1).required(), isHeavy: Joi.boolean().required() }))
    .max(60)
    .required(),
  laid: Joi.array()
    .items(Joi.object({ id: text(80).min(1).required(), day: day.required(), often, isLight: Joi.boolean().valid(true) }))
    .unique("id")
    .max(120)
    .required(),
  blockFrom: day,
  alternates: Joi.boolean(),
  setAside: Joi.array()
    .items(Joi.object({ item: item.required(), backOn: day.required() }))
    .max(20),
  ownGoal: Joi.object({
    name: text(60).min(1).required(),
    unit: text(20).min(1).required(),
    from: within(OWN_GOAL_LIMITS).required(),
    now: within(OWN_GOAL_LIMITS).required(),
    to: within(OWN_GOAL_LIMITS).invalid(Joi.ref("from")).required(),
  }),
  note: maybeWords(400).required(),
  improvement: maybeWords(120).required(),
});
