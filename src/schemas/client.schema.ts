import Joi from "joi";
import { BODY_LIMITS, PAIN_SCALE, type Sex, type Side } from "../core";
import { maybeWords, side, within, words } from "./fields";

export interface NewClient {
  name: string;
  birthYear: number;
  sex: Sex;
  goal: string;
  complaint: string;
  side: Side;
  baselinePainScore: number;
  painLimitScore: number;
  heightM: number;
  massKg: number;
}

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
