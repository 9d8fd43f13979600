import Joi from "joi";
import { CATALOGUE, DOSE_LIMITS, type DecisionMove, type Dose, PAIN_SCALE, type Setting } from "../core";
import { maybeWords, settingSchema, uuid, within } from "./fields";

const note = maybeWords(400);

export const doseSchema = Joi.object<Dose, true>({
  setCount: within(DOSE_LIMITS.setCount).integer().required(),
  repetitionsLow: within(DOSE_LIMITS.repetitions).integer().required(),
  repetitionsHigh: within(DOSE_LIMITS.repetitions).integer().min(Joi.ref("repetitionsLow")).required(),
  tempo: Joi.object({
    lowerS: within(DOSE_LIMITS.tempoS).required(),
    pauseS: within(DOSE_LIMITS.tempoS).required(),
    riseS: within(DOSE_LIMITS.riseS).required(),
  }).required(),
  restS: within(DOSE_LIMITS.restS).integer().required(),
});

export interface NewRungChoice {
  variationId: string;
  setting: Setting;
  dose: Dose;
  note: string;
}
export const rungChoiceSchema = Joi.object<NewRungChoice>({
  variationId: Joi.string()
    .valid(...CATALOGUE.map(({ id }) => id))
    .required(),
  setting: settingSchema.required(),
  dose: doseSchema.required(),
  note: note.required(),
});

export interface NewMorning {
  sessionId: string | null;
  painScore: number;
  newSwelling: boolean;
  warningSigns: string[];
}
export const morningSchema = Joi.object<NewMorning>({
  sessionId: uuid.allow(null).required(),
  painScore: within(PAIN_SCALE).required(),
  newSwelling: Joi.boolean().required(),
  warningSigns: Joi.array().items(Joi.string().max(40)).max(20).required(),
});

export interface NewDecisionChoice {
  sessionId: string;
  move: DecisionMove;
  note: string;
}
export const decisionChoiceSchema = Joi.object<NewDecisionChoice, true>({
  sessionId: uuid.required(),
  move: Joi.string().valid("ease", "hold", "build", "stop").required(),
  note: note.required(),
});
