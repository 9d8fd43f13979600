import Joi from "joi";
import { COUNTED, type Dose, type Drops } from "../core/catalogue/variation";
import { DOSE_LIMITS } from "../core/dose/dose";
import { WARNING_SIGNS } from "../core/limits/clinician";
import type { Side } from "../core/mechanics/channels";
import type { DecisionMove } from "../core/progress/decide";
import { type MorningTold, PAIN_SCALE, STIFF_MIN } from "../core/progress/morning";
import { isLoad } from "../core/templates/form";
import { LEVER_IDS, type Setting } from "../core/templates/lever";
import { maybeWords, settingSchema, side, text, uuid, variationId, within } from "./fields";

const note = maybeWords(400);

/** Of a drop set, the lever its loads fall by, and what they fall to. */
export const dropsSchema = Joi.object<Drops>({
  lever: Joi.string()
    .valid(...LEVER_IDS.filter(isLoad))
    .required(),
  values: Joi.array()
    .items(within({ min: 0, max: 500 }))
    .min(1)
    .max(5)
    .required(),
});
export const doseSchema = Joi.object<Dose>({
  setCount: within(DOSE_LIMITS.setCount).integer().required(),
  repetitionsLow: within(DOSE_LIMITS.repetitions).integer().required(),
  repetitionsHigh: within(DOSE_LIMITS.repetitions).integer().min(Joi.ref("repetitionsLow")).required(),
  tempo: Joi.object({
    lowerS: within(DOSE_LIMITS.tempoS).required(),
    pauseS: within(DOSE_LIMITS.tempoS).required(),
    riseS: within(DOSE_LIMITS.riseS).required(),
  }).required(),
  restS: within(DOSE_LIMITS.restS).integer().required(),
  counts: Joi.string().valid(...COUNTED),
  drops: dropsSchema,
});

export interface NewRungChoice {
  variationId: string;
  side: Side;
  setting: Setting;
  dose: Dose;
  note: string;
}
export const rungChoiceSchema = Joi.object<NewRungChoice>({
  variationId: variationId.required(),
  side: side.required(),
  setting: settingSchema.required(),
  dose: doseSchema.required(),
  note: note.required(),
});

export const sessionChoiceSchema = Joi.object<{ prescriptionIds: string[] }, true>({
  prescriptionIds: Joi.array().items(uuid).min(1).max(20).required(),
});

export const programmeChoiceSchema = Joi.object<{ leftOut: string[] }, true>({
  leftOut: Joi.array().items(text(80).min(1)).max(30).required(),
});

export interface NewMorning {
  sessionId: string | null;
  pains: { complaintId: string; painScore: number }[];
  newSwelling: boolean;
  underRelief?: boolean;
  told?: MorningTold;
  warningSigns: string[];
}
export const morningSchema = Joi.object<NewMorning>({
  sessionId: uuid.allow(null).required(),
  pains: Joi.array()
    .items(Joi.object({ complaintId: uuid.required(), painScore: within(PAIN_SCALE).required() }))
    .unique("complaintId")
    .max(20)
    .required(),
  newSwelling: Joi.boolean().required(),
  underRelief: Joi.boolean(),
  told: Joi.object({
    stiffMin: within(STIFF_MIN).integer(),
    sleep: Joi.string().valid("well", "badly"),
    muscles: Joi.string().valid("not-sore", "sore"),
    note: maybeWords(400),
  }),
  warningSigns: Joi.array()
    .items(Joi.string().valid(...WARNING_SIGNS))
    .max(20)
    .required(),
});

export interface NewDecisionChoice {
  sessionId: string;
  itemId: string;
  move: DecisionMove;
  /** An ease by two steps. */
  isMore?: boolean;
  note: string;
}
export const decisionChoiceSchema = Joi.object<NewDecisionChoice, true>({
  sessionId: uuid.required(),
  itemId: uuid.required(),
  move: Joi.string().valid("ease", "hold", "build", "rest", "stop").required(),
  isMore: Joi.boolean(),
  note: note.required(),
});
export const setUpChoiceSchema = Joi.object<{ sessionId: string; itemId: string }, true>({
  sessionId: uuid.required(),
  itemId: uuid.required(),
});
export const holdsChoiceSchema = Joi.object<{ sessionId: string }, true>({ sessionId: uuid.required() });
