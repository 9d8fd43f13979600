import Joi from "joi";
import { BODY_LIMITS, type BodyMeasure, type ClientProfile, DAILY_LIMITS, type DailyTask, PAIN_SCALE } from "../core";
import { maybeWords, side, within, words } from "./fields";

/** What is entered for a new client: the profile, and the body's first measure. */
export type NewClient = Omit<ClientProfile, "id"> & Pick<BodyMeasure, "heightM" | "massKg">;

export const newClientSchema = Joi.object<NewClient, true>({
  name: words(80).required(),
  birthYear: within({ min: 1915, max: 2010 }).integer().required(),
  sex: Joi.string().valid("female", "male").required(),
  goal: maybeWords(200).required(),
  complaint: words(200).required(),
  side: side.required(),
  baselinePainScore: within(PAIN_SCALE).required(),
  painLimitScore: within({ min: 0, max: 5 }).required(),
  heightM: within(BODY_LIMITS.heightM).required(),
  massKg: within(BODY_LIMITS.massKg).required(),
});

/** A seat or step of the client's own day; without a height it is taken away. */
export type NewDailyHeight = Omit<DailyTask, "heightM"> & { heightM: number | null };
export const dailyHeightSchema = Joi.object<NewDailyHeight, true>({
  name: words(40).required(),
  kind: Joi.string().valid("seat", "step").required(),
  heightM: Joi.number()
    .when("kind", { is: "step", then: within(DAILY_LIMITS.step), otherwise: within(DAILY_LIMITS.seat) })
    .allow(null)
    .required(),
});

export interface NewClearance {
  by: string;
  role: string;
  note: string;
}
export const clearanceSchema = Joi.object<NewClearance, true>({
  by: words(80).required(),
  role: words(80).required(),
  note: maybeWords(400).required(),
});
