import Joi from "joi";
import { EQUIPMENT } from "../core/kit/equipment";
import { OWN_ID, type OwnRow, type OwnRowsFile } from "../core/catalogue/own";
import { PATTERNS, POSITIONS, TRAINED } from "../core/catalogue/variation";
import { BODY_PARTS } from "../core/templates/seat";
import { TRAITS } from "../core/templates/template";
import { TEMPLATES } from "../core/templates/templates";
import { lever, maybeWords, text, within, words } from "./fields";
import { doseSchema } from "./plan.schema";

const code = Joi.string().pattern(/^[A-Z]\d{2}$/);
const rank = Joi.number().integer().min(0).max(3).required();
const bound = Joi.alternatives(
  Joi.number().min(-100).max(3000),
  Joi.object({
    of: Joi.string()
      .valid(...Object.keys(BODY_PARTS))
      .required(),
    times: within({ min: -3, max: 3 }).required(),
    plusM: within({ min: -2, max: 2 }),
  }),
  Joi.object({ kneeFlexionDeg: within({ min: 0, max: 150 }).required() }),
).required();
const lines = (most: number) => Joi.array().items(words(300)).max(most).required();

/** A row of a studio's own, whole. What its template makes of it is checked after: `ownProblems`. */
export const ownRowSchema = Joi.object<OwnRow>({
  id: Joi.string().pattern(OWN_ID).required(),
  code: Joi.string().allow("").max(6).required(),
  revision: Joi.number().integer().min(1).max(10_000).required(),
  basedOn: code.required(),
  pattern: Joi.string()
    .valid(...PATTERNS)
    .required(),
  name: words(80).required(),
  alsoCalled: lines(10),
  purpose: maybeWords(300).required(),
  why: maybeWords(300).required(),
  setUp: maybeWords(1000).required(),
  cues: lines(10),
  faults: Joi.array()
    .items(Joi.object({ id: text(60).required(), sign: text(200).required(), cause: text(300).required(), response: text(300).required() }))
    .max(20)
    .required(),
  template: Joi.string()
    .valid(...Object.keys(TEMPLATES))
    .required(),
  parameters: Joi.object()
    .pattern(text(40), Joi.alternatives(text(40), Joi.number()))
    .max(12)
    .required(),
  levers: Joi.array()
    .items(Joi.object({ lever: lever.required(), min: bound, max: bound, start: bound }))
    .unique("lever")
    .max(12)
    .required(),
  equipment: Joi.array()
    .items(Joi.string().valid(...EQUIPMENT))
    .unique()
    .max(12)
    .required(),
  cautions: lines(10),
  trains: Joi.object(Object.fromEntries(TRAINED.map((id) => [id, Joi.number().valid(1, 2, 3)]))).required(),
  lowering: Joi.string().valid("none", "slow", "fast").required(),
  tags: Joi.object({
    position: Joi.string()
      .valid(...POSITIONS)
      .required(),
    legs: Joi.string().valid("two", "split", "one", "any").required(),
    knee: rank,
    back: rank,
    balance: rank,
    isImpact: Joi.boolean().valid(true),
    isForPregnancy: Joi.boolean().valid(true),
  }).required(),
  often: Joi.string().valid("several-a-day", "daily", "three-a-week", "two-rest-days").required(),
  easierCodes: Joi.array().items(code).unique().max(8).required(),
  harderCodes: Joi.array().items(code).unique().max(8).required(),
  dose: doseSchema.required(),
  startsBy: Joi.string().valid("lower", "rise").required(),
  traits: Joi.array()
    .items(Joi.string().valid(...TRAITS))
    .unique()
    .max(TRAITS.length)
    .required(),
  isRetired: Joi.boolean().valid(true),
});

/** Rows handed from studio to studio. */
export const ownRowsFileSchema = Joi.object<OwnRowsFile>({
  format: Joi.string().valid("ponderis-rows").required(),
  version: Joi.number().valid(1).required(),
  rows: Joi.array().items(ownRowSchema).min(1).max(100).required(),
});
