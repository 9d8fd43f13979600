import type Joi from "joi";
import type { Issue, Parsed } from "../core/reasons";

/** Unknown input to a value of the schema's type, or every problem with its path. */
export function parse<T>(schema: Joi.Schema<T>, input: unknown): Parsed<T> {
  const { value, error } = schema.validate(input, { abortEarly: false, convert: false });
  if (!error) return { ok: true, value: value as T };
  return { ok: false, issues: error.details.map(issueFrom) };
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
