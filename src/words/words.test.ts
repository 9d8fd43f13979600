import { describe, expect, test } from "vitest";
import { CATALOGUE } from "../core/catalogue/catalogue";
import { STUDIES } from "../core/catalogue/studies.data";
import type { FitReason } from "../core/judge/fit-reason";
import { fitCatalogue } from "../core/progressions/list";
import { type Limit, LIMIT_CHANNELS } from "../core/limits/limit";
import { type ChannelId, CHANNELS, type NumberChannelId } from "../core/mechanics/channels";
import type { DecisionReason } from "../core/progress/decision-reason";
import { complaint, contextWith, kneeLimit, limit, SUBJECT } from "../core/judge/fit.fixture";
import { WARNING_SIGNS } from "../core/limits/clinician";
import { leversOf, startSetting } from "../core/templates/form";
import { withLever } from "../core/templates/lever";
import { poseOf } from "../core/templates/pose";
import { TRAITS } from "../core/templates/template";
import { agoText, ageOn, clockTimeText, dayAt, dayText, whenText } from "./basics/day";
import { channelName, demandText, poseWarningText, quantityName, typicalText } from "./basics/channel";
import { UNREAD_FACT } from "../core/progress/warning";
import { decisionReasonText, moveText, stoppedText, untilText } from "./training/decision";
import { warningText } from "./client/warning";
import { buildsText, fitReasonText, openingText, otherwiseText, poseFailureText, standingText } from "./training/fit";
import { issueText } from "./basics/issue";
import { changeText, leverName, leverPhrase, leverValueText, settingText } from "./basics/lever";
import { limitRuleText, limitText } from "./client/limit";
import { clockText, handText, lengthText, massText, percentRangeText, statureText } from "./basics/quantity";
import { refusalText } from "./studio/refusal";

const LIMITS: readonly Limit[] = [kneeLimit(95)];
const isPlain = (text: string): void => {
  expect(text).not.toMatch(/undefined|NaN|null|\[object|!/);
  expect(text.length).toBeGreaterThan(2);
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
    expect(leverValueText("handForceN", 0, "metric")).toBe("hands free");
    expect(leverValueText("loadKg", 0, "metric")).toBe("none");
    expect(settingText({ seatHeightM: 0.6, handForceN: 0 }, "metric")).toBe("seat 60 cm, hands free");
  });
});

test("an instant stands by the clock of the zone asked for, on its own day", () => {
  const at = "2026-12-01T23:07:00.000Z";
  expect([dayAt(at, "UTC"), dayAt(at, "Europe/Oslo"), dayAt(at, "America/Adak")]).toEqual(["2026-12-01", "2026-12-02", "2026-12-01"]);
  expect(whenText(at, "Europe/Oslo")).toBe("Wed 2 Dec, 00:07");
  expect(clockTimeText(at, "America/Adak")).toBe("13:07");
});

describe("the model's words", () => {
  const row = (channel: NumberChannelId, [low, head, high]: [number, number, number], more: object = {}) =>
    demandText({ channel, low, head, high, trust: "B", ...more }, "metric");

  test("tell an estimate with its range, and a rough one only as a range", () => {
    expect(row("kneeMoment", [25.6, 26.1, 28.4])).toBe("26 Nm (26 to 28)");
    expect(row("kneeMoment", [-3.2, 12, 40], { trust: "C" })).toBe("-3 to 40 Nm");
    expect(row("hipFlexion", [64, 64, 64])).toBe("64°");
  });
  test("keep silent where the model has nothing to say", () => {
    expect(row("kneecapStress", [9, 9, 9], { refused: "kneecap-past-90" })).toBe("no figure past 90°");
    expect(row("handWeight", [0, 0, 0])).toBe("none");
  });
  test("name every channel, say what is usual of it, and word every rank", () => {
    for (const channel of Object.keys(CHANNELS) as ChannelId[]) {
      isPlain(channelName(channel));
      isPlain(quantityName(channel));
      if (CHANNELS[channel].reads === "rank") CHANNELS[channel].ranks.forEach(isPlain);
      else expect(typicalText(channel as NumberChannelId, 74) ?? "0 to 1").toMatch(/^-?[\d.]+ to [\d.]+$/);
    }
  });
  test("word every lever, every reason a pose fails and every warning, of every form", () => {
    let failures = 0;
    for (const form of [...CATALOGUE, ...STUDIES])
      for (const { lever, min, max } of leversOf(SUBJECT, form))
        for (const value of [min, max]) {
          [leverName(lever), leverPhrase(lever, value, "metric"), leverPhrase(lever, value, "imperial")].forEach(isPlain);
          const pose = poseOf(SUBJECT, form, withLever(startSetting(SUBJECT, form), lever, value));
          if (pose.ok) for (const warning of pose.warnings) expect(poseWarningText(warning)).not.toBe(warning);
          else {
            failures++;
            expect([pose.reason, poseFailureText(pose.reason)]).not.toEqual([pose.reason, "this body cannot be held like that"]);
          }
        }
    expect(failures).toBeGreaterThan(0);
  });
});

