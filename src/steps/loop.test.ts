import { UniqueConstraintViolationException } from "@mikro-orm/core";
import type { MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { variationById } from "../core/catalogue/catalogue";
import { judge } from "../core/judge/judge";
import { currentCeilings } from "../core/limits/ceiling";
import type { Limit } from "../core/limits/limit";
import type { PostureChoice } from "../core/mechanics/posture";
import { undecidedItems } from "../core/record/gate/undecided";
import { openWarningsOf } from "../core/record/standing/history";
import { planOf } from "../core/record/standing/plans";
import { fitContextOf } from "../core/record/standing/context";
import { bodyMeasureOf, postureOf } from "../core/record/standing/subject";
import { CUSHION_M } from "../core/templates/lever";
import { addDecision } from "../data/repos/plan.repo";
import { addLimit, liftLimit, listClients, setDailyHeight } from "../data/repos/client.repo";
import { appendFloorEvents } from "../data/repos/floor.repo";
import { loadRecord } from "../data/repos/record.repo";
import { addBand, addCushion, cushionOf, listBands } from "../data/repos/studio.repo";
import { inTest, makeStudio, openTestDatabase, openTestSession, type TestStudio, recordOf } from "./testing.fixture";
import { choosePosture, takeProposedCeiling, recordCalmPose, recordMeasure } from "./calibrate";
import { answerMorning } from "./morning";
import { clearWarning } from "./correct";
import { decideItem, keepRung, openSession } from "./plan";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const calm = ({ complaintId }: TestStudio, painScore = 2) => ({
  pains: [{ complaintId, painScore }],
  newSwelling: false,
  warningSigns: [] as string[],
});

/** Three clean sets with three left in the tank. */
async function trainWell({ scope }: TestStudio, { sessionId, itemId }: { sessionId: string; itemId: string }, day: string): Promise<void> {
  const at = (second: number): string =>
    new Date(`${day}T16:00:00Z`).toISOString().replace("00.000", `${String(second).padStart(2, "0")}.000`);
  const sets = [1, 2, 3].map((i) => {
    const body = {
      kind: "set-ended",
      setId: newUuid(),
      itemId,
      setting: {},
      repetitions: 12,
      painScore: 1,
      faults: [],
      endedBy: "pain-tap",
    } as const;
    return { id: newUuid(), deviceId: "t", sequence: i, sessionId, occurredAt: at(i), body: { ...body, faults: [] } };
  });
  const asked = { kind: "checked-in", painScore: 1, newSwelling: false, choice: "as-planned" } as const;
  const checkIn = { id: newUuid(), deviceId: "t", sequence: 0, sessionId, occurredAt: at(0), body: asked };
  const lastSetId = sets[2]?.body.setId ?? "";
  const tank = {
    id: newUuid(),
    deviceId: "t",
    sequence: 9,
    sessionId,
    occurredAt: at(9),
    body: { kind: "set-corrected" as const, setId: lastSetId, change: { leftInTank: 3 } },
  };
  await inTest(orm, scope, (em) => appendFloorEvents(scope, em, [checkIn, ...sets, tank], new Date()));
}

async function session(studio: TestStudio, day: string, nextDay: string): Promise<string> {
  const opened = await inTest(orm, studio.scope, (em) => openSession(studio.scope, em, studio.clientId, day));
  if (!opened.ok) throw new Error(opened.refusal.code);
  const itemId = (await recordOf(orm, studio)).sessions.find(({ id }) => id === opened.sessionId)?.items[0]?.id ?? "";
  await trainWell(studio, { sessionId: opened.sessionId, itemId }, day);
  await inTest(orm, studio.scope, (em) =>
    answerMorning(studio.scope, em, studio.clientId, { ...calm(studio), sessionId: opened.sessionId }, nextDay),
  );
  return opened.sessionId;
}
const decide = async (
  studio: TestStudio,
  sessionId: string,
  day: string,
  more: { move?: "ease" | "hold" | "build" | null; note?: string } = {},
) => {
  const itemId = (await recordOf(orm, studio)).sessions.find(({ id }) => id === sessionId)?.items[0]?.id ?? newUuid();
  const choice = { sessionId, itemId, move: more.move ?? null, note: more.note ?? "" };
  return inTest(orm, studio.scope, (em) => decideItem(studio.scope, em, studio.clientId, choice, day));
};
const squatOf = async (studio: TestStudio) => planOf(await recordOf(orm, studio), "squat");

describe("the loop on the database", () => {
  test("goes from a kept rung over two good sessions to one lever built", async () => {
    const studio = await makeStudio(orm);
    await openTestSession(orm, studio, "2026-10-06");
    const before = (await squatOf(studio))?.rung.setting;
    const first = await session(studio, "2026-10-06", "2026-10-07");
    expect(await decide(studio, first, "2026-10-07")).toMatchObject({ ok: true });
    const second = await session(studio, "2026-10-09", "2026-10-10");
    expect(await decide(studio, second, "2026-10-10")).toEqual({ ok: true, isSuperseded: false });
    const record = await recordOf(orm, studio);
    expect(record.decisions.map(({ move, rule }) => [move, rule])).toEqual([
      ["hold", "earned-once"],
      ["build", "earned"],
    ]);
    const after = planOf(record, "squat")?.rung.setting;
    const changed = Object.keys(before ?? {}).filter((lever) => before?.[lever as "loadKg"] !== after?.[lever as "loadKg"]);
    expect(changed.length).toBeGreaterThan(0);
    expect(changed).toEqual(record.decisions[1]?.change?.levers.map(({ lever }) => lever));
  });

  test("decides a session once, even when two tablets decide together", async () => {
    const studio = await makeStudio(orm);
    await openTestSession(orm, studio, "2026-10-06");
    const id = await session(studio, "2026-10-06", "2026-10-07");
    await decide(studio, id, "2026-10-07");
    expect(await decide(studio, id, "2026-10-07")).toMatchObject({ ok: false, refusal: { code: "already-decided" } });
    const prescriptionId = (await recordOf(orm, studio)).prescriptions.at(-1)?.id ?? "";
    const racing = {
      sessionId: id,
      itemId: (await recordOf(orm, studio)).sessions[0]?.items[0]?.id ?? "",
      prescriptionId,
      day: "2026-10-07",
      move: "hold",
      overruled: null,
      rule: "earned-once",
      reasons: [{ code: "no-session" }],
      next: null,
      nextRungId: null,
      note: "",
    } as const;
    await expect(inTest(orm, studio.scope, (em) => addDecision(studio.scope, em, studio.clientId, racing))).rejects.toThrow(
      UniqueConstraintViolationException,
    );
  });

  test("takes an overruling with a note, and keeps what the rules said", async () => {
    const studio = await makeStudio(orm);
    await openTestSession(orm, studio, "2026-10-06");
    const id = await session(studio, "2026-10-06", "2026-10-07");
    expect(await decide(studio, id, "2026-10-07", { move: "build" })).toMatchObject({ ok: false, refusal: { reason: "note-missing" } });
    expect(await decide(studio, id, "2026-10-07", { move: "build", note: "felt easy" })).toMatchObject({ ok: true });
    expect((await recordOf(orm, studio)).decisions[0]).toMatchObject({ move: "build", overruled: "hold", note: "felt easy" });
  });

  test("keeps nothing past a limit, and past a ceiling only with a note", async () => {
    const studio = await makeStudio(orm);
    const limit: Omit<Limit, "id" | "lift"> = {
      rule: { kind: "most", channel: "kneeFlexion", most: 80 },
      side: "right",
      owner: { kind: "clinician", name: "surgeon" },
      fromDay: "2026-10-01",
      untilDay: "2026-10-20",
    };
    await inTest(orm, studio.scope, (em) => addLimit(studio.scope, em, studio.clientId, limit));
    const keep = (seatHeightM: number, note: string, day = "2026-10-06") => {
      const chair = variationById("raised-sit-to-stand");
      return inTest(orm, studio.scope, (em) =>
        keepRung(
          studio.scope,
          em,
          studio.clientId,
          { variationId: chair.id, side: "right", setting: { seatHeightM, shareFraction: 0.5 }, dose: chair.dose, note },
          day,
        ),
      );
    };
    expect(await keep(0.55, "she insists")).toMatchObject({ refusal: { code: "forbidden", limit: { owner: { name: "surgeon" } } } });
    expect(await keep(0.55, "she insists", "2026-11-20")).toMatchObject({
      refusal: { code: "forbidden", limit: { owner: { name: "surgeon" } } },
    }); // past its date: ask
    expect(await keep(0.61, "")).toEqual({ ok: true });
    expect(await keep(0.6, "")).toMatchObject({ refusal: { code: "gate-needs-note" } }); // harder than the gate said
    expect(await keep(0.6, "her own stool")).toEqual({ ok: true });
    expect(await keep(1.4, "")).toMatchObject({ refusal: { code: "setting-out-of-range" } });
    const limitId = (await recordOf(orm, studio)).limits[0]?.id ?? "";
    await inTest(orm, studio.scope, (em) =>
      liftLimit(studio.scope, em, limitId, { kind: "lifted", by: "Dr Vane", role: "surgeon", day: "2026-11-21", reason: "healed" }),
    );
    expect(await keep(0.55, "", "2026-11-21")).toMatchObject({ refusal: { code: "closed-needs-note" } }); // the ceiling is still there
    expect(await keep(0.55, "cleared", "2026-11-21")).toEqual({ ok: true });
  });

  test("overrules nothing past a limit: neither holding a forbidden rung, nor mixed sets whose easier ones are allowed", async () => {
    const studio = await makeStudio(orm);
    const chair = variationById("raised-sit-to-stand");
    const mixed = { setting: { seatHeightM: 0.56, shareFraction: 0.5 }, setCount: 1 };
    const choice = { variationId: chair.id, side: "right", setting: { seatHeightM: 0.62, shareFraction: 0.5 }, note: "felt easy" } as const;
    const dose = { ...chair.dose, setCount: 3, mixed };
    await inTest(orm, studio.scope, (em) => keepRung(studio.scope, em, studio.clientId, { ...choice, dose }, "2026-10-05"));
    const id = await session(studio, "2026-10-06", "2026-10-07");
    const build = () => decide(studio, id, "2026-10-07", { move: "build", note: "felt easy" });
    const limit: Omit<Limit, "id" | "lift"> = {
      rule: { kind: "most", channel: "kneeFlexion", most: 80 },
      side: "right",
      owner: { kind: "clinician", name: "surgeon" },
      fromDay: "2026-10-07",
      untilDay: "2026-10-20",
    };
    const holding = { move: "hold", note: "she likes it" } as const;
    const harder: Omit<Limit, "id" | "lift"> = { ...limit, rule: { kind: "most", channel: "kneeFlexion", most: 40 } };
    await inTest(orm, studio.scope, (em) => addLimit(studio.scope, em, studio.clientId, harder));
    expect(await decide(studio, id, "2026-10-07", holding)).toMatchObject({ ok: false, refusal: { reason: "limit-blocks" } });
    expect(await inTest(orm, studio.scope, (em) => openSession(studio.scope, em, studio.clientId, "2026-10-08"))).toMatchObject({
      ok: false,
      refusal: { code: "forbidden", name: "Raised sit-to-stand", forbids: { code: "over-limit", most: 40 } },
    });
    const harderId = (await recordOf(orm, studio)).limits[0]?.id ?? "";
    const taken = { kind: "mistake", by: "Dana", role: "trainer", day: "2026-10-07", reason: "other client" } as const;
    await inTest(orm, studio.scope, (em) => liftLimit(studio.scope, em, harderId, taken));
    await inTest(orm, studio.scope, (em) => addLimit(studio.scope, em, studio.clientId, limit));
    expect(await build()).toMatchObject({ ok: false, refusal: { code: "overrule-refused", reason: "limit-blocks" } });
    const limitId = (await recordOf(orm, studio)).limits.at(-1)?.id ?? "";
    await inTest(orm, studio.scope, (em) => liftLimit(studio.scope, em, limitId, taken));
    expect(await build()).toMatchObject({ ok: true });
    expect((await squatOf(studio))?.prescription.dose.mixed).toEqual({ ...mixed, setCount: 2 });
  });

  test("goes on counting at a rung that is kept again unchanged, with another dose", async () => {
    const studio = await makeStudio(orm);
    await openTestSession(orm, studio, "2026-10-06");
    await decide(studio, await session(studio, "2026-10-06", "2026-10-07"), "2026-10-07");
    const plan = await squatOf(studio);
    if (!plan) throw new Error("no plan");
    const again = {
      variationId: plan.rung.variationId,
      side: plan.rung.side,
      setting: plan.rung.setting,
      dose: { ...plan.prescription.dose, restS: 75 },
      note: "",
    };
    expect(await inTest(orm, studio.scope, (em) => keepRung(studio.scope, em, studio.clientId, again, "2026-10-08"))).toEqual({
      ok: true,
    });
    await decide(studio, await session(studio, "2026-10-09", "2026-10-10"), "2026-10-10");
    expect((await recordOf(orm, studio)).decisions.map(({ move }) => move)).toEqual(["hold", "build"]);
  });

  test("stops at a warning sign until a clearance is recorded", async () => {
    const studio = await makeStudio(orm);
    await openTestSession(orm, studio, "2026-10-06");
    const id = await session(studio, "2026-10-06", "2026-10-07");
    await inTest(orm, studio.scope, (em) =>
      answerMorning(studio.scope, em, studio.clientId, { ...calm(studio), sessionId: id, warningSigns: ["faint"] }, "2026-10-08"),
    );
    expect(await decide(studio, id, "2026-10-08", { move: "hold", note: "she is fine" })).toMatchObject({
      refusal: { reason: "warning-sign" },
    });
    const open = () => inTest(orm, studio.scope, (em) => openSession(studio.scope, em, studio.clientId, "2026-10-09"));
    expect(await open()).toMatchObject({ refusal: { code: "warning-open" } });
    const [warning] = openWarningsOf(await recordOf(orm, studio));
    if (!warning) throw new Error("no warning");
    const clear = (sourceId: string) =>
      inTest(orm, studio.scope, (em) =>
        clearWarning(studio.scope, em, studio.clientId, {
          sourceId,
          sign: "faint",
          by: "Dr Vane",
          role: "doctor",
          day: "2026-10-09",
          note: "",
        }),
      );
    expect(await clear(newUuid())).toMatchObject({ refusal: { code: "no-such-warning" } });
    expect(await clear(warning.sourceId)).toEqual({ ok: true });
    expect(await open()).toMatchObject({ ok: true });
  });

  test("does not take a morning of the same day", async () => {
    const studio = await makeStudio(orm);
    const { sessionId } = await openTestSession(orm, studio, "2026-10-06");
    const answered = await inTest(orm, studio.scope, (em) =>
      answerMorning(studio.scope, em, studio.clientId, { ...calm(studio), sessionId }, "2026-10-06"),
    );
    expect(answered).toMatchObject({ refusal: { code: "morning-too-early" } });
  });

  test("raises a ceiling once four calm mornings at it say more is taken, and only then", async () => {
    const studio = await makeStudio(orm);
    const raised = variationById("raised-sit-to-stand");
    const choice = {
      variationId: raised.id,
      side: "right",
      setting: { seatHeightM: 0.58, shareFraction: 0.5 },
      dose: raised.dose,
      note: "calm there",
    } as const;
    await inTest(orm, studio.scope, (em) => keepRung(studio.scope, em, studio.clientId, choice, "2026-10-05"));
    const raise = (day: string) => inTest(orm, studio.scope, (em) => takeProposedCeiling(studio.scope, em, studio.clientId, day));
    const value = async (day: string) => fitContextOf(await recordOf(orm, studio), day)?.ceilings[0]?.value ?? NaN;
    await session(studio, "2026-10-06", "2026-10-07");
    expect(await raise("2026-10-07")).toMatchObject({ ok: false });
    await session(studio, "2026-10-09", "2026-10-10");
    await session(studio, "2026-10-12", "2026-10-13");
    expect(await raise("2026-10-13")).toMatchObject({ ok: false });
    await session(studio, "2026-10-15", "2026-10-16");
    const before = await value("2026-10-16");
    expect(await raise("2026-10-16")).toEqual({ ok: true });
    const after = currentCeilings((await recordOf(orm, studio)).ceilings, "2026-10-16");
    expect(after.map(({ source, channel }) => [source.kind, channel])).toEqual([["history", "kneecapStress"]]);
    const raisedBy = (await value("2026-10-16")) / before;
    expect(raisedBy).toBeGreaterThan(1.04);
    expect(raisedBy).toBeLessThanOrEqual(1.1);
    expect(await raise("2026-10-16")).toMatchObject({ ok: false });
  });

  test("asks to measure again rather than set a ceiling from an impossible pose", async () => {
    const studio = await makeStudio(orm);
    const pose = {
      id: newUuid(),
      day: "2026-10-05",
      side: "right",
      limitedBy: "knee",
      variationId: "raised-sit-to-stand",
      setting: { seatHeightM: 0.58 },
      shareFraction: null,
      shankLeanDeg: 40,
      trunkLeanDeg: 75,
    } as const;
    expect(await inTest(orm, studio.scope, (em) => recordCalmPose(studio.scope, em, studio.clientId, pose))).toMatchObject({
      refusal: { code: "measure-again" },
    });
  });
});

describe("a body measured again", () => {
  const measure = (studio: TestStudio, more: object, massKg = 74) =>
    inTest(orm, studio.scope, (em) =>
      recordMeasure(studio.scope, em, studio.clientId, { day: "2026-10-05", heightM: 1.68, massKg, overrides: { ...more } }),
    );
  /** Use of the kneecap's ceiling at the calm seat itself: 1, as long as both are of the same body. */
  const calmUse = async (studio: TestStudio): Promise<number | undefined> => {
    const context = fitContextOf(await recordOf(orm, studio), "2026-10-06");
    if (!context) throw new Error("no context");
    const { uses } = judge(context, variationById("raised-sit-to-stand"), { seatHeightM: 0.58, shareFraction: 0.5 });
    return uses.find(({ channel }) => channel === "kneecapStress")?.head;
  };

  test("by tape is the same body better known: posture and ceilings follow, the calm seat stays at its ceiling", async () => {
    const studio = await makeStudio(orm);
    expect(await calmUse(studio)).toBeCloseTo(1, 9);
    const before = await recordOf(orm, studio);
    expect(await measure(studio, { thighM: 0.45, shankM: 0.4 })).toEqual({ ok: true });
    const after = await recordOf(orm, studio);
    expect(bodyMeasureOf(after)).toMatchObject({ thighM: 0.45, shankM: 0.4, heightM: 1.68 });
    expect(after.postures.at(-1)?.rule).not.toEqual(before.postures.at(-1)?.rule);
    const [old, now] = [before, after].map((record) => fitContextOf(record, "2026-10-06")?.ceilings);
    expect(now?.map(({ channel }) => channel)).toEqual(old?.map(({ channel }) => channel));
    expect(now?.[0]?.value).not.toBeCloseTo(old?.[0]?.value ?? NaN, 3);
    expect(await calmUse(studio)).toBeCloseTo(1, 6);
  });
  test("as heavier is a body that has changed: its ceilings stay, and the calm seat asks more", async () => {
    const studio = await makeStudio(orm);
    const before = (await recordOf(orm, studio)).ceilings.length;
    expect(await measure(studio, {}, 82)).toEqual({ ok: true });
    expect((await recordOf(orm, studio)).ceilings).toHaveLength(before);
    expect(await calmUse(studio)).toBeCloseTo(82 / 74, 2);
  });
  test("or a shin taken to move by another rule, keeps the calm seat at its ceiling; the measured rule can be taken up again", async () => {
    const studio = await makeStudio(orm);
    const choose = (choice: PostureChoice) =>
      inTest(orm, studio.scope, (em) => choosePosture(studio.scope, em, studio.clientId, choice, "2026-10-05"));
    const measured = postureOf(await recordOf(orm, studio));
    expect(measured.kind).toBe("measured");
    expect(await choose("overToes")).toEqual({ ok: true });
    expect(postureOf(await recordOf(orm, studio))).toEqual({ kind: "named", name: "overToes" });
    expect(await calmUse(studio)).toBeCloseTo(1, 6);
    expect(await choose("measured")).toEqual({ ok: true });
    expect(postureOf(await recordOf(orm, studio))).toEqual(measured);
    expect(await calmUse(studio)).toBeCloseTo(1, 6);
  });
  test("is refused whole where the measured shin can no longer be right", async () => {
    const studio = await makeStudio(orm);
    const before = await recordOf(orm, studio);
    expect(await measure(studio, { shankM: 0.25, thighM: 0.25 })).toMatchObject({ ok: false, refusal: { code: "seat-out-of-reach" } });
    expect((await recordOf(orm, studio)).measures).toEqual(before.measures);
  });
});

describe("the heights of a client's day", () => {
  test("count by name, the latest first, and can be taken away", async () => {
    const studio = await makeStudio(orm);
    const set = (name: string, heightM: number | null) =>
      inTest(orm, studio.scope, (em) => setDailyHeight(studio.scope, em, studio.clientId, { name, kind: "seat", heightM }, "2026-10-05"));
    await set("sofa", 0.4);
    await set("toilet", 0.46);
    await set("sofa", 0.43);
    await set("toilet", null);
    expect((await recordOf(orm, studio)).dailyTasks).toEqual([{ name: "sofa", kind: "seat", heightM: 0.43 }]);
  });
});

describe("what is known of a client today, on the database", () => {
  test("good, good, then sharp: an older session is not decided on before the newest, which eases what stands", async () => {
    const studio = await makeStudio(orm);
    const { scope, clientId } = studio;
    await openTestSession(orm, studio, "2026-10-06");
    const [first, second] = [await session(studio, "2026-10-06", "2026-10-07"), await session(studio, "2026-10-08", "2026-10-09")];
    const opened = await inTest(orm, scope, (em) => openSession(scope, em, clientId, "2026-10-10"));
    if (!opened.ok) throw new Error(opened.refusal.code);
    const itemId = (await recordOf(orm, studio)).sessions.at(-1)?.items[0]?.id ?? "";
    const sharp = {
      kind: "set-ended" as const,
      setId: newUuid(),
      itemId,
      setting: {},
      repetitions: 4,
      painScore: 6,
      faults: [],
      endedBy: "sharp" as const,
    };
    const event = {
      id: newUuid(),
      deviceId: "t",
      sequence: 1,
      sessionId: opened.sessionId,
      occurredAt: "2026-10-10T09:00:00.000Z",
      body: sharp,
    };
    await inTest(orm, scope, (em) => appendFloorEvents(scope, em, [event], new Date()));
    const before = (await squatOf(studio))?.rung.setting.seatHeightM ?? NaN;
    // the list counts in the database what a page asks of the core: lines that wait, not sessions
    const waiting = async (): Promise<(number | undefined)[]> => [
      (await inTest(orm, scope, (em) => listClients(scope, em, "2026-10-11")))[0]?.undecidedCount,
      undecidedItems(await recordOf(orm, studio)).length,
    ];
    expect(await waiting()).toEqual([1, 1]);
    for (const old of [first, second])
      expect(await decide(studio, old, "2026-10-11")).toEqual({ ok: false, refusal: { code: "newer-first" } });
    expect(await decide(studio, opened.sessionId, "2026-10-11")).toEqual({ ok: true, isSuperseded: false });
    const after = await squatOf(studio);
    expect((await recordOf(orm, studio)).decisions.map(({ move, rule }) => [move, rule])).toEqual([["ease", "sharp-pain"]]);
    expect(after?.rung.setting.seatHeightM).toBeGreaterThan(before);
    expect(await waiting()).toEqual([0, 0]);
  });
  test("a set that spreading or pressure ended is a warning for the record, the list and the session alike, taken back or not", async () => {
    for (const [endedBy, sign] of [
      ["spreading", "spreading-pain"],
      ["belly", "belly-or-pelvic"],
      ["warning-sign", "other-sign"],
    ] as const) {
      const studio = await makeStudio(orm);
      const { scope, clientId } = studio;
      const { sessionId, itemId } = await openTestSession(orm, studio, "2026-10-06");
      const setId = newUuid();
      const set = { kind: "set-ended" as const, setId, itemId, setting: {}, repetitions: 4, painScore: 3, faults: [], endedBy };
      const at = (sequence: number, body: Parameters<typeof appendFloorEvents>[2][number]["body"]) => ({
        id: newUuid(),
        deviceId: "t",
        sequence,
        sessionId,
        occurredAt: `2026-10-06T09:0${sequence}:00.000Z`,
        body,
      });
      await inTest(orm, scope, (em) => appendFloorEvents(scope, em, [at(1, set), at(2, { kind: "set-voided", setId })], new Date()));
      const record = await recordOf(orm, studio);
      expect(record.warnings.map((warning) => warning.sign)).toEqual([sign]);
      expect(record.sessions.at(-1)?.warnings.map(({ eventId }) => eventId)).toEqual(record.warnings.map(({ sourceId }) => sourceId));
      const lines = await inTest(orm, scope, (em) => listClients(scope, em, "2026-10-07"));
      expect(lines.find(({ id }) => id === clientId)?.openSigns).toEqual([sign]);
    }
  });
});

describe("the studio's kit", () => {
  test("bands are as last measured, by name, and no other studio's", async () => {
    const [mine, theirs] = [await makeStudio(orm), await makeStudio(orm)];
    const band = (tensionN: number) => ({ name: "loop", restM: 0.9, points: [{ lengthM: 1.2, tensionN }] });
    await inTest(orm, mine.scope, (em) => addBand(mine.scope, em, band(40), "2026-10-05"));
    await inTest(orm, mine.scope, (em) => addBand(mine.scope, em, band(45), "2026-10-06"));
    expect(await inTest(orm, mine.scope, (em) => listBands(mine.scope, em))).toEqual([band(45)]);
    expect(await inTest(orm, theirs.scope, (em) => listBands(theirs.scope, em))).toEqual([]);
  });
  test("a cushion is what an ease of a seat is worth here, and nowhere else", async () => {
    const [mine, theirs] = [await makeStudio(orm), await makeStudio(orm)];
    const feltM = async (studio: TestStudio) => fitContextOf(await recordOf(orm, studio), "2026-10-06", "right")?.kit.felt.seatHeightM;
    expect(await feltM(mine)).toBe(CUSHION_M);
    for (const thicknessM of [0.08, 0.06]) await inTest(orm, mine.scope, (em) => addCushion(mine.scope, em, thicknessM, "2026-10-05"));
    expect([await feltM(mine), await feltM(theirs)]).toEqual([0.06, CUSHION_M]);
    expect(await inTest(orm, mine.scope, (em) => cushionOf(mine.scope, em))).toBe(0.06);
  });
});

describe("another studio", () => {
  test("sees none of this one's clients and can do nothing with their ids", async () => {
    const [mine, theirs] = [await makeStudio(orm), await makeStudio(orm)];
    const { sessionId } = await openTestSession(orm, mine, "2026-10-06");
    expect(await inTest(orm, theirs.scope, (em) => loadRecord(theirs.scope, em, mine.clientId))).toBeNull();
    expect((await inTest(orm, theirs.scope, (em) => listClients(theirs.scope, em, "2026-10-10"))).map(({ id }) => id)).toEqual([
      theirs.clientId,
    ]);
    const chair = variationById("raised-sit-to-stand");
    const choice = { variationId: chair.id, side: "right", setting: { seatHeightM: 0.64 }, dose: chair.dose, note: "" } as const;
    const refused = { ok: false, refusal: { code: "no-such-client" } };
    expect(await inTest(orm, theirs.scope, (em) => keepRung(theirs.scope, em, mine.clientId, choice, "2026-10-06"))).toEqual(refused);
    expect(await inTest(orm, theirs.scope, (em) => openSession(theirs.scope, em, mine.clientId, "2026-10-06"))).toEqual(refused);
    const measure = { day: "2026-10-06", heightM: 1.7, massKg: 70 };
    expect(await inTest(orm, theirs.scope, (em) => recordMeasure(theirs.scope, em, mine.clientId, measure))).toEqual(refused);
    const item = { sessionId, itemId: newUuid(), move: null, note: "" };
    expect(await inTest(orm, theirs.scope, (em) => decideItem(theirs.scope, em, mine.clientId, item, "2026-10-07"))).toEqual(refused);
    expect(
      await inTest(orm, theirs.scope, (em) => answerMorning(theirs.scope, em, mine.clientId, { ...calm(mine), sessionId }, "2026-10-07")),
    ).toEqual(refused);
  });

  test("cannot write a row that points into this one: the foreign keys carry the studio", async () => {
    const [mine, theirs] = [await makeStudio(orm), await makeStudio(orm)];
    const limit: Omit<Limit, "id" | "lift"> = {
      rule: { kind: "never", what: "bar-on-shoulders" },
      side: "both",
      owner: { kind: "client", name: "x" },
      fromDay: "2026-10-01",
      untilDay: null,
    };
    await expect(inTest(orm, theirs.scope, (em) => addLimit(theirs.scope, em, mine.clientId, limit))).rejects.toThrow(/ForeignKey/);
    const sofa = { name: "sofa", kind: "seat", heightM: 0.4 } as const;
    await expect(inTest(orm, theirs.scope, (em) => setDailyHeight(theirs.scope, em, mine.clientId, sofa, "2026-10-06"))).rejects.toThrow(
      /ForeignKey/,
    );
  });
});

describe("the application's role", () => {
  test("is no superuser and can neither delete nor rewrite facts", async () => {
    const run = (sql: string) => orm.em.fork().getConnection().execute(sql);
    expect(await run("select usesuper from pg_user where usename = current_user")).toEqual([{ usesuper: false }]);
    await expect(run("delete from floor_event")).rejects.toThrow(/permission denied/);
    await expect(run("update decision set move = 'build'")).rejects.toThrow(/permission denied/);
    await expect(run("update client_limit set until_day = null")).rejects.toThrow(/permission denied/);
    await expect(run("drop table client")).rejects.toThrow(/owner/);
  });
});
