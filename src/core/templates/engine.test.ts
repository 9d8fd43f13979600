import { expect, test } from "vitest";
import { STUDIES } from "../catalogue/studies.data";
import { SUBJECT } from "../judge/fit.fixture";
import { ENGINE_VERSION } from "../record/facts/record";
import { ask, WHOLE } from "./ask";
import { startSetting } from "./form";

const short = (value: number): number => Number(value.toPrecision(5));

/**
 * What is stored is told apart by the engine that computed it: a number that changes here means a new ENGINE_VERSION, and
 * the file of its numbers beside the old one. Whether the numbers are right is what tests/published is for.
 */
test("every form asks what this engine has always asked, channel by channel", async () => {
  const numbers = STUDIES.map((form) => {
    const asked = ask(SUBJECT, form, startSetting(SUBJECT, form), WHOLE);
    const rows = asked.ok
      ? asked.demands.map((d) => [d.channel, d.side, short(d.low), short(d.head), short(d.high), d.trust, d.refused ?? ""].join(" "))
      : [asked.reason];
    return asked.ok ? { id: form.id, ranks: asked.ranks, traits: asked.traits, rows } : { id: form.id, rows };
  });
  expect(numbers.flatMap(({ rows }) => rows).length).toBeGreaterThan(700);
  await expect(`${JSON.stringify(numbers, null, 1)}\n`).toMatchFileSnapshot(`./engine-${ENGINE_VERSION}.numbers.json`);
});
