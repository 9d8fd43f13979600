import Joi from "joi";
import { MOST_WEEKS_BETWEEN, VISIT_MINUTES, type Visit } from "../core/week/visit";
import { day, text, uuid, within } from "./fields";

const at = Joi.string().pattern(/^([01]\d|2[0-3]):[0-5]\d$/);
export const visitSchema = Joi.object<Visit>({
  id: uuid.required(),
  clientId: uuid.required(),
  day: day.required(),
  at: at.required(),
  minutes: within(VISIT_MINUTES).integer().required(),
  everyWeeks: within({ min: 1, max: MOST_WEEKS_BETWEEN }).integer().allow(null).required(),
  untilDay: day.min(Joi.ref("day")).allow(null).required(),
  except: Joi.array()
    .items(
      Joi.object({
        day: day.required(),
        movedTo: Joi.object({ day: day.required(), at: at.required() }).allow(null).required(),
      }),
    )
    .max(200)
    .required(),
  uid: text(300).min(1).allow(null).required(),
});

/** Visits as they are from now on, and those that take place no more. */
export interface VisitChanges {
  kept: readonly Visit[];
  ended: readonly string[];
}
export const MOST_VISITS_AT_ONCE = 500;
export const visitChangesSchema = Joi.object<VisitChanges>({
  kept: Joi.array().items(visitSchema).max(MOST_VISITS_AT_ONCE).required(),
  ended: Joi.array().items(uuid).max(MOST_VISITS_AT_ONCE).required(),
});
