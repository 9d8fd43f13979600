import Joi from "joi";
import type { Finding } from "../core/assess/finding";
import { PROTOCOLS, SET_UP_KEYS, SET_UP_LIMITS, type SetUp } from "../core/assess/protocols.data";
import { ADJUST_LIMITS } from "../core/limits/ceiling";
import { type LimitedBy, MEASURED_SITES } from "../core/limits/complaint";
import type { Side } from "../core/mechanics/channels";
import { PAIN_SCALE } from "../core/progress/morning";
import { channelSide, day, maybeWords, side, uuid, within } from "./fields";

const setUpSchema = Joi.object<SetUp>(Object.fromEntries(SET_UP_KEYS.map((key) => [key, within(SET_UP_LIMITS[key])])));

export const findingKeys = {
  day: day.required(),
  protocol: Joi.string()
    .valid(...PROTOCOLS.map(({ id }) => id))
    .required(),
  side: channelSide.required(),
  value: Joi.number().required(),
  setUp: setUpSchema.required(),
  note: maybeWords(400).required(),
};
/** Results with any id, as the command line reads them; what a protocol allows is checked after. */
export const findingsSchema = Joi.array()
  .items(Joi.object<Finding>({ id: Joi.string().max(80).required(), ...findingKeys }))
  .max(2000);
export interface NewFinding extends Finding {
  /** Said again after it was asked about. */
  isConfirmed: boolean;
}
export const newFindingSchema = Joi.object<NewFinding>({
  id: uuid.required(),
  ...findingKeys,
  isConfirmed: Joi.boolean().required(),
});

export interface CeilingAdjustment {
  ceilingId: string;
  factor: number;
  reason: string;
}
export const adjustmentSchema = Joi.object<CeilingAdjustment, true>({
  ceilingId: uuid.required(),
  factor: within(ADJUST_LIMITS).required(),
  reason: maybeWords(400).required(),
});

export interface NewCalmSeat {
  id: string;
  side: Side;
  heightM: number;
  limitedBy: LimitedBy;
}
export const calmSeatSchema = Joi.object<NewCalmSeat, true>({
  id: uuid.required(),
  side: side.required(),
  heightM: within({ min: 0.2, max: 0.95 }).required(),
  limitedBy: Joi.string()
    .valid(...MEASURED_SITES)
    .required(),
});
export interface CalmSet {
  side: Side;
  repetitions: number;
  painScore: number;
}
export const calmSetSchema = Joi.object<CalmSet, true>({
  side: side.required(),
  repetitions: within({ min: 1, max: 100 }).integer().required(),
  painScore: within(PAIN_SCALE).required(),
});
