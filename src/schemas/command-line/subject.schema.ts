import Joi from "joi";
import type { BodyMeasure } from "../../core/body/body";
import type { Side } from "../../core/mechanics/channels";
import type { PostureRule } from "../../core/mechanics/posture";
import { SHANK_RULES } from "../../core/mechanics/standing.types";
import { bodyMeasureSchema } from "../body.schema";
import { side, within } from "../fields";

export const postureSchema = Joi.alternatives().conditional(".kind", {
  is: "measured",
  then: Joi.object({
    kind: Joi.string().valid("measured").required(),
    kneeFlexionDeg: within({ min: 10, max: 150 }).required(),
    shankLeanDeg: within({ min: 0, max: 45 }).required(),
    pressureFraction: within({ min: 0.05, max: 0.95 }).required(),
  }),
  otherwise: Joi.object({
    kind: Joi.string().valid("named").required(),
    name: Joi.string()
      .valid(...Object.keys(SHANK_RULES))
      .required(),
  }),
});

/** Whose body, how it moves, and which side to watch. */
export const subjectKeys = { body: bodyMeasureSchema.required(), posture: postureSchema, leadSide: side.required() };

export interface SubjectInput {
  body: BodyMeasure;
  posture?: PostureRule;
  leadSide: Side;
}
