import Joi from "joi";
import { CUSHION_LIMITS_M } from "../core/kit/kit";
import { BAND_LIMITS, type MeasuredBand } from "../core/mechanics/band";
import { within, words } from "./fields";

/** A band pulled by a hand scale: longer at every point than at rest. */
export const bandSchema = Joi.object<MeasuredBand>({
  name: words(40).required(),
  restM: within(BAND_LIMITS.lengthM).required(),
  points: Joi.array()
    .items(
      Joi.object({
        lengthM: within(BAND_LIMITS.lengthM).greater(Joi.ref("....restM")).required(),
        tensionN: within(BAND_LIMITS.tensionN).required(),
      }),
    )
    .min(BAND_LIMITS.pointCount.min)
    .max(BAND_LIMITS.pointCount.max)
    .required(),
});

/** A cushion as thick as it is under a sitting client. */
export const cushionSchema = Joi.object<{ thicknessM: number }>({ thicknessM: within(CUSHION_LIMITS_M).required() });
