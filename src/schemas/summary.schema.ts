import Joi from "joi";
import { AUDIENCES, MOST_SECTION_WORDS, SECTION_IDS, type SummaryLetter } from "../core/studio/letter";
import { day, maybeWords, text, uuid } from "./fields";

/** A letter as its page keeps it: who writes and on which day are the studio's to say. */
export const summarySchema = Joi.object<Omit<SummaryLetter, "by" | "day">>({
  id: uuid.required(),
  audience: Joi.string()
    .valid(...AUDIENCES)
    .required(),
  to: maybeWords(200).required(),
  sinceDay: day.required(),
  sections: Joi.array()
    .items(
      Joi.object({
        id: Joi.string()
          .valid(...SECTION_IDS)
          .required(),
        words: text(MOST_SECTION_WORDS).min(1).required(),
      }),
    )
    .unique("id")
    .min(1)
    .required(),
});
