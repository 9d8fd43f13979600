import Joi from "joi";

/** Field checks that several schemas share. */
export const within = ({ min, max }: { min: number; max: number }) => Joi.number().min(min).max(max);
export const day = Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/);
export const uuid = Joi.string().uuid();
export const side = Joi.string().valid("left", "right");
/** Typed words: spaces around them are taken off, not complained about. Nothing else is ever converted. */
const typed = (max: number) => Joi.string().trim().max(max).prefs({ convert: true });
export const words = (max: number) => typed(max).min(1);
export const maybeWords = (max: number) => typed(max).allow("");

/** A lever's widest use anywhere; A variation's own range is narrower and checked where a rung is kept. */
export const settingSchema = Joi.object({
  seatHeightM: within({ min: 0.2, max: 1 }),
  kneeFlexionDeg: within({ min: 0, max: 150 }),
  handForceN: within({ min: 0, max: 600 }),
  loadKg: within({ min: 0, max: 300 }),
  shareFraction: within({ min: 0.2, max: 0.8 }),
});
