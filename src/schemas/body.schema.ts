import Joi from "joi";
import { BODY_LIMITS, type BodyMeasure, type BodyOverrides } from "../core/body/body";
import { POSTURE_CHOICES, type PostureChoice } from "../core/mechanics/posture";

const within = ({ min, max }: { min: number; max: number }) => Joi.number().min(min).max(max);

/** A belly is part of the mass, and not most of it. */
export const halfOfMass = (path: string) => Joi.ref(path, { adjust: (massKg: number) => massKg / 2 });

const overrideKeys = (massPath: string) => ({
  bellyKg: within(BODY_LIMITS.bellyKg).less(halfOfMass(massPath)),
  bellyForwardM: within(BODY_LIMITS.bellyForwardM),
  thighM: within(BODY_LIMITS.thighM),
  shankM: within(BODY_LIMITS.shankM),
  trunkM: within(BODY_LIMITS.trunkM),
  segmentTable: Joi.string().valid("de-leva", "winter"),
});

export const bodyMeasureSchema = Joi.object<BodyMeasure, true>({
  heightM: within(BODY_LIMITS.heightM).required(),
  massKg: within(BODY_LIMITS.massKg).required(),
  sex: Joi.string().valid("female", "male").required(),
  ...overrideKeys("massKg"),
});

export interface NewBodyMeasure {
  heightM: number;
  massKg: number;
  overrides: BodyOverrides;
}
export const newMeasureSchema = Joi.object<NewBodyMeasure, true>({
  heightM: within(BODY_LIMITS.heightM).required(),
  massKg: within(BODY_LIMITS.massKg).required(),
  overrides: Joi.object<BodyOverrides, true>(overrideKeys("...massKg")).required(),
});

export const postureChoiceSchema = Joi.object<{ posture: PostureChoice }, true>({
  posture: Joi.string()
    .valid(...POSTURE_CHOICES)
    .required(),
});
