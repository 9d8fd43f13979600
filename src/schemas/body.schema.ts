import Joi from "joi";
import { BODY_LIMITS, type BodyMeasure } from "../core/body/body";

const within = ({ min, max }: { min: number; max: number }) => Joi.number().min(min).max(max);

export const bodyMeasureSchema = Joi.object<BodyMeasure, true>({
  heightM: within(BODY_LIMITS.heightM).required(),
  massKg: within(BODY_LIMITS.massKg).required(),
  sex: Joi.string().valid("female", "male").required(),
  bellyKg: within(BODY_LIMITS.bellyKg),
  bellyForwardM: within(BODY_LIMITS.bellyForwardM),
  thighM: within(BODY_LIMITS.thighM),
  shankM: within(BODY_LIMITS.shankM),
  trunkM: within(BODY_LIMITS.trunkM),
  segmentTable: Joi.string().valid("de-leva", "winter"),
});
