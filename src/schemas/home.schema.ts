import Joi from "joi";
import { CONSENT_VERSION, HOME_TASKS, type HomeEntry, type HomeTold, TASK_LEVELS, THAN_USUAL } from "../core/record/facts/home-told";
import { WARNING_SIGNS } from "../core/limits/clinician";
import { PAIN_SCALE } from "../core/progress/morning";
import { instant, side, text, uuid, within } from "./fields";

const sign = Joi.string().valid(...WARNING_SIGNS);
const told = Joi.alternatives<HomeTold>().conditional(".kind", {
  switch: [
    { is: "consented", then: Joi.object({ kind: Joi.string().required(), version: Joi.number().valid(CONSENT_VERSION).required() }) },
    {
      is: "set",
      then: Joi.object({
        kind: Joi.string().required(),
        line: text(80).min(1).required(),
        side: side.allow(null).required(),
        repetitions: within({ min: 0, max: 200 }).integer().required(),
        workedS: within({ min: 0, max: 3600 }).allow(null).required(),
        painScore: within(PAIN_SCALE).integer().allow(null).required(),
        leftInTank: within({ min: 0, max: 20 }).integer().allow(null).required(),
        isSharp: Joi.boolean().required(),
      }),
    },
    { is: "undone", then: Joi.object({ kind: Joi.string().required(), entryId: uuid.required() }) },
    {
      is: "morning",
      then: Joi.object({
        kind: Joi.string().required(),
        answers: Joi.array()
          .items(
            Joi.object({
              complaintId: uuid.required(),
              than: Joi.number()
                .valid(...THAN_USUAL)
                .required(),
            }),
          )
          .max(20)
          .unique("complaintId")
          .required(),
        newSwelling: Joi.boolean().required(),
        signs: Joi.array().items(sign).unique().required(),
      }),
    },
    { is: "sign", then: Joi.object({ kind: Joi.string().required(), sign: sign.required() }) },
    {
      is: "task",
      then: Joi.object({
        kind: Joi.string().required(),
        task: Joi.string()
          .valid(...HOME_TASKS)
          .required(),
        level: within(TASK_LEVELS).integer().required(),
      }),
    },
  ],
  otherwise: Joi.forbidden(),
});

export const homeEntrySchema = Joi.object<HomeEntry>({ id: uuid.required(), at: instant.required(), told: told.required() });
export const MOST_ENTRIES_AT_ONCE = 100;
/** What a phone sends; each entry is checked by itself, so that one that is wrong keeps no other back. */
export const homeBatchSchema = Joi.object<{ entries: unknown[] }>({ entries: Joi.array().max(MOST_ENTRIES_AT_ONCE).required() });
export const homeLookSchema = Joi.object<{ entryIds: string[] }>({ entryIds: Joi.array().items(uuid).min(1).max(1000).required() });
export const birthYearSchema = Joi.object<{ year: number }>({ year: within({ min: 1900, max: 2100 }).integer().required() });
