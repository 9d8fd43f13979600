import Joi from "joi";
import type { Dose } from "../../core/catalogue/variation";
import { SET_ENDS } from "../../core/floor/events";
import { BELLIES, PAIN_KINDS } from "../../core/floor/told";
import type { MorningClass } from "../../core/progress/morning";
import type { SessionOutcome } from "../../core/progress/outcome";
import { type SupportStanding, UNCOUNTED } from "../../core/progress/decision-reason";
import { day, lever, within } from "../fields";
import { doseSchema } from "../plan.schema";

/** Input of the core's command line: one client, one day, as plain data. What a body decides is checked after it is read. */

import { fitKeys, id, placeKeys, type FitInput, type PlaceInput } from "./core-input.schema";

const setSchema = Joi.object({
  repetitions: Joi.number().integer().min(0).max(1000).required(),
  painScore: within({ min: 0, max: 10 }).allow(null).required(),
  leftInTank: Joi.number().integer().min(0).max(100).allow(null).required(),
  faults: Joi.array().items(Joi.string()).required(),
  endedBy: Joi.string()
    .valid(...SET_ENDS)
    .required(),
  workedS: Joi.number().min(0).max(3600).allow(null),
  painKind: Joi.string()
    .valid(...PAIN_KINDS)
    .allow(null),
  belly: Joi.string()
    .valid(...BELLIES)
    .allow(null),
});
/** A session as the gate sees it; its warning signs stand open until one of `clearances` names them. */
const sessionSchema = Joi.object({
  id,
  day: day.required(),
  sets: Joi.array().items(setSchema).max(100).required(),
  eased: Joi.boolean().required(),
  uncounted: Joi.string()
    .valid(...UNCOUNTED)
    .allow(null)
    .default(null),
  response: Joi.string().valid("calm", "noticed", "flare").allow(null).required(),
  newSwelling: Joi.boolean().required(),
  warningSigns: Joi.array().items(Joi.string().max(40)).required(),
});
export interface DecideInput extends FitInput, PlaceInput {
  dose: Dose;
  sessions: (Omit<SessionOutcome, "morning"> & {
    id?: string;
    warningSigns: string[];
    response: MorningClass | null;
    newSwelling: boolean;
  })[];
  clearances?: { sessionId: string; sign: string }[];
  painLimitScore: number;
  provisional: boolean;
  isAhead: boolean;
  holdsRunning: number;
  sharpMarks: number;
  /** Whole weeks that this row was trained in this line, for one that takes turns. */
  weeksAtRow: number;
  support?: SupportStanding;
}
export const decideInputSchema = Joi.object<DecideInput>({
  ...fitKeys,
  ...placeKeys,
  dose: doseSchema.required(),
  sessions: Joi.array().items(sessionSchema).max(1000).required(),
  clearances: Joi.array().items(Joi.object({ sessionId: id.required(), sign: Joi.string().max(40).required() })),
  painLimitScore: within({ min: 0, max: 10 }).required(),
  provisional: Joi.boolean().required(),
  isAhead: Joi.boolean().default(false),
  holdsRunning: Joi.number().integer().min(0).max(1000).default(0),
  sharpMarks: Joi.number().integer().min(0).max(1000).default(0),
  weeksAtRow: Joi.number().integer().min(0).max(1000).default(0),
  support: Joi.object({
    lever: lever.required(),
    weeks: Joi.number().integer().min(1).max(1000).required(),
    nowFraction: within({ min: 0, max: 1 }).required(),
    dueFraction: within({ min: 0, max: 1 }).required(),
  }),
}).required();
