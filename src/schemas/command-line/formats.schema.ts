import Joi from "joi";
import { AUDIENCES, SECTION_IDS, type LetterSection } from "../../core/studio/letter";
import type { ClinicalSummary } from "../../formats/fhir";
import { channelSide, day, instant, maybeWords, text, words } from "../fields";

/** What the commands for formats take. */
const id = text(120).min(1).required();
export const clinicalSummarySchema = Joi.object<ClinicalSummary>({
  madeAt: instant.required(),
  patient: Joi.object({
    id,
    name: words(200).required(),
    birthYear: Joi.number().integer().min(1900).max(2100).required(),
    sex: Joi.string().valid("female", "male").required(),
  }).required(),
  conditions: Joi.array()
    .items(
      Joi.object({
        id,
        words: words(500).required(),
        side: channelSide.required(),
        sinceDay: day.allow(null).required(),
        isComplaint: Joi.boolean().required(),
      }),
    )
    .max(500)
    .required(),
  observations: Joi.array()
    .items(
      Joi.object({
        id,
        day: day.required(),
        kind: Joi.string().valid("height", "weight", "pain", "measure").required(),
        protocol: Joi.object({ id, name: words(200).required(), side: channelSide.required() }).when("kind", {
          is: "measure",
          then: Joi.required(),
          otherwise: Joi.forbidden(),
        }),
        value: Joi.number().required(),
        unit: words(40).required(),
      }),
    )
    .max(5000)
    .required(),
  plan: Joi.object({
    goal: maybeWords(500).required(),
    limits: Joi.array().items(words(500)).max(200).required(),
    activities: Joi.array().items(words(500)).max(200).required(),
    fromDay: day.required(),
  })
    .allow(null)
    .required(),
  sessions: Joi.array()
    .items(Joi.object({ id, day: day.required(), words: words(500).required() }))
    .max(5000)
    .required(),
  letters: Joi.array()
    .items(Joi.object({ id, day: day.required(), title: words(200).required(), pdfBase64: Joi.string().base64().required() }))
    .max(50)
    .required(),
});
/** A document of ours: an archive or a bundle, as it was read from a file. */
export const documentSchema = Joi.object<Record<string, unknown>>().unknown();
export const letterTextSchema = Joi.object<{
  audience: string;
  clientName: string;
  birthYear: number;
  day: string;
  sinceDay: string;
  by: string;
  to: string;
  sections: LetterSection[];
}>({
  audience: Joi.string()
    .valid(...AUDIENCES)
    .required(),
  clientName: words(200).required(),
  birthYear: Joi.number().integer().min(1900).max(2100).required(),
  day: day.required(),
  sinceDay: day.required(),
  by: words(200).required(),
  to: maybeWords(200).default(""),
  sections: Joi.array()
    .items(
      Joi.object({
        id: Joi.string()
          .valid(...SECTION_IDS)
          .required(),
        words: text(4000).min(1).required(),
      }),
    )
    .unique("id")
    .min(1)
    .required(),
});
