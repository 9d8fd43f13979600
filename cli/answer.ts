import type Joi from "joi";
import type { Issue } from "../src/core/reasons";
import { parse } from "../src/schemas/parse";
import { COMMANDS } from "./commands";

interface StandardSchema {
  "~standard": { jsonSchema: { input: (options: { target: string }) => unknown } };
}
const jsonSchemaOf = (schema: Joi.Schema): unknown =>
  (schema as unknown as StandardSchema)["~standard"].jsonSchema.input({ target: "draft-2020-12" });

export interface Answer {
  exitCode: 0 | 2;
  value: unknown;
}
const refuse = (...problems: Issue[]): Answer => ({ exitCode: 2, value: { problems } });

function parseJson(text: string): { ok: true; value: unknown } | { ok: false } {
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch {
    return { ok: false };
  }
}

/** One command on one JSON document: exit 0 with an answer, 2 with a list of problems. `commands` lists what there is. */
export function answerTo(name: string | undefined, text: string): Answer {
  if (name === "commands") {
    const list = Object.entries(COMMANDS).map(([command, { summary, schema }]) => ({ command, summary, input: jsonSchemaOf(schema) }));
    return { exitCode: 0, value: list };
  }
  const command = name !== undefined && Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
  if (!command) return refuse({ path: "command", code: "any.only", allowed: ["commands", ...Object.keys(COMMANDS)] });
  const json = parseJson(text);
  if (!json.ok) return refuse({ path: "", code: "json" });
  const parsed = parse(command.schema, json.value);
  if (!parsed.ok) return refuse(...parsed.issues);
  const issues = command.check?.(parsed.value as never) ?? [];
  if (issues.length > 0) return refuse(...issues);
  return { exitCode: 0, value: command.run(parsed.value as never) };
}
