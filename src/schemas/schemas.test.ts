import { describe, expect, test } from "vitest";
import type Joi from "joi";
import { variationById } from "../core/catalogue/catalogue";
import { bodyMeasureSchema, newMeasureSchema } from "./body.schema";
import { complaintChangeSchema, dailyHeightSchema, newClientSchema } from "./client.schema";
import {
  calibrateInputSchema,
  demandInputSchema,
  fitInputSchema,
  matchInputSchema,
  solveInputSchema,
  stairInputSchema,
} from "./command-line/core-input.schema";
import { decideInputSchema } from "./command-line/decide-input.schema";
import { floorBatchSchema, floorEventSchema, MOST_EVENTS, sessionCorrectionSchema } from "./floor.schema";
import { calmPoseSchema, clearanceSchema, liftSchema, newLimitSchema } from "./limit.schema";
import { parse } from "./parse";
import { studioSchema } from "./team.schema";
import { decisionChoiceSchema, doseSchema, morningSchema, rungChoiceSchema } from "./plan.schema";
import { ruleAsideSchema, screenPartSchema } from "./screen.schema";
import { bandSchema, cushionSchema } from "./studio.schema";

const ID = "3f2b8c1e-5a77-4c1e-9b0d-2f6a4f1d9c10";
const { dose } = variationById("box-squat-pole");
const BODY = { heightM: 1.68, massKg: 74, sex: "female" };
const SUBJECT = { body: BODY, leadSide: "right" };
const CHOSEN = { variationId: "box-squat-pole", setting: { seatHeightM: 0.6 } };
const COMPLAINT = { id: ID, site: "knee", side: "right", words: "right knee", usualPainScore: 2, painLimitScore: 3 };
const CLIENT = {
  id: ID,
  name: "Odd Strand",
  birthYear: 1964,
  sex: "male",
  goal: "",
  archivedDay: null,
  complaints: [COMPLAINT],
  heightM: 1.7,
  massKg: 82,
};
const LIMIT = {
  id: ID,
  rule: { kind: "most", channel: "kneeFlexion", most: 95 },
  side: "right",
  owner: { kind: "clinician", name: "surgeon" },
  fromDay: "2026-11-01",
  untilDay: "2027-01-12",
};
const LIFT = { limitId: ID, kind: "lifted", by: "Dr Vane", role: "surgeon", reason: "healed" };
const CLEARANCE = { sourceId: ID, sign: "faint", by: "Dr Vane", role: "doctor", note: "" };
const RUNG = { ...CHOSEN, side: "right", dose, note: "" };
const MORNING = { sessionId: ID, pains: [{ complaintId: ID, painScore: 2 }], newSwelling: false, warningSigns: [] };
const CALM = { id: ID, side: "right", limitedBy: "kneecap", ...CHOSEN, shareFraction: null, shankLeanDeg: 26, trunkLeanDeg: null };
const EVENT = { id: ID, deviceId: "tablet", sequence: 1, sessionId: ID, occurredAt: "2026-11-26T16:00:00.000Z" };
const event = (body: object): object => ({ ...EVENT, body });
const SENT = { sentAt: EVENT.occurredAt };
const SESSION = { day: "2026-11-20", sets: [], eased: false, response: null, newSwelling: false, warningSigns: [] };

const CEILING = {
  id: "c",
  channel: "kneecapStress",
  side: "right",
  value: 8,
  source: { kind: "calm-pose", id: "p" },
  fromDay: "2026-11-01",
  isShareMeasured: false,
};

