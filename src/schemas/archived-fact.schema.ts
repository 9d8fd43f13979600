import Joi from "joi";
import { axisOf } from "../core/approach/approach";
import { channelSide, day, uuid, within, words } from "./fields";
import { BODY_LIMITS } from "../core/body/body";
import { PATTERNS } from "../core/catalogue/variation";
import { MEASURED_SITES } from "../core/limits/complaint";
import { CEILING_CHANNELS } from "../core/mechanics/channels";
import { newMeasureSchema } from "./body.schema";
import { complaintSchema } from "./client.schema";
import { findingKeys } from "./assess.schema";
import { kitListSchema } from "./kit.schema";
import { floorEventSchema } from "./floor.schema";
import { homeEntrySchema } from "./home.schema";
import { ruleSchema } from "./limit.schema";
import { wordsSchema } from "./message.schema";
import { ownRowSchema } from "./own-row.schema";
import { parse } from "./parse";
import { newSchoolSchema } from "./school.schema";
import { screenAnswersSchema } from "./screen.schema";
import { morningSchema } from "./plan.schema";
import { sessionDose, trainingPlanSchema } from "./training-plan.schema";
import { postureSchema } from "./command-line/subject.schema";
import { summarySchema } from "./summary.schema";
import { visitSchema } from "./visit.schema";
import type { Day } from "../core/day";
import { onceByName } from "../core/once";
import type { Fact, FactProblem } from "../formats/archive";

interface Form {
  schema: Joi.Schema;
  /** What the form of this table says, out of the fact as it is kept. */
  told: (fact: Fact) => unknown;
  /** Nothing else stands on it, and without it nobody is less safe: it is left out and said, and the rest is taken. */
  isLeftOut?: true;
}
const isDocument = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);
const objectOf = (value: unknown): Record<string, unknown> => (isDocument(value) ? value : {});
/** A document without some of its keys; what is no document stays what it is, for its form to refuse. */
const without = (value: unknown, ...keys: string[]): unknown =>
  isDocument(value) ? Object.fromEntries(Object.entries(value).filter(([key]) => !keys.includes(key))) : value;
/** As it is stored: the levers by name, and the version they were written in. */
const storedSetting = Joi.object({ version: Joi.number().integer().required() }).pattern(Joi.string().max(40), Joi.number()).required();
const place = { variation_id: Joi.string().max(80).required(), setting: storedSetting };
const oneSide = Joi.string().valid("left", "right").required();
const rungForm = Joi.object({
  ...place,
  side: oneSide,
  pattern: Joi.string()
    .valid(...PATTERNS)
    .required(),
});
const calmPoseForm = Joi.object({
  ...place,
  side: oneSide,
  limited_by: Joi.string()
    .valid(...MEASURED_SITES)
    .required(),
  mass_kg: within(BODY_LIMITS.massKg).required(),
});
const ceilingForm = Joi.object({
  channel: Joi.string()
    .valid(...CEILING_CHANNELS)
    .required(),
  side: channelSide.required(),
  value: Joi.number().positive().required(),
});

const knownPositions = (positions: unknown): unknown =>
  !isDocument(positions)
    ? positions
    : Object.fromEntries(
        Object.entries(positions).filter(
          ([axisId, id]) => typeof id !== "string" || axisOf(axisId)?.positions.some((each) => each.id === id),
        ),
      );

