import Joi from "joi";
import { type ChannelId, CHANNELS, MODEL_TEMPLATES, type NumberChannelId } from "../core";
import { within } from "./fields";
import { subjectKeys, type SubjectInput } from "./subject.schema";

/** Any template of the body model, with values of its levers; what is left out stands as the template starts. */
export interface TemplatePlace {
  template: string;
  values?: Record<string, number>;
}
const templateId = Joi.string().valid(...MODEL_TEMPLATES.map(({ id }) => id));
const templateValues = Joi.object().when("template", {
  switch: MODEL_TEMPLATES.map(({ id, levers }) => ({
    is: id,
    then: Joi.object(Object.fromEntries(levers.map((row) => [row.id, within(row)]))),
  })),
});
const templateKeys = { template: templateId.required(), values: templateValues };
const numberChannel = Joi.string().valid(...(Object.keys(CHANNELS) as ChannelId[]).filter((id) => CHANNELS[id].reads !== "rank"));
const leg = Joi.string().valid("lead", "trail");
/** A catalogue row or any template of the model: which of the two is told by its key. */
export const either = <T>(onTemplate: Joi.ObjectSchema, onVariation: Joi.ObjectSchema) =>
  Joi.alternatives<T>()
    .conditional(Joi.object({ template: Joi.exist() }).unknown(), { then: onTemplate, otherwise: onVariation })
    .required();

export interface TemplateDemandInput extends SubjectInput, TemplatePlace {}
export const templateDemandSchema = Joi.object<TemplateDemandInput>({ ...subjectKeys, ...templateKeys });

export interface TemplateSolveInput extends TemplateDemandInput {
  lever: string;
  low?: number;
  high?: number;
  channel: NumberChannelId;
  leg?: "lead" | "trail";
  target: number;
  increment?: number;
}
const leverOfTemplate = Joi.string().when("template", {
  switch: MODEL_TEMPLATES.map(({ id, levers }) => ({ is: id, then: Joi.valid(...levers.map((row) => row.id)) })),
});
export const templateSolveSchema = templateDemandSchema.append<TemplateSolveInput>({
  lever: leverOfTemplate.required(),
  low: Joi.number(),
  high: Joi.number().greater(Joi.ref("low")),
  channel: numberChannel.required(),
  leg,
  target: Joi.number().required(),
  increment: Joi.number().positive(),
});

export interface TemplateMatchInput extends SubjectInput {
  from: TemplatePlace;
  to: TemplatePlace & { lever: string; low?: number; high?: number; increment?: number };
  channel: NumberChannelId;
  leg?: "lead" | "trail";
}
export const templateMatchSchema = Joi.object<TemplateMatchInput>({
  ...subjectKeys,
  from: Joi.object(templateKeys).required(),
  to: Joi.object({
    ...templateKeys,
    lever: leverOfTemplate.required(),
    low: Joi.number(),
    high: Joi.number().greater(Joi.ref("low")),
    increment: Joi.number().positive(),
  }).required(),
  channel: numberChannel.required(),
  leg,
});
