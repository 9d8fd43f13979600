import type Joi from "joi";
import type { Issue } from "../src/core";
import { parse } from "../src/schemas/parse";
import { COMMANDS } from "./commands";

/**
 * npm run --silent core -- <command>: one JSON document in, one out. Exit 0 with an answer, 2 with a list of problems.
 * `commands` lists what there is, with JSON Schemas.
 */
interface StandardSchema {
  "~standard": { jsonSchema: { input: (options: { target: string }) => unknown } };
}
const jsonSchemaOf = (schema: Joi.Schema): unknown =>
  (schema as unknown as StandardSchema)["~standard"].jsonSchema.input({ target: "draft-2020-12" });

async function readInput(): Promise<string> {
  let text = "";
  for await (const chunk of process.stdin) text += String(chunk);
  return text;
}

function answer(value: unknown, exitCode: 0 | 2): void {
  process.stdout.write(`${JSON.stringify(value)}\n`);
  process.exitCode = exitCode;
}

const refuse = (...problems: Issue[]): void => answer({ problems }, 2);

function parseJson(text: string): { ok: true; value: unknown } | { ok: false } {
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch {
    return { ok: false };
  }
}

async function main(name: string | undefined): Promise<void> {
  if (name === "commands") {
    const list = Object.entries(COMMANDS).map(([command, { summary, schema }]) => ({ command, summary, input: jsonSchemaOf(schema) }));
    return answer(list, 0);
  }
  const command = name === undefined ? undefined : COMMANDS[name];
  if (!command) return refuse({ path: "command", code: "any.only", allowed: ["commands", ...Object.keys(COMMANDS)] });
  const json = parseJson(await readInput());
  if (!json.ok) return refuse({ path: "", code: "json" });
  const parsed = parse(command.schema, json.value);
  if (!parsed.ok) return answer({ problems: parsed.issues }, 2);
  return answer(command.run(parsed.value as never), 0);
}

await main(process.argv[2]);