test("every warning sign and move has words, and every limit a sentence", () => {
  WARNING_SIGNS.filter((sign) => sign !== "other-sign").forEach((sign) => expect(warningText(sign)).not.toBe("Another warning sign"));
  (["ease", "hold", "build", "rest", "stop"] as const).forEach((move) => isPlain(moveText(move)));
  for (const channel of LIMIT_CHANNELS) isPlain(limitRuleText({ kind: "most", channel, most: 20 }, "right", "imperial"));
  for (const what of TRAITS) isPlain(limitRuleText({ kind: "never", what }, "both"));
  isPlain(limitRuleText({ kind: "room", leastDeg: 70 }, "both"));
  expect(changeText({ levers: [], fromVariationId: null, sets: { from: 2, to: 3 } }, "", "metric")).toBe("2 → 3 sets");
});

test("days are said by their distance where that is clearer", () => {
  expect(agoText("2026-11-25", "2026-11-26")).toBe("yesterday");
  expect(agoText("2026-11-26", "2026-11-26")).toBe("today");
  expect(agoText("2026-10-01", "2026-11-26")).toBe(dayText("2026-10-01"));
  expect(ageOn(1965, "2026-11-26")).toBe(61);
});

test("every reason and opening of a real fit is a sentence", () => {
  const kit = { ...contextWith().kit, equipment: [] };
  const limits = [
    kneeLimit(60),
    limit({ kind: "never", what: "added-weight" }, { id: "w" }),
    limit({ kind: "room", leastDeg: 120 }, { id: "r" }),
    limit({ kind: "own-words", text: "no kneeling" }, { id: "o" }),
  ];
  const codes = new Set<string>();
  for (const context of [
    contextWith(),
    contextWith({ limits }),
    contextWith({ kit }),
    contextWith({ ceilings: [] }),
    contextWith({ complaints: [complaint({ site: "back-bend", side: "both" })], careful: ["back"] }),
  ])
    for (const { reasons, opening, standing } of fitCatalogue(context, CATALOGUE)) {
      reasons.forEach((reason) => {
        codes.add(reason.code);
        isPlain(fitReasonText(reason, limits));
        const otherwise = otherwiseText(reason, limits);
        if (otherwise) isPlain(otherwise);
        else
          expect(["stand-in", "ankle-at-its-limit", "kneecap-past-90", "back-over-action", "own-words-limit", "kept-out"]).toContain(
            reason.code,
          );
      });
      if (opening) isPlain(openingText(opening, limits, "metric"));
      if (standing) isPlain(standingText(standing));
    }
  expect(codes.size).toBeGreaterThan(8);
});
test("why a row stands where it stands names what it was ranked by, and what would move it up", () => {
  const at = { novelty: 0, isNewLoad: false, fromTarget: -0.1, leadsToOwnDay: true, kitCount: 0 };
  expect(standingText(at)).toContain("10% under the target; the client's own day asks it; it needs nothing set up");
  expect(standingText({ ...at, novelty: -1 })).toContain("it was calm before");
  expect(standingText({ ...at, novelty: 2 })).toContain("One calm morning after it moves it up");
  expect(standingText({ ...at, isNewLoad: true })).toContain("Less load moves it up");
});
test("how far away something is, is said in builds", () => {
  expect([1.01, 1.08, 1.2, 1.37].map(buildsText)).toEqual([
    "about one build away",
    "about one build away",
    "about 3 builds away",
    "about 5 builds away",
  ]);
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
  { code: "rest-and-ask" },
  { code: "belly-pressure" },
  { code: "rung-forbidden", reason: { code: "no-ceiling" } },
  { code: "not-measured", reason: { code: "no-ceiling" } },
  { code: "as-a-try", reason: { code: "no-ceiling" } },
  { code: "next-step-too-big", riserFraction: 0.2 },
  { code: "next-step-closed", reason: { code: "no-ceiling" } satisfies FitReason },
  {
    code: "next-step",
    change: { levers: [{ lever: "seatHeightM", from: 0.6, to: 0.59 }], fromVariationId: null, sets: null },
    channel: "kneecapStress",
    riserFraction: 0.06,
  },
  { code: "ceiling-proposed", value: 8 },
];
test.each(REASONS)("a decision's reason is a sentence: $code", (reason) => isPlain(decisionReasonText(reason, LIMITS, "imperial")));

test("what a limit forbids is said with the exercise, the limit, whose it is and what would end it", () => {
  const limit = kneeLimit(95, { untilDay: "2027-01-12" });
  const forbids: FitReason = { code: "over-limit", limitId: limit.id, channel: "kneeFlexion", side: "right", value: 101, most: 95 };
  expect(refusalText({ code: "forbidden", name: "Box squat", forbids, limit })).toBe(
    "Box squat. Right knee bend would come to 101°; surgeon allows 95°. Choose another set-up, or leave it out today. Otherwise with surgeon lifting it, or 12 Jan.",
  );
  expect(refusalText({ code: "forbidden", name: null, forbids: null, limit })).toBe(
    "A limit does not allow this: Right knee bend to 95°, surgeon. Otherwise with surgeon lifting it, or 12 Jan.",
  );
  expect(refusalText({ code: "import-refused", why: "fact", where: "client_limit 4b1f: most" })).toBe(
    "An entry in it cannot be right (a limit 4b1f: most). Nothing of this client was taken.",
  );
  isPlain(refusalText({ code: "pose-impossible", reason: "falls-backward", name: "Box squat" }));
});

test("refusals and problems are said in the trainer's words", () => {
  for (const code of ["no-plan", "closed-needs-note", "forbidden", "warning-open", "something-else"]) isPlain(refusalText({ code }));
  isPlain(refusalText({ code: "pose-impossible", reason: "falls-backward" }));
  isPlain(refusalText({ code: "overrule-refused", reason: "limit-blocks" }));
  expect(issueText({ path: "heightM", code: "number.max", limit: 2.2 })).toBe("Stature is at most 2.2.");
  expect(issueText({ path: "owner.name", code: "string.empty" })).toBe("Name is missing.");
});

test.each([
  ["2026-11-26", "Right knee bend to 95°, surgeon, until 12 Jan"],
  ["2027-02-01", "Right knee bend to 95°, surgeon: ran to 12 Jan, ask who lifted it"],
])("a limit on %s reads: %s", (today, text) => expect(limitText(kneeLimit(95), today)).toBe(text));

test("what stops planning says who ends it: a clinician a sign, a lead of the studio what cannot be read", () => {
  const [sign, unread] = ["faint", UNREAD_FACT];
  expect([stoppedText([sign]), stoppedText([unread]), stoppedText([unread, sign])].map((text) => text.includes("clinician"))).toEqual([
    true,
    false,
    true,
  ]);
  expect(untilText([sign])).toBe("a clinician has cleared it");
  expect(untilText([unread])).toBe("a lead of the studio has looked at it");
  expect(untilText([sign, unread])).toMatch(/clinician.*lead/);
  for (const each of [stoppedText([unread]), untilText([sign, unread])]) isPlain(each);
});
