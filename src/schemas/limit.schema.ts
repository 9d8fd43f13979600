import Joi from "joi";
import { type CalmPoseFact, CATALOGUE, type Limit, LIMIT_BOUNDS } from "../core";
import { day, settingSchema, side, uuid, within, words } from "./fields";

const ruleSchema = Joi.alternatives().conditional(".kind", {
  switch: [
    { is: "knee-bend", then: Joi.object({ kind: Joi.any(), maxDeg: within(LIMIT_BOUNDS.kneeBendMaxDeg).required() }) },
    { is: "shin-forward", then: Joi.object({ kind: Joi.any(), maxDeg: within(LIMIT_BOUNDS.shinForwardMaxDeg).required() }) },
    { is: "no-load-on-back", then: Joi.object({ kind: Joi.any() }) },
    { is: "own-words", then: Joi.object({ kind: Joi.any(), text: words(200).required() }), otherwise: Joi.forbidden() },
  ],
});

export type NewLimit = Omit<Limit, "id" | "lift">;
export const newLimitSchema = Joi.object<NewLimit>({
  rule: ruleSchema.required(),
  side: Joi.string().valid("left", "right", "both").required(),
  owner: Joi.object({ kind: Joi.string().valid("clinician", "rule", "client").required(), name: words(80).required() }).required(),
  fromDay: day.required(),
  untilDay: day.allow(null).required(),
}).custom((limit: NewLimit, helpers) =>
  limit.untilDay !== null && limit.untilDay < limit.fromDay ? helpers.error("day.before", { path: ["untilDay"] }) : limit,
);

export interface NewLift {
  limitId: string;
  by: string;
  role: string;
  reason: string;
}
export const liftSchema = Joi.object<NewLift, true>({
  limitId: uuid.required(),
  by: words(80).required(),
  role: words(80).required(),
  reason: words(400).required(),
});

export type NewCalmPose = Omit<CalmPoseFact, "id" | "day">;
export const calmPoseSchema = Joi.object<NewCalmPose>({
  side: side.required(),
  limitedBy: Joi.string().valid("kneecap", "knee", "hip", "low-back").required(),
  variationId: Joi.string()
    .valid(...CATALOGUE.map(({ id }) => id))
    .required(),
  setting: settingSchema.required(),
  shareFraction: within({ min: 0.2, max: 0.8 }).allow(null).required(),
  shankLeanDeg: within({ min: 0, max: 45 }).allow(null).required(),
  trunkLeanDeg: within({ min: -10, max: 80 }).allow(null).required(),
});
