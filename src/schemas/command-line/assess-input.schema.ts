import Joi from "joi";
import type { Finding } from "../../core/assess/finding";
import type { Sex } from "../../core/body/body";
import type { Complaint } from "../../core/limits/complaint";
import type { Limit } from "../../core/limits/limit";
import type { ScreenAnswers } from "../../core/screen/screen";
import { findingsSchema } from "../assess.schema";
import { complaintSchema, limitSchema } from "./core-input.schema";
import { day, within } from "../fields";
import { screenAnswersSchema } from "../screen.schema";

/** Input of the core's command line: who was measured, and everything that was. */
export interface AssessInput {
  age: number;
  sex: Sex;
  today: string;
  findings: Finding[];
  screen?: ScreenAnswers;
  complaints?: Complaint[];
  /** Kinds of everyday task the client wants back. */
  tasks?: ("seat" | "step")[];
  limits?: Limit[];
}
export const assessInputSchema = Joi.object<AssessInput>({
  age: within({ min: 16, max: 110 }).required(),
  sex: Joi.string().valid("female", "male").required(),
  today: day.required(),
  findings: findingsSchema.required(),
  screen: screenAnswersSchema,
  complaints: Joi.array().items(complaintSchema).max(50),
  tasks: Joi.array().items(Joi.string().valid("seat", "step")).unique(),
  limits: Joi.array().items(limitSchema).max(200),
}).required();
