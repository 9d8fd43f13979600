import Joi from "joi";

/** Field checks that several schemas share. */
export const within = ({ min, max }: { min: number; max: number }) => Joi.number().min(min).max(max);
export const day = Joi.string().pattern(/^\d{4}-\d{2}-\d{2}$/);
export const uuid = Joi.string().uuid();
export const side = Joi.string().valid("left", "right");
export const words = (max: number) => Joi.string().trim().min(1).max(max);

/** A lever's widest use anywhere; A variation's own range is narrower and checked where a rung is kept. */
export const settingSchema = Joi.object({
  seatHeightM: within({ min: 0.2, max: 1 }),
  kneeFlexionDeg: within({ min: 0, max: 150 }),
  handForceN: within({ min: 0, max: 600 }),
  loadKg: within({ min: 0, max: 300 }),
  shareFraction: within({ min: 0.2, max: 0.8 }),
});
