import Joi from "joi";
import { BODY_LIMITS, type BodyMeasure } from "../core/body/body";
import { DAILY_LIMITS } from "../core/judge/daily";
import type { DailyTask } from "../core/judge/context";
import { type Complaint, SITES } from "../core/limits/complaint";
import { PAIN_SCALE } from "../core/progress/morning";
import type { ClientProfile } from "../core/record/facts/record";
import { channelSide, day, maybeWords, uuid, within, words } from "./fields";

/** Pain agreed during a set: never sharp, settled next morning. */
export const PAIN_LIMIT = { min: 0, max: 5 } as const;
export const complaintSchema = Joi.object<Complaint, true>({
  id: uuid.required(),
  site: Joi.string()
    .valid(...SITES)
    .required(),
  side: channelSide.required(),
  words: words(200).required(),
  usualPainScore: within(PAIN_SCALE).required(),
  painLimitScore: within(PAIN_LIMIT).required(),
});

const profileKeys = {
  id: uuid.required(),
  name: words(80).required(),
  birthYear: within({ min: 1915, max: 2010 }).integer().required(),
  sex: Joi.string().valid("female", "male").required(),
  goal: maybeWords(200).required(),
  archivedDay: day.allow(null).required(),
};
export const detailsSchema = Joi.object<ClientProfile>(profileKeys);

/** What is entered for a new client: the profile, what hurts, and the body's first measure. */
export type NewClient = ClientProfile & { complaints: Complaint[]; nothingHurts?: true } & Pick<BodyMeasure, "heightM" | "massKg">;
export const newClientSchema = Joi.object<NewClient>({
  ...profileKeys,
  // nothing hurts is an answer; an empty list alone is none
  complaints: Joi.array()
    .items(complaintSchema)
    .max(10)
    .required()
    .when("nothingHurts", { is: Joi.exist(), then: Joi.array().max(0), otherwise: Joi.array().min(1) }),
  nothingHurts: Joi.boolean().valid(true),
  heightM: within(BODY_LIMITS.heightM).required(),
  massKg: within(BODY_LIMITS.massKg).required(),
});

export const complaintChangeSchema = Joi.object<{ complaint: Complaint; isEnded: boolean }, true>({
  complaint: complaintSchema.required(),
  isEnded: Joi.boolean().required(),
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
