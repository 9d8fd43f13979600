import Joi from "joi";
import { MEASURED_SITES } from "../core/limits/complaint";
import { CLINICIAN_ROLES } from "../core/limits/clinician";
import { type Limit, LIMIT_BOUNDS, LIMIT_CHANNELS, type LimitRule, ROOM_BOUNDS } from "../core/limits/limit";
import type { Clearance } from "../core/progress/warning";
import type { CalmPoseFact } from "../core/record/facts/record";
import { TRAITS } from "../core/templates/template";
import { channelSide, day, maybeWords, settingSchema, side, text, uuid, variationId, within, words } from "./fields";

const mostOf = LIMIT_CHANNELS.map((channel) => ({ is: channel, then: within(LIMIT_BOUNDS[channel]).required() }));

/** A limit's rule: a bound on a channel, room for the belly, something never, or the trainer's own words. */
export const ruleSchema = Joi.object<LimitRule>({
  kind: Joi.string().valid("most", "room", "never", "own-words").required(),
  channel: Joi.string().when("kind", { is: "most", then: Joi.valid(...LIMIT_CHANNELS).required(), otherwise: Joi.forbidden() }),
  most: Joi.number().when("kind", { is: "most", then: Joi.when("channel", { switch: mostOf }), otherwise: Joi.forbidden() }),
  leastDeg: Joi.number().when("kind", { is: "room", then: within(ROOM_BOUNDS).required(), otherwise: Joi.forbidden() }),
  what: Joi.string().when("kind", { is: "never", then: Joi.valid(...TRAITS).required(), otherwise: Joi.forbidden() }),
  text: Joi.any().when("kind", { is: "own-words", then: words(200).required(), otherwise: Joi.forbidden() }),
});

export const isEndedBeforeBegun = ({ fromDay, untilDay }: Pick<Limit, "fromDay" | "untilDay">): boolean =>
  untilDay !== null && untilDay < fromDay;

export type NewLimit = Omit<Limit, "id" | "lift"> & { id: string };
export const newLimitSchema = Joi.object<NewLimit>({
  id: uuid.required(),
  rule: ruleSchema.required(),
  side: channelSide.required(),
  owner: Joi.object({ kind: Joi.string().valid("clinician", "rule", "client").required(), name: words(80).required() }).required(),
  fromDay: day.required(),
  untilDay: day.allow(null).required(),
}).custom((limit: NewLimit, helpers) => (isEndedBeforeBegun(limit) ? helpers.error("day.before", { path: ["untilDay"] }) : limit));

export interface NewLift {
  limitId: string;
  kind: "lifted" | "mistake";
  by: string;
  role: string;
  reason: string;
}
export const liftSchema = Joi.object<NewLift, true>({
  limitId: uuid.required(),
  kind: Joi.string().valid("lifted", "mistake").required(),
  by: words(80).required(),
  role: words(80).required(),
  reason: words(400).required(),
});

export type NewClearance = Omit<Clearance, "id" | "day">;
export const clearanceSchema = Joi.object<NewClearance, true>({
  sourceId: uuid.required(),
  sign: text(40).required(),
  by: words(80).required(),
  role: Joi.string()
    .valid(...CLINICIAN_ROLES, "lead")
    .required(),
  note: maybeWords(400).required(),
});

export type NewCalmPose = Omit<CalmPoseFact, "day" | "massKg" | "bellyKg">;
export const calmPoseKeys = {
  side: side.required(),
  limitedBy: Joi.string()
    .valid(...MEASURED_SITES)
    .required(),
  variationId: variationId.required(),
  setting: settingSchema.required(),
  shareFraction: within({ min: 0.2, max: 0.8 }).allow(null).required(),
};
export const calmPoseSchema = Joi.object<NewCalmPose>({
  id: uuid.required(),
  ...calmPoseKeys,
  shankLeanDeg: within({ min: 0, max: 45 }).allow(null).required(),
  trunkLeanDeg: within({ min: -10, max: 80 }).allow(null).required(),
});
