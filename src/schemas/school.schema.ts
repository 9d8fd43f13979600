import Joi from "joi";
import { AXES } from "../core/approach/axes.data";
import { NUMBER_BOUNDS, PRESET_IDS, type SchoolChoice, type SchoolNumbers } from "../core/approach/approach";
import { within, words } from "./fields";

export type NewSchool = Pick<SchoolChoice, "preset" | "positions" | "numbers" | "reason">;
const numberOf = (name: keyof SchoolNumbers): Joi.NumberSchema => within(NUMBER_BOUNDS[name]);
export const schoolKeys = {
  preset: Joi.string()
    .valid(...PRESET_IDS)
    .required(),
  positions: Joi.object(Object.fromEntries(AXES.map(({ id, positions }) => [id, Joi.string().valid(...positions.map((each) => each.id))]))),
  numbers: Joi.object(Object.fromEntries((Object.keys(NUMBER_BOUNDS) as (keyof SchoolNumbers)[]).map((name) => [name, numberOf(name)]))),
};
/** A school chosen for a client, never without a word why. */
export const newSchoolSchema = Joi.object<NewSchool>({
  ...schoolKeys,
  positions: schoolKeys.positions.required(),
  numbers: schoolKeys.numbers.required(),
  reason: words(300).required(),
});
