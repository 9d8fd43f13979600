import { expect, test } from "vitest";
import { CATALOGUE } from "../catalogue/catalogue";
import { SUBJECT } from "../judge/fit.fixture";
import { ask, HEADLINE, type Wanted, WHOLE } from "./ask";
import { type Form, leversOf, startSetting } from "./form";
import type { Setting } from "./lever";

/**
 * What every row with a model asks where it starts and with all its levers near their hard and their far end, written out:
 * nothing moves unseen. Whether the numbers are right is what tests/published is for. Anew with `npx vitest run -u`.
 */
const MODELLED = CATALOGUE.filter(({ template }) => template !== "no-model");
const atPart = (form: Form, part: number): Setting =>
  Object.fromEntries(leversOf(SUBJECT, form).map(({ lever, min, max }) => [lever, min + part * (max - min)]));
const short = (value: number): string => String(Number(value.toPrecision(4)));

function line(form: Form, setting: Setting, wanted: Wanted): string {
  const asked = ask(SUBJECT, form, setting, wanted);
  if (!asked.ok) return asked.reason;
  const { demands, ranks, traits, isAnkleLimited, isUnmodelled } = asked;
  const told = demands.map(({ channel, side, low, head, high, trust, refused }) =>
    [channel, side, ...new Set([low, head, high].map(short)), trust, refused ?? ""].join(" ").trim(),
  );
  const notes = [isAnkleLimited ? "ankle at its limit" : "", isUnmodelled ? "no model" : "", ...traits].filter(Boolean);
  return [`balance ${ranks.balanceDemand}, impact ${ranks.impact}`, notes.join(", "), ...told].join("; ");
}

test.each([
  ["at the start", (form: Form) => startSetting(SUBJECT, form), WHOLE],
  ["far along every lever", (form: Form) => atPart(form, 0.8), WHOLE],
  ["at the end of every lever, at the headline", (form: Form) => atPart(form, 1), HEADLINE],
] as const)("every row asks as written %s", async (name, settingOf, wanted) => {
  const lines = MODELLED.map((form) => `${form.id}: ${line(form, settingOf(form), wanted)}`);
  expect(lines.length).toBeGreaterThan(100);
  expect(lines.filter((each) => each.includes("; ")).length).toBeGreaterThan(70); // the rest says why there is no such pose
  await expect(`${lines.join("\n")}\n`).toMatchFileSnapshot(`./asks/${name.replaceAll(/[^a-z]+/g, "-")}.txt`);
});
