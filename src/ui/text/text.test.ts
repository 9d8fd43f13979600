import { describe, expect, test } from "vitest";
import { CATALOGUE } from "../../core/catalogue/catalogue";
import type { FitReason } from "../../core/fit/judge";
import { fitCatalogue } from "../../core/fit/search";
import type { Limit } from "../../core/limits/limit";
import { type ChannelId, CHANNELS, type NumberChannelId } from "../../core/mechanics/channels";
import type { DecisionReason } from "../../core/progress/decide";
import { contextWith, kneeLimit } from "../../core/fit/fit.fixture";
import { agoText, ageOn, dayText } from "./day-text";
import { decisionReasonText, refusalText } from "./decision-text";
import { fitReasonText, openingText } from "./fit-text";
import { issueText } from "./issue-text";
import { leverValueText, settingText } from "./lever-text";
import { limitText } from "./limit-text";
import { modelChannelName, modelFailureText, modelLeverText, modelWarningText, rangeValueText, typicalText } from "./model-text";
import { clockText, handText, lengthText, massText, percentRangeText, statureText } from "./quantity-text";

const LIMITS: readonly Limit[] = [kneeLimit(95)];
const isPlain = (text: string): void => {
  expect(text).not.toMatch(/undefined|NaN|null|\[object|!/);
  expect(text.length).toBeGreaterThan(3);
};

describe("quantities", () => {
  test("are metric or imperial, as the trainer likes", () => {
    expect(lengthText(0.58, "metric")).toBe("58 cm");
    expect(lengthText(0.58, "imperial")).toBe("22.8 in");
    expect(massText(8, "metric")).toBe("8 kg");
    expect(massText(8, "imperial")).toBe("18 lb");
    expect(statureText(1.68, "imperial")).toBe("5 ft 6 in");
    expect(handText(8 * 9.81, "metric")).toBe("8 kg");
  });
  test("say a range only where there is one", () => {
    expect(percentRangeText(0.8, 0.8)).toBe("80%");
    expect(percentRangeText(0.66, 1.08)).toBe("66 to 108%");
  });
  test("of time are counted as one reads them", () => expect(clockText(75.6)).toBe("1:15"));
  test("of nothing are said as such", () => {
    expect(leverValueText("handForceN", 0, "metric")).toBe("none");
    expect(settingText({ seatHeightM: 0.6, handForceN: 0 }, "metric")).toBe("seat 60 cm, hands free");
  });
});

describe("the model's words", () => {
  const row = (channel: NumberChannelId, more: object = {}) =>
    ({ reads: "number", channel, trust: "B", refused: null, lead: { low: 0, head: 0, high: 0 }, trail: null, ...more }) as const;
  const range = (low: number, head: number, high: number) => ({ low, head, high });

  test("tell an estimate with its range, and a rough one only as a range", () => {
    expect(rangeValueText(row("kneeMoment"), range(25.6, 26.1, 28.4), "metric")).toBe("26 Nm (26 to 28)");
    expect(rangeValueText(row("kneeMoment", { trust: "C" }), range(-3.2, 12, 40), "metric")).toBe("-3 to 40 Nm");
    expect(rangeValueText(row("hipFlexion"), range(64, 64, 64), "metric")).toBe("64°");
  });
  test("keep silent where the model has nothing to say", () => {
    expect(rangeValueText(row("kneecapStress", { refused: "kneecap-past-90" }), range(9, 9, 9), "metric")).toBe("no figure past 90°");
    expect(rangeValueText(row("handWeight"), range(0, 0, 0), "metric")).toBe("none");
    expect(rangeValueText(row("handWeight"), range(78.48, 78.48, 78.48), "imperial")).toBe("18 lb");
  });
  test("name every channel, say what is usual of it, and word every rank, lever and reason", () => {
    for (const channel of Object.keys(CHANNELS) as ChannelId[]) {
      isPlain(modelChannelName(channel));
      if (CHANNELS[channel].reads === "rank") CHANNELS[channel].ranks.forEach(isPlain);
      else expect(typicalText(channel as NumberChannelId, 74) ?? "0 to 1").toMatch(/^-?[\d.]+ to [\d.]+$/);
    }
    for (const { levers, name, cannotSay } of MODEL_TEMPLATES) {
      [name, cannotSay].forEach(isPlain);
      for (const lever of levers) expect(modelLeverText(lever, lever.start, "metric")).not.toMatch(/NaN|undefined/);
    }
    for (const { pose, levers } of MODEL_TEMPLATES)
      for (const { id, min, max } of levers)
        for (const value of [min, max]) {
          const result = pose({ body: contextWith().subject.body, posture: contextWith().subject.posture }, { [id]: value });
          if (!result.ok) expect(modelFailureText(result.reason)).not.toBe("this body cannot be held like that");
          else for (const warning of result.warnings) expect(modelWarningText(warning)).not.toBe(warning);
        }
  });
});

test("days are said by their distance where that is clearer", () => {
  expect(agoText("2026-11-25", "2026-11-26")).toBe("yesterday");
  expect(agoText("2026-11-26", "2026-11-26")).toBe("today");
  expect(agoText("2026-10-01", "2026-11-26")).toBe(dayText("2026-10-01"));
  expect(ageOn(1965, "2026-11-26")).toBe(61);
});

test("every reason and opening of a real fit is a sentence", () => {
  for (const context of [
    contextWith(),
    contextWith({ limits: [kneeLimit(60)] }),
    contextWith({ equipment: [] }),
    contextWith({ ceilings: [] }),
  ])
    for (const { reasons, opening } of fitCatalogue(context, CATALOGUE)) {
      reasons.forEach((reason) => isPlain(fitReasonText(reason, LIMITS)));
      if (opening) isPlain(openingText(opening, LIMITS, "metric"));
    }
});

const REASONS: readonly DecisionReason[] = [
  { code: "no-session" },
  { code: "warning-sign", signs: ["chest-pain", "something-new"] },
  { code: "sharp-pain" },
  { code: "spreading-pain" },
  { code: "new-swelling" },
  { code: "flare" },
  { code: "noticed" },
  { code: "morning-missing" },
  { code: "ceiling-provisional" },
  { code: "pain-over-number", painScore: 5, limitScore: 3 },
  { code: "pain-not-recorded", setNumber: 2 },
  { code: "eased-on-the-floor" },
  { code: "sets-short", setCount: 2, targetSetCount: 3 },
  { code: "repetitions-short", setNumber: 1, repetitions: 9, goal: 12 },
  { code: "tank-short", repetitions: 12, leftInTank: null, needed: 14 },
  { code: "tank-short", repetitions: 12, leftInTank: 1, needed: 14 },
  { code: "form-not-clean", faults: ["heel-lifts"] },
  { code: "earned-once", needed: 2 },
  { code: "earned", sessionCount: 2, goal: 12 },
  { code: "no-harder-step" },
  { code: "no-easier-step" },
  { code: "next-step-closed", reason: { code: "no-ceiling" } satisfies FitReason },
  { code: "next-step", step: { lever: "seatHeightM", from: 0.6, to: 0.59, riserFraction: 0.06, tooBig: false, channel: "kneecapStress" } },
  { code: "ceiling-proposed", value: 8 },
];
test.each(REASONS)("a decision's reason is a sentence: $code", (reason) => isPlain(decisionReasonText(reason, LIMITS, "imperial")));

test("refusals and problems are said in the trainer's words", () => {
  for (const code of ["no-plan", "closed-needs-note", "blocked-by-limit", "warning-open", "something-else"])
    isPlain(refusalText({ code, day: "2026-11-26" }));
  isPlain(refusalText({ code: "pose-impossible", reason: "falls-backward" }));
  isPlain(refusalText({ code: "overrule-refused", reason: "limit-blocks" }));
  expect(issueText({ path: "heightM", code: "number.max", limit: 2.2 })).toBe("Stature is at most 2.2.");
  expect(issueText({ path: "owner.name", code: "string.empty" })).toBe("Name is missing.");
});

test.each([
  ["2026-11-26", "Right knee bend to 95°, surgeon, until 12 Jan"],
  ["2027-02-01", "Right knee bend to 95°, surgeon: ran to 12 Jan, ask who lifted it"],
])("a limit on %s reads: %s", (today, text) => expect(limitText(kneeLimit(95), today)).toBe(text));
