import Joi from "joi";
import type { FloorEvent } from "../../core/floor/events";
import type { OrderedItem } from "../../core/floor/order";
import type { ToldDose } from "../../core/limits/tolerance";
import { day, within } from "../fields";
import { floorEventSchema } from "../floor.schema";

export interface FloorInput {
  items: OrderedItem[];
  events: FloorEvent[];
}
/** One ceiling and the doses that were answered, in the channel's unit. */
export interface ToleranceInput {
  ceiling: number;
  calibrated: number;
  fromDay: string;
  today: string;
  limit?: number;
  doses: ToldDose[];
}
export const toleranceInputSchema = Joi.object<ToleranceInput>({
  ceiling: Joi.number().greater(0).max(1e6).required(),
  calibrated: Joi.number().greater(0).max(1e6).default(Joi.ref("ceiling")),
  fromDay: day.required(),
  today: day.required(),
  limit: Joi.number().greater(0).max(1e6),
  doses: Joi.array()
    .items(
      Joi.object({
        day: day.required(),
        demand: Joi.number().min(0).max(1e6).required(),
        repetitions: Joi.number().integer().min(1).max(1000).required(),
        response: Joi.string().valid("calm", "noticed", "flare").required(),
      }),
    )
    .max(1000)
    .required(),
}).required();

/** The items of a session in their order, and what happened, in whatever order it arrived. */
export const floorInputSchema = Joi.object<FloorInput>({
  items: Joi.array()
    .items(
      Joi.object({
        itemId: Joi.string().max(80).required(),
        setCount: within({ min: 1, max: 20 }).integer().required(),
        restS: within({ min: 0, max: 600 }).default(60),
        inTurn: Joi.boolean().default(false),
      }),
    )
    .max(60)
    .default([]),
  events: Joi.array().items(floorEventSchema).max(10_000).required(),
}).required();
