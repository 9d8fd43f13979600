import fc from "fast-check";
import Joi from "joi";
import { describe, expect, test } from "vitest";
import * as assess from "./assess.schema";
import * as assessInput from "./command-line/assess-input.schema";
import * as body from "./body.schema";
import * as client from "./client.schema";
import * as core from "./command-line/core-input.schema";
import * as floor from "./floor.schema";
import * as limit from "./limit.schema";
import { parse } from "./parse";
import * as plan from "./plan.schema";
import * as screen from "./screen.schema";
import * as standards from "./command-line/standards.schema";
import * as studio from "./studio.schema";
import * as formats from "./command-line/formats.schema";
import * as home from "./home.schema";
import * as letter from "./letter.schema";
import * as message from "./message.schema";
import * as picture from "./picture.schema";
import * as privateLink from "./private-link.schema";
import * as school from "./school.schema";
import * as summary from "./summary.schema";
import * as team from "./team.schema";
import * as trainingPlan from "./training-plan.schema";
import * as visit from "./visit.schema";

/** Every schema that stands at a door, by name. */
const EXPORTED: Record<string, unknown> = {
  ...assess,
  ...assessInput,
  ...body,
  ...client,
  ...core,
  ...floor,
  ...limit,
  ...plan,
  ...screen,
  ...standards,
  ...studio,
  ...formats,
  ...home,
  ...letter,
  ...message,
  ...picture,
  ...privateLink,
  ...school,
  ...summary,
  ...team,
  ...trainingPlan,
  ...visit,
};
const SCHEMAS = Object.entries(EXPORTED).filter((entry): entry is [string, Joi.Schema] => Joi.isSchema(entry[1]));
/** Words that schemas know, so that inputs get past the first check and further in. */
const KEYS = [
  ...new Set(
    SCHEMAS.flatMap(([, schema]) =>
      [...JSON.stringify(schema.describe()).matchAll(/"([a-z][A-Za-z]{2,24})":/g)].map(([, key]) => key ?? ""),
    ),
  ),
];
const nasty = fc.oneof(
  fc.constantFrom("\0", "\ud800", "2026-02-30", "NaN", "__proto__", "a".repeat(5000), "0001-01-01", "3F2B8C1E-5A77-4C1E-9B0D-2F6A4F1D9C10"),
  fc.constantFrom(NaN, Infinity, -Infinity, -0, 1e308, Number.MAX_SAFE_INTEGER + 2, null, undefined, true),
  fc.string(),
  fc.double(),
  fc.integer(),
);
const { value } = fc.letrec<{ value: unknown }>((tie) => ({
  value: fc.oneof(
    { maxDepth: 4, withCrossShrink: true },
    nasty,
    fc.array(tie("value"), { maxLength: 4 }),
    fc.dictionary(fc.oneof(fc.constantFrom(...KEYS), fc.string({ maxLength: 8 })), tie("value"), { maxKeys: 8 }),
  ),
}));
const RUNS = 10_000;

describe("no input of whatever kind", () => {
  test("makes a schema throw, and what it says of it is bounded and names no prototype", () => {
    let judged = 0;
    fc.assert(
      fc.property(fc.constantFrom(...SCHEMAS), value, ([name, schema], input) => {
        const parsed = parse(schema, input);
        judged++;
        if (parsed.ok) return;
        expect([name, parsed.issues.length <= 20]).toEqual([name, true]);
        expect(({} as Record<string, unknown>)["polluted"]).toBeUndefined();
      }),
      { numRuns: RUNS, seed: 7 },
    );
    expect(judged).toBe(RUNS);
    expect(SCHEMAS.length).toBeGreaterThan(45);
  });
});
