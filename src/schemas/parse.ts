import type Joi from "joi";
import type { Issue, Parsed } from "../core/reasons";

/** More than these say nothing new, and an answer stays shorter than what it answers. */
const MOST_ISSUES = 20;

/** Unknown input to a value of the schema's type, or every problem with its path. */
export function parse<T>(schema: Joi.Schema<T>, input: unknown): Parsed<T> {
  const { value, error } = schema.validate(input, { abortEarly: false, convert: false });
  if (!error) return { ok: true, value: value as T };
  return { ok: false, issues: error.details.slice(0, MOST_ISSUES).map(issueFrom) };
}

function issueFrom({ path, type, context }: Joi.ValidationErrorItem): Issue {
  const { limit, valids } = (context ?? {}) as { limit?: unknown; valids?: unknown[] };
  return {
    path: path.join("."),
    code: type,
    ...(typeof limit === "number" ? { limit } : {}),
    ...(valids ? { allowed: valids.map(String) } : {}),
  };
}
