import Joi from "joi";
import { CLINICIAN_ROLES, WARNING_SIGNS } from "../core/limits/clinician";
import { CONDITION_IDS } from "../core/screen/conditions.data";
import type { OwnCondition, ScreenAnswers } from "../core/screen/screen";
import { SYMPTOMS } from "../core/standards/pre-participation";
import { PAIN_SCALE } from "../core/progress/morning";
import { BACK_SIGNS, type Goal, GOAL_MEASURES, GOAL_TASKS, MEDICINES } from "../core/screen/further.data";
import { channelSide, day, maybeWords, uuid, within, words } from "./fields";

const oneOf = (values: readonly string[]): Joi.StringSchema => Joi.string().valid(...values);

const signsKeys = {
  id: uuid.required(),
  signs: Joi.array().items(oneOf(WARNING_SIGNS)).unique().required(),
  symptoms: Joi.array().items(oneOf(SYMPTOMS)).unique().required(),
};
const conditionSchema = Joi.object({
  id: oneOf(CONDITION_IDS).required(),
  side: channelSide.required(),
  day: day.allow(null).required(),
});
const activitySchema = Joi.object({ active: Joi.boolean().required(), monthsActive: within({ min: 0, max: 1200 }).required() });
const clinicianSaid = {
  by: words(80).required(),
  role: oneOf(CLINICIAN_ROLES).required(),
  day: day.required(),
};
/** Compared before they are read: either may be anything, or missing. */
const isSameCondition = (a?: Partial<OwnCondition>, b?: Partial<OwnCondition>): boolean => a?.id === b?.id && a?.side === b?.side;
const isAsked = Joi.object({ kind: Joi.valid("not-asked").required() }).unknown();
const goalSchema = Joi.object<Goal>({
  task: oneOf(GOAL_TASKS).required(),
  measure: Joi.when("task", {
    switch: GOAL_TASKS.map((task) => {
      const bounds = GOAL_MEASURES[task];
      return { is: task, then: bounds ? within(bounds).allow(null).required() : Joi.valid(null).required() };
    }),
  }),
  words: maybeWords(120).required(),
});
const backSigns = Joi.array().items(oneOf(BACK_SIGNS)).unique().required();
const answeredKeys = {
  conditions: Joi.array().items(conditionSchema).unique(isSameCondition).max(30),
  activity: activitySchema,
  nothingHurts: Joi.boolean().valid(true),
  goals: Joi.array().items(goalSchema).max(12),
  pain: Joi.object({
    worstScore: within(PAIN_SCALE).allow(null).required(),
    morningStiffMin: within({ min: 0, max: 600 }).allow(null).required(),
    swells: Joi.boolean().required(),
    when: maybeWords(200).required(),
  }),
  medicines: Joi.object({
    kinds: Joi.array().items(oneOf(MEDICINES)).unique().required(),
    injectionDay: day.allow(null).required(),
    earlierInjectionDays: Joi.array().items(day).max(200),
  }),
  aids: Joi.object({
    brace: Joi.boolean().required(),
    stick: Joi.boolean().required(),
    footwear: maybeWords(120).required(),
    helperAtHome: Joi.boolean().required(),
  }),
  person: Joi.object({
    fear: maybeWords(200).required(),
    ownLimit: maybeWords(200).required(),
    sessionsPerWeek: within({ min: 1, max: 14 }).integer().allow(null).required(),
    minutes: within({ min: 5, max: 180 }).integer().allow(null).required(),
  }),
  clearance: Joi.object({ kind: oneOf(["not-asked", "cleared", "refused"]).required() }).when(isAsked, {
    otherwise: Joi.object(clinicianSaid),
  }),
};
/** One answered question or more, as a form sends it: the studio dates it. */
export type ScreenPart = Omit<ScreenAnswers, "setAside" | "signs" | "back"> & {
  signs?: Omit<NonNullable<ScreenAnswers["signs"]>, "day">;
  back?: Omit<NonNullable<ScreenAnswers["back"]>, "day">;
};
export const screenPartSchema = Joi.object<ScreenPart>({
  ...answeredKeys,
  signs: Joi.object(signsKeys),
  back: Joi.object({ signs: backSigns }),
}).min(1);

const asideSchema = Joi.object({
  ruleId: words(60).required(),
  side: channelSide.required(),
  by: words(80).required(),
  reason: words(400).required(),
  day: day.required(),
});
export const screenAnswersSchema = Joi.object<ScreenAnswers>({
  ...answeredKeys,
  signs: Joi.object({ ...signsKeys, day: day.required() }),
  back: Joi.object({ signs: backSigns, day: day.required() }),
  setAside: Joi.array().items(asideSchema).max(60),
});
export interface ScreenInput {
  answers: ScreenAnswers;
  today: string;
}
/** Input of the core's command line: what was answered so far, and the day. */
export const screenInputSchema = Joi.object<ScreenInput>({
  answers: screenAnswersSchema.required(),
  today: day.required(),
});

export interface RuleAside {
  limitId: string;
  reason: string;
}
export const ruleAsideSchema = Joi.object<RuleAside, true>({ limitId: words(120).required(), reason: words(400).required() });