const FORMS: Readonly<Record<string, Form>> = {
  own_row: { schema: ownRowSchema, told: ({ row }) => row, isLeftOut: true },
  kit_list: { schema: kitListSchema, told: ({ items }) => ({ items }), isLeftOut: true },
  message_words: { schema: wordsSchema, told: ({ template, words }) => ({ template, words }), isLeftOut: true },
  visit: {
    schema: visitSchema.allow(null),
    told: ({ visit, visit_id: id, client_id: clientId }) => (visit === null ? null : { ...objectOf(visit), id, clientId }),
    isLeftOut: true,
  },
  summary_letter: {
    schema: Joi.object({ letter: summarySchema.required(), day: day.required(), by: words(200).required() }),
    // the studio has written who wrote it, and when
    told: ({ id, letter }) => ({
      letter: { ...objectOf(without(letter, "day", "by")), id },
      day: objectOf(letter)["day"],
      by: objectOf(letter)["by"],
    }),
    isLeftOut: true,
  },
  training_plan: { schema: trainingPlanSchema, told: ({ plan }) => without(plan, "day", "sequence"), isLeftOut: true },
  school_choice: {
    schema: newSchoolSchema,
    // points that have left the list since hold nothing; without the rest a client is held to less than was chosen
    told: ({ preset, positions, numbers, reason }) => ({ preset, positions: knownPositions(positions), numbers, reason }),
  },
  finding: {
    schema: Joi.object(findingKeys),
    told: ({ day, protocol, side, value, set_up: setUp, note }) => ({ day, protocol, side, value, setUp, note }),
  },
  screen: { schema: screenAnswersSchema, told: ({ answers }) => answers },
  posture_rule: { schema: postureSchema, told: ({ rule }) => rule },
  client_limit: {
    schema: Joi.object({ rule: ruleSchema.required(), side: channelSide.required() }),
    told: ({ rule, side }) => ({ rule, side }),
  },
  complaint: {
    schema: complaintSchema,
    told: ({ complaint_id: id, site, side, words, usual_pain_score: usualPainScore, pain_limit_score: painLimitScore }) => ({
      id,
      site,
      side,
      words,
      usualPainScore,
      painLimitScore,
    }),
  },
  body_measure: { schema: newMeasureSchema, told: ({ height_m: heightM, mass_kg: massKg, overrides }) => ({ heightM, massKg, overrides }) },
  ceiling: { schema: ceilingForm, told: ({ channel, side, value }) => ({ channel, side, value }) },
  rung: { schema: rungForm, told: ({ variation_id, setting, side, pattern }) => ({ variation_id, setting, side, pattern }) },
  calm_pose: {
    schema: calmPoseForm,
    told: ({ variation_id, setting, side, limited_by, mass_kg }) => ({ variation_id, setting, side, limited_by, mass_kg }),
  },
  prescription: { schema: sessionDose, told: ({ dose }) => dose },
  response: {
    schema: morningSchema,
    told: ({ session_id, pains, new_swelling, under_relief, told, warning_signs }) => ({
      sessionId: session_id,
      pains,
      newSwelling: new_swelling,
      underRelief: under_relief,
      told: told === null ? undefined : without(told, "by"), // whether the client said it themselves is the studio's to know
      warningSigns: warning_signs,
    }),
  },
  decision: {
    schema: Joi.object({
      reasons: Joi.array()
        .items(Joi.object({ code: Joi.string().max(60).required() }).unknown())
        .max(60),
      change: Joi.object({ levers: Joi.array().required() }).unknown().allow(null),
    }),
    told: ({ reasons, change }) => ({ reasons, change }),
  },
  home_look: { schema: Joi.array().items(uuid), told: ({ entry_ids }) => entry_ids },
  floor_event: {
    schema: floorEventSchema,
    told: ({ id, device_id: deviceId, session_id: sessionId, sequence, occurred_at: occurredAt, payload: body }) => ({
      id,
      deviceId,
      sessionId,
      sequence,
      occurredAt,
      body,
    }),
  },
  home_entry: {
    schema: homeEntrySchema,
    // the studio has written the place and the dose of the sheet beside what was told
    told: ({ id, occurred_at: at, kind, told }) => ({ id, at, told: { kind, ...objectOf(without(told, "place", "dose")) } }),
  },
};

/** What of a fact could not have been written here; null where all of it could, or its table has no form of its own. */
export function factProblem(table: string, fact: Fact): FactProblem | null {
  const form = FORMS[table];
  const parsed = form && parse(form.schema.required(), form.told(fact));
  if (!parsed || parsed.ok) return null;
  // an exercise that has left the catalogue since is still what was trained
  const issue = parsed.issues.find(({ code }) => code !== "variation.unknown");
  return issue ? { table, id: String(fact["id"]), path: issue.path, code: issue.code } : null;
}
/** More than the latest visits and programmes of two thousand clients; past it every page would look anew. */
const MOST_KNOWN = 20_000;
const known = onceByName<{ isReadable: boolean }>(MOST_KNOWN);
/** Whether a stored fact says what its form could have written; one that does not is left out of every page. Asked anew for each page, so looked at once. */
export const isReadable = <F extends object>(table: string, fact: F, asKept?: (fact: F) => Fact): boolean =>
  known(`${table} ${JSON.stringify(fact)}`, () => ({
    isReadable: factProblem(table, asKept ? asKept(fact) : (fact as Fact)) === null,
  })).isReadable;
/** Days on which something was: none of them is still to come. Limits, visits and programmes say their coming days elsewhere. */
const PAST_DAYS = ["day", "ended_day"] as const;
/** A clock somewhere may go a little wrong. */
const AHEAD_MS = 5 * 60_000;
/** What of a fact is dated ahead: it would count as the latest for good. */
export function aheadProblem(table: string, fact: Fact, today: Day, nowMs: number): FactProblem | null {
  const isAhead = (column: string): boolean => typeof fact[column] === "string" && fact[column].slice(0, 10) > today;
  const path = PAST_DAYS.find(isAhead) ?? (Date.parse(String(fact["created_at"])) > nowMs + AHEAD_MS ? "created_at" : undefined);
  return path ? { table, id: String(fact["id"]), path, code: "day.future" } : null;
}
export const isLeftOut = (table: string): boolean => FORMS[table]?.isLeftOut === true;
/** Tables whose facts are read by the form that writes them. */
export const READ_BY_FORM = Object.keys(FORMS);
