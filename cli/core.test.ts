import { spawnSync } from "node:child_process";
import { fileURLToPath } from "node:url";
import { describe, expect, test } from "vitest";
import { answerTo } from "./answer";

const root = fileURLToPath(new URL("..", import.meta.url));

/** What the process would write, read back from JSON. */
function core(command: string, input: string): { exitCode: number; answer: unknown } {
  const { exitCode, value } = answerTo(command, input);
  return { exitCode, answer: JSON.parse(JSON.stringify(value)) as unknown };
}
const ask = (command: string, input: unknown) => core(command, JSON.stringify(input));

const CLIENT = { body: { heightM: 1.68, massKg: 74, sex: "female" }, leadSide: "right", today: "2026-11-26" };
const CLIENT_BODY = { body: CLIENT.body, leadSide: "right" };
const CALM = {
  side: "right",
  limitedBy: "kneecap",
  variationId: "raised-sit-to-stand",
  setting: { seatHeightM: 0.58 },
  shareFraction: 0.5,
};

describe("the command line", () => {
  test("is a process: JSON on standard input, JSON on standard output, an exit code", () => {
    const run = (input: string) =>
      spawnSync(process.execPath, ["--import", "tsx", "cli/core.ts", "mechanics"], { cwd: root, input, encoding: "utf8" });
    const good = run('[{"id":"t","fn":"tissue","input":{"knee":0}}]');
    expect([good.status, JSON.parse(good.stdout)]).toEqual([0, [{ id: "t", result: { arm: 46, k: 0.462, area: 83 } }]]);
    const bad = run("{not json");
    expect([bad.status, JSON.parse(bad.stdout)]).toEqual([2, { problems: [{ path: "", code: "json" }] }]);
  }, 60_000);

  test("lists its commands with a JSON Schema each", () => {
    const { exitCode, answer } = core("commands", "");
    expect(exitCode).toBe(0);
    expect((answer as { command: string }[]).map(({ command }) => command)).toEqual([
      "mechanics",
      "demand",
      "solve",
      "match",
      "stair",
      "calibrate",
      "fit",
      "compare",
      "neighbours",
      "catalogue",
      "decide",
      "floor",
      "tolerance",
      "screen",
      "assess",
      "ceilings",
      "dose",
      "session",
      "week",
      "forecast",
      "calendar",
      "export",
      "import",
      "letter",
      "standards",
    ]);
    for (const { input } of answer as { input: object }[]) expect("type" in input || "anyOf" in input).toBe(true);
  });

  test("exports a summary, says what a document holds without taking it, and writes a letter that does not judge", () => {
    const summary = {
      madeAt: "2026-10-10T08:00:00.000Z",
      patient: { id: "p", name: "Maren Holt", birthYear: 1965, sex: "female" },
      conditions: [],
      observations: [{ id: "o", day: "2026-10-01", kind: "weight", value: 82.5, unit: "kg" }],
      plan: null,
      sessions: [],
      letters: [],
    };
    const { bundle } = ask("export", summary).answer as { bundle: object };
    expect(ask("import", bundle).answer).toEqual({ ok: true, kind: "fhir", summary });
    const archive = {
      format: "ponderis",
      version: 2,
      madeAt: "",
      studio: null,
      clients: [{ id: "a", name: "b", tables: { client: [{ id: "a" }] } }],
    };
    expect(ask("import", archive).answer).toMatchObject({ kind: "archive", clients: [{ name: "b", facts: 1 }] });
    expect(ask("import", { ...archive, version: 9 })).toMatchObject({ exitCode: 2, answer: { problems: [{ code: "document.newer" }] } });
    expect(ask("import", { resourceType: "Patient" })).toMatchObject({ exitCode: 2 });
    const letter = {
      audience: "client",
      clientName: "Maren Holt",
      birthYear: 1965,
      day: "2026-10-10",
      sinceDay: "2026-07-10",
      by: "Tove Lind",
      sections: [{ id: "done", words: "18 sessions" }],
    };
    expect((ask("letter", letter).answer as { text: string }).text).toContain("What was done\n18 sessions");
    expect(ask("letter", { ...letter, sections: [{ id: "done", words: "No pain, no gain" }] })).toMatchObject({ exitCode: 2 });
    expect(ask("standards", { fn: "loinc", code: "29463-7" }).answer).toEqual({ ok: true, digit: 7, valid: true });
    expect(ask("standards", { fn: "csv-row", fields: ['he said "ok"', 2] }).answer).toEqual({ ok: true, line: '"he said ""ok""",2' });
  });

  test("answers bad input with exit code 2 and the paths", () => {
    const bad = ask("demand", {
      ...CLIENT,
      body: { heightM: 17, massKg: 74, sex: "female" },
      variationId: "raised-sit-to-stand",
      setting: { seatHeightM: 0.6 },
    });
    expect(bad.exitCode).toBe(2);
    expect(bad.answer).toEqual({
      problems: [
        expect.objectContaining({ path: "body.heightM", code: "number.max", limit: 2.2 }),
        expect.objectContaining({ path: "today" }),
      ],
    });
    expect(core("demand", "{not json").exitCode).toBe(2);
    expect(core("conjure", "{}").exitCode).toBe(2);
    const orphan = ask("mechanics", [
      {
        id: "x",
        fn: "sweep",
        body: { heightM: 1.7, massKg: 70, sex: "F" },
        input: { spec: { knee: 40 }, path: "shank.deg", from: 0, to: 9 },
      },
    ]);
    expect(orphan).toMatchObject({ exitCode: 2, answer: { problems: [{ path: "0.input", code: "path.parent" }] } });
  });

  test("refuses what no body can be asked, with the path and the allowed range", () => {
    const body = { heightM: 1.63, massKg: 66, sex: "F" };
    const example = (input: object, more: object = {}) =>
      ask("mechanics", [{ id: "x", fn: "evaluate", body: { ...body, ...more }, input }]);
    const problem = (answer: unknown) => (answer as { problems: object[] }).problems[0];
    const shankM = 0.246 * 1.63;
    const step = { ...example({ step: { height: 0.6 } }) };
    expect([step.exitCode, problem(step.answer)]).toEqual([
      2,
      { path: "0.input.step.height", code: "number.max", limit: expect.closeTo(shankM, 9) as number },
    ]);
    expect(problem(example({ knee: 60 }, { heightM: 17 }).answer)).toMatchObject({ path: "0.body.heightM", limit: 2.2 });
    expect(problem(example({ knee: 60 }, { bellyKg: 38 }).answer)).toMatchObject({ path: "0.body.bellyKg", code: "number.less" });
    const on = (variationId: string, setting: object) => problem(ask("demand", { ...CLIENT_BODY, variationId, setting }).answer);
    expect(on("box-squat-pole", { handForceN: 900 })).toMatchObject({ path: "setting.handForceN", code: "number.max" });
    expect(on("step-up-rail", { stepHeightM: 0.9 })).toMatchObject({ path: "setting.stepHeightM", code: "number.max" });
    expect(on("step-up-rail", { seatHeightM: 0.5 })).toMatchObject({ path: "setting.seatHeightM" });
    expect(on("step-up-rail", { heihgt: 0.1 })).toMatchObject({ path: "setting.heihgt", code: "object.unknown" });
    expect(on("handstand", {})).toMatchObject({ path: "variationId" });
    expect(on("toString", {})).toMatchObject({ path: "variationId" });
    expect(example({ seat: 1.1 }).answer).toMatchObject([{ result: { ok: false, reason: "hip-height-unreachable" } }]);
    expect(example({ knee: 20, assists: [{ at: "pelvis", fy: 650 }] }).answer).toMatchObject([{ result: { ok: false } }]);
  });

  test("doses, builds a session, lays a week, forecasts and writes a calendar", () => {
    const wide = ask("dose", { variationId: "wide-dumbbell-squat", tempo: "5-3-1", repetitions: 5, massKg: 70, goal: "knee-forward-step" });
    expect(wide.answer).toMatchObject({ tensionS: 45, goalLoad: { wantedKg: 35 } });
    expect(ask("dose", { variationId: "wide-dumbbell-squat", tempo: "slowly" }).answer).toEqual({
      problems: [{ path: "tempo", code: "tempo.unread" }],
    });
    const session = ask("session", { ...CLIENT, minutes: 40, weakSide: "right" }).answer as {
      lengthS: number;
      items: { lengthS: number }[];
    };
    expect(session.lengthS).toBeLessThanOrEqual(2400);
    expect(session.lengthS).toBe(120 + session.items.reduce((sum, { lengthS }) => sum + lengthS, 0));
    const week = ask("week", {
      from: "2026-11-23",
      weekdays: [1, 2, 3, 4, 5, 6, 7],
      sessions: [{ often: "two-rest-days", perWeek: 2 }],
      ask: { day: "2026-11-24", often: "two-rest-days" },
    });
    expect(week.answer).toMatchObject({
      sessions: [{ day: "2026-11-23" }, { day: "2026-11-26" }],
      asked: { refusal: { code: "rest", until: "2026-11-26" } },
    });
    expect(ask("week", { from: "2026-11-23", weekdays: [] }).exitCode).toBe(2);
    const asked = { stepCount: 8, sessionsPerWeek: 2, mornings: { calm: 8, noticed: 2, flare: 0 } };
    expect(ask("forecast", asked).answer).toEqual(ask("forecast", asked).answer);
    const file = ask("calendar", {
      timeZone: "Europe/Oslo",
      madeAt: "2026-10-01T08:00:00Z",
      sessions: [{ id: "a", sequence: 0, title: "Legs", startDay: "2026-10-20", at: "09:00", minutes: 45 }],
    }).answer as { calendar: string };
    expect(file.calendar).toContain("TZID=Europe/Oslo:20261020T090000");
    expect(ask("calendar", { timeZone: "Atlantis/Port", madeAt: "2026-10-01T08:00:00Z", sessions: [] }).exitCode).toBe(2);
  });

  test("asks, solves and matches any row of the catalogue and any study of the model", () => {
    const demand = ask("demand", { ...CLIENT_BODY, variationId: "two-leg-hinge", setting: { trunkLeanDeg: 40 } });
    expect(demand.answer).toMatchObject({
      ok: true,
      demands: expect.arrayContaining([expect.objectContaining({ channel: "trunkLean", head: 40 })]) as object[],
    });
    const solved = ask("solve", {
      ...CLIENT_BODY,
      variationId: "step-up-rail",
      setting: {},
      lever: "stepHeightM",
      channel: "kneeMoment",
      side: "right",
      target: 50,
    });
    const { x, snapped } = solved.answer as { x: number; snapped: number };
    expect(snapped).toBeLessThanOrEqual(x);
    expect(x - snapped).toBeLessThan(0.02);
    const matched = ask("match", {
      ...CLIENT_BODY,
      from: { variationId: "squat", setting: { kneeFlexionDeg: 60 } },
      to: { variationId: "leg-press", setting: { sledForceN: 600 }, lever: "kneeFlexionDeg" },
      channel: "kneeMoment",
      side: "right",
    });
    expect(matched.answer).toMatchObject({ ok: true, solution: { ok: true } });
    const wrong = (more: object) =>
      ask("solve", {
        ...CLIENT_BODY,
        variationId: "step-up-rail",
        setting: {},
        side: "right",
        target: 50,
        lever: "stepHeightM",
        channel: "kneeMoment",
        ...more,
      });
    expect(wrong({ lever: "seatHeightM" }).exitCode).toBe(2);
    expect(wrong({ channel: "balanceDemand" }).exitCode).toBe(2);
    expect(wrong({ increment: 1e-7 })).toMatchObject({ exitCode: 2, answer: { problems: [{ path: "increment" }] } });
  });

  test("has no command by a name that only the language knows, no impossible day, no limit that ends before it starts", () => {
    for (const name of ["toString", "constructor", "__proto__", "hasOwnProperty", ""]) expect(core(name, "{}").exitCode).toBe(2);
    const fit = (more: object) => ask("fit", { ...CLIENT, calmPose: CALM, ...more });
    expect(fit({ today: "2026-02-30" })).toMatchObject({ exitCode: 2, answer: { problems: [{ path: "today" }] } });
    const limit = {
      id: "1",
      rule: { kind: "most", channel: "kneeFlexion", most: 95 },
      side: "right",
      owner: { kind: "clinician", name: "surgeon" },
      fromDay: "2026-11-01",
      untilDay: "2026-10-01",
      lift: null,
    };
    expect(fit({ limits: [limit] })).toMatchObject({ exitCode: 2, answer: { problems: [{ path: "limits.0" }] } });
    expect(fit({ increments: { seatHeightM: 1e-9 } })).toMatchObject({
      exitCode: 2,
      answer: { problems: [{ path: "increments.seatHeightM" }] },
    });
    expect(fit({ calmPose: { ...CALM, setting: { seatHeightM: 1.2 } } })).toMatchObject({ exitCode: 2 });
  });

  test("builds the whole stair to a goal", () => {
    const goal = { variationId: "plain-chair-sit-to-stand", setting: { seatHeightM: 0.45, shareFraction: 0.5 } };
    const from = { variationId: "box-squat-pole", setting: { seatHeightM: 0.62, handForceN: 78.48, shareFraction: 0.5 } };
    const { answer } = ask("stair", { ...CLIENT, calmPose: CALM, ...from, goal, order: ["range", "support", "load"] });
    expect(answer).toMatchObject({ reachesGoal: true });
    expect((answer as { treads: object[] }).treads.at(-1)).toMatchObject(goal);
  });

  test("answers an impossible pose with its reason, and goes on with the next", () => {
    const body = { heightM: 1.7, massKg: 70, sex: "F" };
    const { answer } = ask("mechanics", [
      { id: "a", fn: "bridge", body, input: { hipFlex: 0, sep: 3 } },
      { id: "b", fn: "evaluate", body, input: { knee: 60, trail: { kind: "ground", back: 2, heel: 30 } } },
      { id: "c", fn: "lever", input: { name: "inertia", args: [0.4, 2], noBody: true } },
    ]);
    expect(answer).toMatchObject([
      { id: "a", result: { ok: false, reason: "bridge-unreachable" } },
      { id: "b", result: { ok: false, reason: "trail-unreachable" } },
      { id: "c", result: { value: expect.closeTo(1.0503, 3) as number } },
    ]);
    expect(ask("mechanics", [{ id: "d", fn: "lever", input: { name: "tke", args: [50] } }]).exitCode).toBe(2);
  });

  test("solves a seat for a demand, and snaps it to the side that asks less", () => {
    const input = {
      body: CLIENT.body,
      leadSide: "right",
      variationId: "raised-sit-to-stand",
      setting: { seatHeightM: 0.6 },
      lever: "seatHeightM",
      low: 0.55,
      high: 0.7,
      channel: "kneeMoment",
      side: "right",
      target: 40,
    };
    const { answer } = ask("solve", input);
    const { x, snapped } = answer as { x: number; snapped: number };
    expect(snapped).toBeGreaterThanOrEqual(x);
    expect(snapped - x).toBeLessThan(0.01);
  });

  test("matches two variations, builds a stair, and turns a band and a strap into force", () => {
    const subject = { body: CLIENT.body, leadSide: "right" };
    const match = ask("match", {
      ...subject,
      from: { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.6 } },
      to: { variationId: "goblet-to-box", setting: { seatHeightM: 0.6, loadKg: 6 }, lever: "seatHeightM", low: 0.48, high: 0.7 },
      channel: "kneeMoment",
      side: "right",
    });
    expect(match.answer).toMatchObject({ ok: true, solution: { ok: true, snapped: expect.any(Number) as number } });
    const stair = ask("stair", {
      ...CLIENT,
      calmPose: CALM,
      variationId: "box-squat-pole",
      setting: { seatHeightM: 0.62, handForceN: 78.48, shareFraction: 0.5 },
    });
    const { treads, current } = stair.answer as { treads: { change: object | null }[]; current: number };
    expect(treads.length).toBeGreaterThan(current);
    expect(treads.filter(({ change }) => change === null)).toHaveLength(1);
    const band = { restM: 0.9, points: [{ lengthM: 1.2, tensionN: 45 }] };
    const strap = { leanDeg: 20, comHeightM: 0.95, handleHeightM: 1.3, directionDeg: 30 };
    expect(ask("calibrate", { band, lengthsM: [1.2, 1.5], strap, body: CLIENT.body }).answer).toMatchObject({
      band: [
        { tensionN: 45, isExtrapolated: false },
        { tensionN: expect.closeTo(90, 6) as number, isExtrapolated: true },
      ],
      strap: { tensionN: expect.any(Number) as number },
    });
    expect(ask("calibrate", { band: { restM: 0.9, points: [{ lengthM: 0.8, tensionN: 10 }] } }).exitCode).toBe(2);
    expect(ask("calibrate", { strap }).exitCode).toBe(2);
  });

  test("fits and decides for one client from plain data", () => {
    const fit = ask("fit", { ...CLIENT, calmPose: CALM });
    expect(fit.answer).toEqual(expect.arrayContaining([expect.objectContaining({ variationId: "box-squat-pole", state: "open" })]));
    const dose = { setCount: 1, repetitionsLow: 8, repetitionsHigh: 10, tempo: { lowerS: 3, pauseS: 1, riseS: 2 }, restS: 60 };
    const sets = [{ repetitions: 10, painScore: 1, leftInTank: 3, faults: [], endedBy: "pain-tap" }];
    const session = { day: "2026-11-20", sets, eased: false, response: "calm", newSwelling: false, warningSigns: [] };
    const decide = (sessions: object[]) =>
      ask("decide", {
        ...CLIENT,
        calmPose: CALM,
        variationId: "raised-sit-to-stand",
        setting: { seatHeightM: 0.64, shareFraction: 0.5 },
        dose,
        sessions,
        painLimitScore: 3,
        provisional: false,
      }).answer;
    expect(decide([session, session])).toMatchObject({ move: "build", next: { change: { sets: { from: 1, to: 2 } } } });
    expect(decide([{ ...session, id: "s", warningSigns: ["faint"] }, session])).toMatchObject({ move: "stop" });
    expect(
      ask("decide", {
        ...CLIENT,
        today: "2026-11-01",
        calmPose: CALM,
        variationId: "raised-sit-to-stand",
        setting: {},
        dose,
        sessions: [session],
        painLimitScore: 3,
        provisional: false,
      }),
    ).toMatchObject({ exitCode: 2 });
    expect(decide([session, { ...session, response: null }])).toMatchObject({ move: "hold", rule: "morning-missing" });
  });

  test("adds up a session from its events, in any order", () => {
    const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;
    const event = (n: number, body: object) => ({
      id: id(n),
      deviceId: "t",
      sessionId: id(99),
      sequence: n,
      occurredAt: "2026-11-20T10:00:00.000Z",
      body,
    });
    const set = (n: number, itemId: string) =>
      event(n, {
        kind: "set-ended",
        setId: id(50 + n),
        itemId,
        setting: {},
        repetitions: 10,
        painScore: 1,
        faults: [],
        endedBy: "pain-tap",
      });
    const [left, right] = [id(1), id(2)];
    const items = [
      { itemId: left, setCount: 2, inTurn: true },
      { itemId: right, setCount: 2, restS: 90 },
    ];
    const floor = (events: object[]) => ask("floor", { items, events }).answer;
    expect(floor([set(1, left)])).toMatchObject({ next: right, restS: 0 });
    const both = [set(1, left), set(2, right)];
    expect(floor(both)).toMatchObject({ next: left, restS: 90, endedAt: null });
    expect(floor(both.toReversed())).toEqual(floor(both));
    expect(floor([...both, event(3, { kind: "item-skipped", itemId: left })])).toMatchObject({ next: right, skippedItemIds: [left] });
    expect(ask("floor", { items, events: [{ ...set(1, left), body: { kind: "flown" } }] }).exitCode).toBe(2);
  });

  test("assesses a client: ranges, sides, change, what follows, what is due, the five; and ceilings with all that bounds them", () => {
    const bend = (side: string, value: number, day: string) => ({
      id: `${side} ${day}`,
      day,
      protocol: "knee-bend",
      side,
      value,
      setUp: {},
      note: "",
    });
    const findings = [bend("right", 88, "2026-09-01"), bend("right", 95, "2026-10-01"), bend("left", 128, "2026-10-01")];
    const screen = { conditions: [{ id: "knee-replacement", side: "right", day: "2026-06-01" }] };
    const { today } = CLIENT;
    const { exitCode, answer } = ask("assess", { age: 71, sex: "male", today, findings, screen });
    expect(exitCode).toBe(0);
    expect(answer).toMatchObject({
      results: [
        { side: "left", place: "within", change: null },
        { side: "right", value: 95, place: "below", change: { kind: "real", difference: 7, isBetter: true } },
      ],
      sides: [{ protocol: "knee-bend", worse: "right" }],
      advice: [{ code: "straight-and-bend-first", bendDeg: 95, shortDeg: null }],
      retests: [{ protocol: "knee-bend", dueDay: "2026-10-15", isOverdue: true }],
      picked: [{ protocol: "knee-bend", isOverdue: true }, { protocol: "knee-straight" }, {}],
    });
    const limit = {
      id: "l",
      rule: { kind: "most", channel: "kneeFlexion", most: 100 },
      side: "both",
      owner: { kind: "clinician", name: "S" },
      fromDay: "2026-09-01",
      untilDay: null,
      lift: null,
    };
    const ceilings = ask("ceilings", { ...CLIENT, calmPose: CALM, limits: [limit], findings }).answer;
    expect(ceilings).toMatchObject([
      { channel: "kneeFlexion", side: "left", confidence: "said", bounds: [{ value: 100 }, { value: 128 }, { value: 130 }] },
      { channel: "kneeFlexion", side: "right", confidence: "measured", bounds: [{ value: 95 }, { value: 100 }, { value: 130 }] },
      { channel: "kneecapStress", side: "right", confidence: "provisional" },
    ]);
    const wrong = [bend("both", 95, today), bend("left", 181, today), bend("left", 95, "2026-12-01")];
    expect(ask("assess", { age: 71, sex: "male", today, findings: wrong })).toEqual({
      exitCode: 2,
      answer: {
        problems: [
          { path: "findings.0.side", code: "any.only", allowed: ["left", "right"] },
          { path: "findings.1.value", code: "number.max", limit: 180 },
          { path: "findings.2.day", code: "day.future" },
        ],
      },
    });
  });

  test("screens a client: what is missing, what runs out when, and a day that cannot be", () => {
    const answers = {
      signs: { id: "0d1f9f4e-31d1-44fb-8f1f-4f2a4f9b6d11", day: "2026-11-20", signs: [], symptoms: [] },
      conditions: [{ id: "ligament-repair", side: "left", day: "2026-11-05" }],
      activity: { active: true, monthsActive: 24 },
      clearance: { kind: "cleared", by: "Dr Vane", role: "surgeon", day: "2026-11-20" },
    };
    const today = "2026-11-26";
    expect(ask("screen", { answers, today })).toMatchObject({
      exitCode: 0,
      answer: {
        gate: { state: "open" },
        limits: [
          { untilDay: "2027-09-05" },
          { untilDay: "2027-01-27", state: "in-force" },
          { rule: { kind: "rows" }, untilDay: "2027-01-27" },
          { rule: { kind: "rows" }, untilDay: "2027-09-04" },
        ],
        clocks: [{ weeks: 3 }],
      },
    });
    expect(ask("screen", { answers: {}, today })).toMatchObject({ exitCode: 0, answer: { gate: { state: "missing" } } });
    const future = { ...answers, conditions: [{ id: "ligament-repair", side: "left", day: "2026-11-27" }] };
    expect(ask("screen", { answers: future, today })).toEqual({
      exitCode: 2,
      answer: { problems: [{ path: "answers.conditions.0.day", code: "day.future" }] },
    });
    expect(ask("screen", { answers: { ...answers, clearance: { kind: "cleared" } }, today }).exitCode).toBe(2);
  });

  test("compares two schools, steps to either side of a rung, and gives the catalogue as data", () => {
    const compare = ask("compare", {
      ...CLIENT,
      calmPose: CALM,
      schools: ["mainstream", { preset: "gentle", numbers: { sessionsToBuild: 4 } }],
      patterns: ["squat"],
    });
    expect(compare).toMatchObject({ exitCode: 0, answer: { numbers: { sessionsToBuild: [2, 4] } } });
    const { rows, differences } = compare.answer as { rows: { code: string; b: { state: string } }[]; differences: { axisId: string }[] };
    expect(rows.find(({ code }) => code === "S21")?.b.state).toBe("closed");
    expect(differences.map(({ axisId }) => axisId)).toContain("depth");
    expect(ask("compare", { ...CLIENT, schools: ["mainstream", "heroic"] }).exitCode).toBe(2);
    const rung = { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.66 } };
    const { easier, build } = ask("neighbours", { ...CLIENT, calmPose: CALM, ...rung }).answer as {
      easier: { code: string }[];
      build: object | null;
    };
    expect(easier.map(({ code }) => code)).toEqual(["S01"]);
    expect(build).toMatchObject({ tread: { variationId: "raised-sit-to-stand" } });
    const catalogue = ask("catalogue", { codes: ["S02", "M11"] }).answer as { code: string }[];
    expect(catalogue.map(({ code }) => code)).toEqual(["S02", "M11"]);
    expect((ask("catalogue", {}).answer as object[]).length).toBe(208);
  });
  test("fits by what is said in short, and answers a slip with its path", () => {
    const told = (more: object) => ask("fit", { ...CLIENT, ...more });
    const rows = (more: object) => told(more).answer as { code: string; state: string; reasons: { code: string }[]; recipe: object }[];
    expect(told({ conditions: [{ kind: "pregnancy", dueDay: "2028-01-01" }] })).toMatchObject({
      exitCode: 2,
      answer: { problems: [{ path: "conditions.0.dueDay", code: "day.too-far" }] },
    });
    expect(told({ conditions: [{ kind: "vertigo" }] }).exitCode).toBe(2);
    const home = rows({ place: "home", patterns: ["squat"] });
    expect(home.find(({ code }) => code === "S35")).toMatchObject({ state: "closed", reasons: [{ code: "equipment-missing" }, {}] });
    const room = [
      { kind: "chair", heightM: 0.46 },
      { kind: "cushion", thicknessM: 0.05, count: 4 },
    ];
    const raised = rows({ calmPose: CALM, equipment: room, patterns: ["squat"] }).find(({ code }) => code === "S02");
    expect(raised?.recipe).toMatchObject({
      seatHeightM: [
        { kind: "chair", size: 0.46, count: 1 },
        { kind: "cushion", size: 0.05 },
      ],
    });
    const tuck = rows({ findings: { pelvisTuckKneeBendDeg: 70, kneels: false }, patterns: ["squat", "helper"] });
    expect(tuck.find(({ code }) => code === "A13")).toMatchObject({ state: "closed", reasons: [{ code: "never" }, {}] });
    const deep = tuck.find(({ code }) => code === "S21") as { setting?: { kneeFlexionDeg?: number } } | undefined;
    expect(deep?.setting?.kneeFlexionDeg).toBeLessThanOrEqual(70);
  });
});
