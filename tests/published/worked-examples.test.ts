import { describe, expect, test } from "vitest";
import { runExamples } from "../../cli/run-examples";
import type { Example } from "../../cli/shorthand";
import { mechanicsSchema } from "../../cli/shorthand.schema";
import { parse } from "../../src/schemas/parse";
import examples from "./worked-examples.json";

/**
 * Source: the worked examples of our own body-model specification, computed by a separate prototype of the same
 * equations. Tolerance 1e-4 absolute or relative, as they are printed to eight digits; words and booleans exact.
 */
const TOLERANCE = 1e-4;

const valueAt = (tree: unknown, path: string): unknown => {
  const record = tree as Record<string, unknown>;
  return path in record
    ? record[path]
    : path.split(".").reduce<unknown>((node, key) => (node as Record<string, unknown> | undefined)?.[key], tree);
};

function agrees(expected: unknown, actual: unknown): boolean {
  if (typeof expected === "number")
    return typeof actual === "number" && Math.abs(actual - expected) <= Math.max(TOLERANCE, TOLERANCE * Math.abs(expected));
  if (Array.isArray(expected))
    return Array.isArray(actual) && actual.length === expected.length && expected.every((item, i) => agrees(item, actual[i]));
  return expected === actual;
}

describe("worked examples of the body model", () => {
  test("all of them are valid input", () => {
    expect(parse(mechanicsSchema, examples)).toMatchObject({ ok: true });
  });

  test.each(examples)("$id", ({ expect: expected, ...example }) => {
    const [answer] = runExamples([example as unknown as Example]);
    for (const [path, value] of Object.entries(expected)) {
      const actual = valueAt(answer?.result, path);
      expect(agrees(value, actual), `${path}: expected ${JSON.stringify(value)}, got ${JSON.stringify(actual)}`).toBe(true);
    }
  });
});