const GOOD: readonly [string, Joi.Schema, unknown][] = [
  ["a body", bodyMeasureSchema, BODY],
  [
    "a body with measured lengths",
    bodyMeasureSchema,
    { ...BODY, thighM: 0.42, shankM: 0.41, trunkM: 0.5, bellyKg: 8, segmentTable: "winter" },
  ],
  ["a body measured again", newMeasureSchema, { heightM: 1.68, massKg: 74, overrides: { thighM: 0.42, bellyKg: 8 } }],
  ["a height of her day", dailyHeightSchema, { name: "sofa", kind: "seat", heightM: 0.42 }],
  ["a height taken away", dailyHeightSchema, { name: "sofa", kind: "seat", heightM: null }],
  ["a band", bandSchema, { name: "loop", restM: 0.9, points: [{ lengthM: 1.2, tensionN: 45 }] }],
  ["a demand of a template", demandInputSchema, { ...SUBJECT, variationId: "leg-press", setting: { kneeFlexionDeg: 80 } }],
  ["a stair to a goal", stairInputSchema, { ...SUBJECT, ...CHOSEN, today: "2026-11-26", goal: CHOSEN, order: ["range", "load"] }],
  ["a client", newClientSchema, CLIENT],
  ["one question before training answered", screenPartSchema, { signs: { id: ID, signs: [], symptoms: ["racing-heart"] } }],
  [
    "a condition of two sides",
    screenPartSchema,
    { conditions: (["left", "right"] as const).map((side) => ({ id: "sprains", side, day: null })) },
  ],
  ["nobody asked", screenPartSchema, { clearance: { kind: "not-asked" } }],
  ["a clearance without a note", clearanceSchema, CLEARANCE],
  ["a complaint that is over", complaintChangeSchema, { complaint: COMPLAINT, isEnded: true }],
  ["a correction of a session of any day", sessionCorrectionSchema, { sessionId: ID, body: { kind: "set-voided", setId: ID } }],
  ["a limit with an end", newLimitSchema, LIMIT],
  ["a limit without an end", newLimitSchema, { ...LIMIT, untilDay: null }],
  ["a limit in own words", newLimitSchema, { ...LIMIT, rule: { kind: "own-words", text: "no kneeling" } }],
  ["a limit on the back", newLimitSchema, { ...LIMIT, rule: { kind: "never", what: "bar-on-shoulders" }, side: "both" }],
  ["a lifting", liftSchema, LIFT],
  ["room for the belly", newLimitSchema, { ...LIMIT, rule: { kind: "room", leastDeg: 70 }, side: "both" }],
  ["a calm pose", calmPoseSchema, CALM],
  ["a dose", doseSchema, dose],
  ["a rung", rungChoiceSchema, RUNG],
  ["a morning", morningSchema, MORNING],
  ["a decision", decisionChoiceSchema, { sessionId: ID, itemId: ID, move: "build", note: "felt easy" }],
  ["a check-in", floorEventSchema, event({ kind: "checked-in", painScore: 1, newSwelling: false, choice: "as-planned" })],
  [
    "a set",
    floorEventSchema,
    event({ kind: "set-ended", setId: ID, itemId: ID, setting: {}, repetitions: 12, painScore: null, faults: [], endedBy: "sharp" }),
  ],
  ["a correction", floorEventSchema, event({ kind: "set-corrected", setId: ID, change: { leftInTank: 2 } })],
  [
    "an ease",
    floorEventSchema,
    event({ kind: "eased", itemId: ID, levers: [{ lever: "seatHeightM", from: 0.6, to: 0.65 }], to: CHOSEN, setCount: null }),
  ],
  ["an undone ease", floorEventSchema, event({ kind: "ease-undone", easedEventId: ID })],
  ["the end of a session", floorEventSchema, event({ kind: "session-ended" })],
  ["a batch of whatever the device has", floorBatchSchema, { ...SENT, events: [null, 3, event({})] }],
  ["a demand", demandInputSchema, { ...SUBJECT, ...CHOSEN }],
  [
    "a demand under a measured posture",
    demandInputSchema,
    { ...SUBJECT, ...CHOSEN, posture: { kind: "measured", kneeFlexionDeg: 80, shankLeanDeg: 26, pressureFraction: 0.5 } },
  ],
  [
    "a solve",
    solveInputSchema,
    { ...SUBJECT, ...CHOSEN, lever: "seatHeightM", low: 0.4, high: 0.7, channel: "kneeMoment", side: "right", target: 40 },
  ],
  ["a fit", fitInputSchema, { ...SUBJECT, today: "2026-11-26", limits: [{ ...LIMIT, lift: null }] }],
  [
    "a match",
    matchInputSchema,
    { ...SUBJECT, from: CHOSEN, to: { ...CHOSEN, lever: "seatHeightM", low: 0.4, high: 0.7 }, channel: "hipMoment", side: "left" },
  ],
  [
    "a decide",
    decideInputSchema,
    {
      ...SUBJECT,
      ...CHOSEN,
      today: "2026-11-26",
      dose,
      sessions: [{ ...SESSION, uncounted: "light-day" }],
      painLimitScore: 3,
      provisional: true,
      isAhead: false,
      holdsRunning: 1,
      sharpMarks: 0,
      weeksAtRow: 6,
      support: { lever: "handForceN", weeks: 4, nowFraction: 0.2, dueFraction: 0.1 },
    },
  ],
  ["a band", calibrateInputSchema, { band: { restM: 0.9, points: [{ lengthM: 1.2, tensionN: 45 }] }, lengthsM: [1] }],
];

