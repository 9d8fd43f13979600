import Joi from "joi";
import { day, uuid, words } from "./fields";

/** What is said of a letter: the day on it, and who wrote it. */
export interface LetterSaid {
  id: string;
  day: string;
  by: string;
}
export const letterSchema = Joi.object<LetterSaid, true>({ id: uuid.required(), day: day.required(), by: words(80).required() });
