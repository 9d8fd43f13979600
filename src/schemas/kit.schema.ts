import Joi from "joi";
import { EQUIPMENT } from "../core/kit/equipment";
import { KIT_LIMITS, type KitItem } from "../core/kit/assemble";
import { within } from "./fields";

export const kitItemKeys = {
  kind: Joi.string()
    .valid(...EQUIPMENT)
    .required(),
  heightM: Joi.when("kind", { is: "strap", then: within(KIT_LIMITS.anchorM), otherwise: within(KIT_LIMITS.heightM) }),
  mostM: within(KIT_LIMITS.heightM),
  stepM: within({ min: 0.005, max: 1 }),
  thicknessM: within(KIT_LIMITS.thicknessM),
  massKg: within(KIT_LIMITS.massKg),
  mostKg: within(KIT_LIMITS.massKg),
  stepKg: within({ min: 0.25, max: 50 }),
  pullKg: within(KIT_LIMITS.pullKg),
  name: Joi.string().trim().max(40),
  count: Joi.number().integer().min(1).max(KIT_LIMITS.mostOfAKind),
};
/** Everything a place has, as one list. */
export const kitListSchema = Joi.object<{ items: KitItem[] }>({
  items: Joi.array().items(Joi.object(kitItemKeys)).max(200).required(),
});