const BAD: readonly [string, Joi.Schema, unknown, string, string][] = [
  ["a stature of 17", bodyMeasureSchema, { ...BODY, heightM: 17 }, "heightM", "number.max"],
  ["a mass in words", bodyMeasureSchema, { ...BODY, massKg: "74" }, "massKg", "number.base"],
  ["a mass that is not a number", bodyMeasureSchema, { ...BODY, massKg: NaN }, "massKg", "number.base"],
  ["a body of no sex table", bodyMeasureSchema, { heightM: 1.7, massKg: 70 }, "sex", "any.required"],
  ["a body with a slip in a key", bodyMeasureSchema, { ...BODY, hieghtM: 1.7 }, "hieghtM", "object.unknown"],
  ["a belly of most of the mass", bodyMeasureSchema, { ...BODY, massKg: 60, bellyKg: 31 }, "bellyKg", "number.less"],
  ["a thigh of 4 m", newMeasureSchema, { heightM: 1.68, massKg: 74, overrides: { thighM: 4 } }, "overrides.thighM", "number.max"],
  [
    "a belly of most of a measured mass",
    newMeasureSchema,
    { heightM: 1.68, massKg: 60, overrides: { bellyKg: 31 } },
    "overrides.bellyKg",
    "number.less",
  ],
  ["a step of a metre", dailyHeightSchema, { name: "wall", kind: "step", heightM: 1 }, "heightM", "number.max"],
  ["a seat on the floor", dailyHeightSchema, { name: "mat", kind: "seat", heightM: 0.05 }, "heightM", "number.min"],
  [
    "a band shorter pulled than at rest",
    bandSchema,
    { name: "loop", restM: 0.9, points: [{ lengthM: 0.8, tensionN: 45 }] },
    "points.0.lengthM",
    "number.greater",
  ],
  ["a cushion like a chair", cushionSchema, { thicknessM: 0.4 }, "thicknessM", "number.max"],
  ["a band of no points", bandSchema, { name: "loop", restM: 0.9, points: [] }, "points", "array.min"],
  ["a lever that no set-up has", demandInputSchema, { ...SUBJECT, ...CHOSEN, setting: { sled: 5 } }, "setting.sled", "object.unknown"],
  [
    "a ceiling of nothing",
    fitInputSchema,
    { ...SUBJECT, today: "2026-11-26", ceilings: [{ ...CEILING, value: 0 }] },
    "ceilings.0.value",
    "number.positive",
  ],
  [
    "a ceiling on a side its channel has not",
    fitInputSchema,
    { ...SUBJECT, today: "2026-11-26", ceilings: [{ ...CEILING, side: "both" }] },
    "ceilings.0.side",
    "any.only",
  ],
  ["a fit on a day that is none", fitInputSchema, { ...SUBJECT, today: "2026-02-30" }, "today", "day.none"],
  [
    "a limit of another lifetime's end",
    fitInputSchema,
    { ...SUBJECT, today: "2026-11-26", limits: [{ ...LIMIT, lift: null, untilDay: "2026-10-01" }] },
    "limits.0",
    "day.before",
  ],
  [
    "an order said twice",
    stairInputSchema,
    { ...SUBJECT, ...CHOSEN, today: "2026-11-26", order: ["load", "load"] },
    "order.1",
    "array.unique",
  ],
  ["a client without a name", newClientSchema, { ...CLIENT, name: "  " }, "name", "string.empty"],
  ["a client from the future", newClientSchema, { ...CLIENT, birthYear: 2030 }, "birthYear", "number.max"],
  [
    "agreed pain of 7",
    newClientSchema,
    { ...CLIENT, complaints: [{ ...COMPLAINT, painLimitScore: 7 }] },
    "complaints.0.painLimitScore",
    "number.max",
  ],
  ["a limit that ends before it begins", newLimitSchema, { ...LIMIT, untilDay: "2026-10-01" }, "", "day.before"],
  ["a client with nothing that hurts", newClientSchema, { ...CLIENT, complaints: [] }, "complaints", "array.min"],
  ["a limit of no angle", newLimitSchema, { ...LIMIT, rule: { kind: "most", channel: "kneeFlexion" } }, "rule.most", "any.required"],
  ["a limit of 300 degrees", newLimitSchema, { ...LIMIT, rule: { ...LIMIT.rule, most: 300 } }, "rule.most", "number.max"],
  ["a limit of no owner", newLimitSchema, { ...LIMIT, owner: { kind: "clinician", name: "" } }, "owner.name", "string.empty"],
  ["a day that is none", newLimitSchema, { ...LIMIT, fromDay: "tomorrow" }, "fromDay", "string.pattern.base"],
  ["a lifting without a reason", liftSchema, { ...LIFT, reason: "" }, "reason", "string.empty"],
  ["no question answered", screenPartSchema, {}, "", "object.min"],
  ["a sign nobody knows", screenPartSchema, { signs: { id: ID, signs: ["tired"], symptoms: [] } }, "signs.signs.0", "any.only"],
  ["a condition without a side", screenPartSchema, { conditions: [{ id: "sprains", day: null }] }, "conditions.0.side", "any.required"],
  [
    "a condition said twice of one side",
    screenPartSchema,
    { conditions: [1, 2].map(() => ({ id: "sprains", side: "left", day: null })) },
    "conditions.1",
    "array.unique",
  ],
  [
    "a clearance by nobody",
    screenPartSchema,
    { clearance: { kind: "cleared", role: "doctor", day: "2026-11-26" } },
    "clearance.by",
    "any.required",
  ],
  ["a rule set aside without a reason", ruleAsideSchema, { limitId: "rule bone-impact both", reason: "" }, "reason", "string.empty"],
  ["a clearance by the trainer", clearanceSchema, { ...CLEARANCE, role: "trainer" }, "role", "any.only"],
  ["a clearance of nothing named", clearanceSchema, { ...CLEARANCE, sourceId: undefined }, "sourceId", "any.required"],
  ["a calm pose of no variation", calmPoseSchema, { ...CALM, variationId: "handstand" }, "variationId", "variation.unknown"],
  ["a share of everything", calmPoseSchema, { ...CALM, shareFraction: 1 }, "shareFraction", "number.max"],
  ["a seat of 300 m", rungChoiceSchema, { ...RUNG, setting: { seatHeightM: 300 } }, "setting.seatHeightM", "number.max"],
  ["half a repetition", doseSchema, { ...dose, repetitionsHigh: 8.5 }, "repetitionsHigh", "number.integer"],
  ["a range upside down", doseSchema, { ...dose, repetitionsLow: 12, repetitionsHigh: 8 }, "repetitionsHigh", "number.min"],
  ["pain of 11", morningSchema, { ...MORNING, pains: [{ complaintId: ID, painScore: 11 }] }, "pains.0.painScore", "number.max"],
  ["a morning without an answer on swelling", morningSchema, { ...MORNING, newSwelling: undefined }, "newSwelling", "any.required"],
  [
    "a session id that is none",
    decisionChoiceSchema,
    { sessionId: "1; drop table", itemId: ID, move: "hold", note: "" },
    "sessionId",
    "string.guid",
  ],
  ["an event of no known kind", floorEventSchema, event({ kind: "conjured" }), "body", "any.unknown"],
  [
    "an event with more than it should carry",
    floorEventSchema,
    event({ kind: "session-ended", painScore: 2 }),
    "body.painScore",
    "object.unknown",
  ],
  [
    "a set of a thousand repetitions",
    floorEventSchema,
    event({ kind: "set-corrected", setId: ID, change: { repetitions: 1000 } }),
    "body.change.repetitions",
    "number.max",
  ],
  [
    "an event of the year 1",
    floorEventSchema,
    { ...event({ kind: "session-ended" }), occurredAt: "0001-01-01T00:00:00.000Z" },
    "occurredAt",
    "day.none",
  ],
  [
    "an event that gives its own receipt",
    floorEventSchema,
    { ...event({ kind: "session-ended" }), receipt: 3 },
    "receipt",
    "object.unknown",
  ],
  [
    "a device whose name is half a character",
    floorEventSchema,
    { ...event({ kind: "session-ended" }), deviceId: "a\ud800" },
    "deviceId",
    "text.unkept",
  ],
  [
    "a note with a NUL in it",
    floorEventSchema,
    event({ kind: "checked-in", painScore: 1, newSwelling: false, choice: "stop", note: "a\0b" }),
    "body.note",
    "text.unkept",
  ],
  [
    "more events than a batch holds",
    floorBatchSchema,
    { ...SENT, events: Array.from({ length: MOST_EVENTS + 1 }, () => null) },
    "events",
    "array.max",
  ],
  ["a batch of no time", floorBatchSchema, { events: [] }, "sentAt", "any.required"],
  [
    "a lever upside down",
    solveInputSchema,
    { ...SUBJECT, ...CHOSEN, lever: "seatHeightM", low: 0.7, high: 0.4, channel: "kneeMoment", side: "right", target: 40 },
    "high",
    "number.greater",
  ],
  [
    "a posture of no name",
    demandInputSchema,
    { ...SUBJECT, ...CHOSEN, posture: { kind: "named", name: "slouched" } },
    "posture.name",
    "any.only",
  ],
  ["a fit without a day", fitInputSchema, SUBJECT, "today", "any.required"],
  [
    "a band shorter than at rest",
    calibrateInputSchema,
    { band: { restM: 0.9, points: [{ lengthM: 0.8, tensionN: 10 }] } },
    "band.points.0.lengthM",
    "number.greater",
  ],
];

