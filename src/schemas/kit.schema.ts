import Joi from "joi";
import { EQUIPMENT } from "../core/catalogue/equipment";
import { KIT_LIMITS, type KitItem } from "../core/fit/assemble";
import { within } from "./fields";

export const kitItemKeys = {
  kind: Joi.string()
    .valid(...EQUIPMENT)
    .required(),
  heightM: within(KIT_LIMITS.heightM),
  thicknessM: within(KIT_LIMITS.thicknessM),
  massKg: within(KIT_LIMITS.massKg),
  count: Joi.number().integer().min(1).max(KIT_LIMITS.mostOfAKind),
};
/** Everything a place has, as one list. */
export const kitListSchema = Joi.object<{ items: KitItem[] }>({
  items: Joi.array().items(Joi.object(kitItemKeys)).max(200).required(),
});