describe("what is taken", () => {
  test.each(GOOD)("%s", (_, schema, input) => expect(parse(schema, input)).toEqual({ ok: true, value: input }));
});

describe("what is refused, with its path", () => {
  test.each(BAD)("%s", (_, schema, input, path, code) => {
    const parsed = parse(schema, input);
    expect(parsed).toMatchObject({ ok: false });
    if (!parsed.ok) expect(parsed.issues).toContainEqual(expect.objectContaining({ path, code }));
  });
});

test("spaces around typed words are taken off, numbers in words are not converted", () => {
  const parsed = parse(newClientSchema, { ...CLIENT, name: "  Odd Strand ", goal: " " });
  expect(parsed).toMatchObject({ ok: true, value: { name: "Odd Strand", goal: "" } });
  expect(parse(newClientSchema, { ...CLIENT, heightM: "1.7" }).ok).toBe(false);
});

test("every problem is told at once, with the bound it broke", () => {
  const parsed = parse(newClientSchema, { ...CLIENT, heightM: 17, massKg: 3, name: "" });
  expect(parsed.ok || parsed.issues.map(({ path, limit }) => [path, limit])).toEqual([
    ["name", undefined],
    ["heightM", 2.2],
    ["massKg", 30],
  ]);
});

test("a studio's zone is one by name that the clock knows: an offset knows no summer", () => {
  const isTaken = (timeZone: string): boolean => parse(studioSchema, { name: "Studio by the slip", timeZone }).ok;
  for (const zone of ["Europe/Oslo", "Asia/Kolkata", "UTC"]) expect(isTaken(zone)).toBe(true);
  for (const zone of ["+02:00", "Europe/Nowhere", ""]) expect(isTaken(zone)).toBe(false);
});
