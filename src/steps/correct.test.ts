import type { MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { variationById } from "../core/catalogue/catalogue";
import { openWarningsOf } from "../core/record/standing/history";
import { currentPlans } from "../core/record/standing/plans";
import { addFinding, addLimit, listClients } from "../data/repos/client.repo";
import { appendFloorEvents } from "../data/repos/floor.repo";
import { addPicture } from "../data/repos/picture.repo";
import { addLetter } from "../data/repos/letter.repo";
import { loadRecord } from "../data/repos/record.repo";
import { inTest, makeStudio, openTestDatabase, openTestSession, SORE, type TestStudio, recordOf } from "./testing.fixture";
import { correctComplaint, correctDetails, correctSession, endLimit, erase, takeInClient } from "./correct";
import { answerMorning } from "./morning";
import { once } from "./once";
import { decideItem, keepRung, openSession } from "./plan";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const count = async (scope: TestStudio["scope"], sql: string): Promise<number> =>
  ((await inTest(orm, scope, (em) => em.execute(`select count(*)::int as n from ${sql}`))) as { n: number }[])[0]?.n ?? NaN;
const NOW = new Date("2026-10-08T09:00:00Z");

/** One clean set in a session that is ended. */
async function trained(studio: TestStudio) {
  const ids = await openTestSession(orm, studio, "2026-10-06");
  const setId = newUuid();
  const event = { deviceId: "t", sessionId: ids.sessionId };
  const set = {
    kind: "set-ended",
    setId,
    itemId: ids.itemId,
    setting: {},
    repetitions: 12,
    painScore: 1,
    faults: [],
    endedBy: "pain-tap",
  } as const;
  const events = [
    { ...event, sequence: 1, id: newUuid(), occurredAt: "2026-10-06T16:00:00.000Z", body: { ...set, faults: [] } },
    { ...event, sequence: 2, id: newUuid(), occurredAt: "2026-10-06T16:10:00.000Z", body: { kind: "session-ended" } as const },
  ];
  await inTest(orm, studio.scope, (em) => appendFloorEvents(studio.scope, em, events, NOW));
  return { ...ids, setId };
}

describe("what was entered is corrected by superseding it", () => {
  test("details and complaint, the old ones kept", async () => {
    const studio = await makeStudio(orm);
    const { scope, clientId, complaintId } = studio;
    const { client } = await recordOf(orm, studio);
    expect(await inTest(orm, scope, (em) => correctDetails(scope, em, { ...client, name: "Ada Test", goal: "the ferry ramp" }))).toEqual({
      ok: true,
    });
    const mended = { id: complaintId, ...SORE, usualPainScore: 1, painLimitScore: 2 };
    expect(await inTest(orm, scope, (em) => correctComplaint(scope, em, clientId, mended, null))).toEqual({ ok: true });
    const after = await recordOf(orm, studio);
    expect(after.client).toMatchObject({ name: "Ada Test", goal: "the ferry ramp" });
    expect(after.complaints).toEqual([mended]);
    expect(await count(scope, "client_revision")).toBe(2);
    expect(await count(scope, "complaint")).toBe(2);
    expect(
      await inTest(orm, scope, (em) => correctComplaint(scope, em, clientId, { ...mended, id: newUuid() }, "2026-10-07")),
    ).toMatchObject({ refusal: { code: "no-such-complaint" } });
    await inTest(orm, scope, (em) => correctComplaint(scope, em, clientId, mended, "2026-10-07"));
    expect((await recordOf(orm, studio)).complaints).toEqual([]);
  });
  test("a set of any day, and a session ended too early", async () => {
    const studio = await makeStudio(orm);
    const { scope, clientId } = studio;
    const { sessionId, setId } = await trained(studio);
    const correct = (body: Parameters<typeof correctSession>[4]) =>
      inTest(orm, scope, (em) => correctSession(scope, em, clientId, sessionId, body, NOW));
    expect(await correct({ kind: "set-corrected", setId, change: { repetitions: 9, painScore: 4 } })).toEqual({ ok: true });
    expect((await recordOf(orm, studio)).sessions[0]?.sets[0]).toMatchObject({ repetitions: 9, painScore: 4 });
    expect(await correct({ kind: "set-corrected", setId: newUuid(), change: {} })).toMatchObject({ refusal: { code: "no-such-set" } });
    expect((await recordOf(orm, studio)).sessions[0]?.endedAt).not.toBeNull();
    expect(await correct({ kind: "session-continued" })).toEqual({ ok: true });
    expect((await recordOf(orm, studio)).sessions[0]?.endedAt).toBeNull();
    expect(await correct({ kind: "set-voided", setId })).toEqual({ ok: true });
    expect((await recordOf(orm, studio)).sessions[0]?.sets).toEqual([]);
    expect(await count(scope, "floor_event")).toBe(5);
  });
  test("a morning: the answer now counts, the one before is kept", async () => {
    const studio = await makeStudio(orm);
    const { scope, clientId, complaintId } = studio;
    const { sessionId } = await trained(studio);
    const answer = (painScore: number, day: string) =>
      inTest(orm, scope, (em) =>
        answerMorning(scope, em, clientId, { pains: [{ complaintId, painScore }], newSwelling: false, sessionId, warningSigns: [] }, day),
      );
    await answer(2, "2026-10-07");
    await answer(5, "2026-10-08");
    const [response] = (await recordOf(orm, studio)).responses.filter((each) => each.sessionId === sessionId);
    expect(response).toMatchObject({ day: "2026-10-07", painScore: 5, class: "flare" });
    expect(await count(scope, "response where session_id is not null")).toBe(2);
    expect(
      await inTest(orm, scope, (em) =>
        answerMorning(scope, em, clientId, { pains: [], newSwelling: false, sessionId, warningSigns: [] }, "2026-10-08"),
      ),
    ).toMatchObject({ refusal: { code: "pain-missing" } });
  });
  test("a limit entered by mistake is taken back, which is no lifting", async () => {
    const studio = await makeStudio(orm);
    const { scope, clientId } = studio;
    const limit = {
      rule: { kind: "most", channel: "kneeFlexion", most: 60 },
      side: "right",
      owner: { kind: "clinician", name: "x" },
      fromDay: "2026-10-01",
      untilDay: null,
    } as const;
    await inTest(orm, scope, (em) => addLimit(scope, em, clientId, limit));
    const limitId = (await recordOf(orm, studio)).limits[0]?.id ?? "";
    const end = (id: string) =>
      inTest(orm, scope, (em) =>
        endLimit(scope, em, clientId, id, { kind: "mistake", by: "Dana", role: "trainer", day: "2026-10-05", reason: "other knee" }),
      );
    expect(await end(limitId)).toEqual({ ok: true });
    expect((await recordOf(orm, studio)).limits[0]?.lift).toMatchObject({ kind: "mistake" });
    expect(await end(limitId)).toMatchObject({ refusal: { code: "no-such-limit" } });
    expect(await count(scope, "audit_event where verb = 'entered-by-mistake'")).toBe(1);
  });
  test("a step sent twice is taken once and answered the same; with other values it is refused", async () => {
    const { scope, clientId } = await makeStudio(orm);
    const id = newUuid();
    let taken = 0;
    const send = (digest: string, work = async () => ({ ok: true as const, number: ++taken })) =>
      inTest(orm, scope, (em) => once(scope, em, { id, digest }, work));
    const refused = { ok: false as const, refusal: { code: "no-body" as const } };
    expect(await send("a", async () => refused as never)).toEqual(refused); // a refusal is no answer to keep
    expect(await Promise.all([send("a"), send("a"), send("a")])).toEqual(Array(3).fill({ ok: true, number: 1 }));
    expect(await send("b")).toMatchObject({ refusal: { code: "taken-before" } });
    expect(taken).toBe(1);
    expect(await inTest(orm, scope, (em) => loadRecord(scope, em, "not an id"))).toBeNull();
    await inTest(orm, scope, (em) => once(scope, em, { id: newUuid(), digest: "c" }, async () => ({ ok: true as const, clientId })));
    await inTest(orm, scope, (em) => erase(scope, em, clientId));
    expect(await count(scope, "step")).toBe(1); // of the erased client none
  });
  test("a form sent twice makes one client", async () => {
    const { scope } = await makeStudio(orm);
    const profile = {
      id: newUuid(),
      name: "Twice Test",
      birthYear: 1960,
      sex: "male",
      goal: "",
      archivedDay: null,
    } as const;
    const send = () =>
      inTest(orm, scope, (em) =>
        takeInClient(scope, em, profile, [{ id: newUuid(), ...SORE }], { day: "2026-10-01", heightM: 1.8, massKg: 80 }),
      );
    expect([await send(), await send()]).toEqual([
      { ok: true, clientId: profile.id },
      { ok: true, clientId: profile.id },
    ]);
    expect(await inTest(orm, scope, (em) => listClients(scope, em, "2026-10-10"))).toHaveLength(2);
    expect((await inTest(orm, scope, (em) => loadRecord(scope, em, profile.id)))?.complaints).toHaveLength(1);
  });
});

describe("two tablets", () => {
  test("opening at once get one session", async () => {
    const studio = await makeStudio(orm);
    const { scope, clientId } = studio;
    const chair = variationById("raised-sit-to-stand");
    const choice = { variationId: chair.id, side: "right", setting: { seatHeightM: 0.66 }, dose: chair.dose, note: "" } as const;
    await inTest(orm, scope, (em) => keepRung(scope, em, clientId, choice, "2026-10-05"));
    const opened = await Promise.all(
      Array.from({ length: 4 }, () => inTest(orm, scope, (em) => openSession(scope, em, clientId, "2026-10-06"))),
    );
    expect(new Set(opened.map((each) => each.ok && each.sessionId)).size).toBe(1);
    expect(await count(scope, "training_session")).toBe(1);
    const again = await inTest(orm, scope, (em) => openSession(scope, em, clientId, "2026-10-06"));
    expect(again).toMatchObject({ ok: true, sessionId: (await recordOf(orm, studio)).sessions[0]?.id });
  });
  test("deciding about an old session never makes anything harder than what was kept since", async () => {
    const studio = await makeStudio(orm);
    const { scope, clientId, complaintId } = studio;
    const { sessionId, itemId } = await trained(studio);
    const flare = { pains: [{ complaintId, painScore: 6 }], newSwelling: false, sessionId, warningSigns: [] };
    await inTest(orm, scope, (em) => answerMorning(scope, em, clientId, flare, "2026-10-07"));
    const chair = variationById("raised-sit-to-stand");
    const since = {
      variationId: chair.id,
      side: "right",
      setting: { seatHeightM: 0.68 },
      dose: chair.dose,
      note: "after a bad night",
    } as const;
    await inTest(orm, scope, (em) => keepRung(scope, em, clientId, since, "2026-10-08"));
    const decided = await inTest(orm, scope, (em) =>
      decideItem(scope, em, clientId, { sessionId, itemId, move: null, note: "" }, "2026-10-08"),
    );
    expect(decided).toEqual({ ok: true, isSuperseded: false });
    const record = await recordOf(orm, studio);
    expect(record.decisions[0]?.move).toBe("ease");
    const [plan] = currentPlans(record);
    expect(plan?.rung.variationId).toBe(chair.id);
    expect(plan?.rung.setting.seatHeightM).toBeGreaterThanOrEqual(0.68);
  });
});

describe("many patterns", () => {
  test("a hinge kept does not erase the squat, and a session has an item of each", async () => {
    const studio = await makeStudio(orm);
    const { scope, clientId } = studio;
    const keep = (id: string, setting: object) => {
      const variation = variationById(id);
      return inTest(orm, scope, (em) =>
        keepRung(scope, em, clientId, { variationId: id, side: "right", setting, dose: variation.dose, note: "agreed" }, "2026-10-05"),
      );
    };
    expect(await keep("raised-sit-to-stand", { seatHeightM: 0.66 })).toEqual({ ok: true });
    expect(await keep("two-leg-hinge", { trunkLeanDeg: 30, kneeFlexionDeg: 15, loadKg: 0 })).toEqual({ ok: true });
    expect(await keep("floor-bridge", { hipFlexionDeg: 10, kneeAtTopDeg: 95, loadKg: 0 })).toEqual({ ok: true });
    expect(await keep("handstand", {})).toMatchObject({ refusal: { code: "retired" } });
    expect(await keep("two-leg-hinge", { seatHeightM: 0.5 })).toMatchObject({ refusal: { code: "unknown-lever" } });
    expect(
      currentPlans(await recordOf(orm, studio))
        .map(({ rung }) => rung.pattern)
        .sort(),
    ).toEqual(["bridge", "hinge", "squat"]);
    await inTest(orm, scope, (em) => openSession(scope, em, clientId, "2026-10-06"));
    expect((await recordOf(orm, studio)).sessions[0]?.items).toHaveLength(3);
  });
});

describe("a client erased", () => {
  test("leaves nothing but that somebody was, and by whom; another client stays whole", async () => {
    const studio = await makeStudio(orm);
    const { scope, clientId, complaintId } = studio;
    const { sessionId, itemId } = await trained(studio);
    const flare = { pains: [{ complaintId, painScore: 6 }], newSwelling: false, sessionId, warningSigns: ["faint"] };
    await inTest(orm, scope, (em) => answerMorning(scope, em, clientId, flare, "2026-10-07"));
    expect(openWarningsOf(await recordOf(orm, studio))).toHaveLength(1);
    const [findingId, letterId] = [newUuid(), newUuid()];
    const finding = { id: findingId, day: "2026-10-06", protocol: "tuck", side: "both", value: 90, setUp: {}, note: "" } as const;
    const letter = { id: letterId, day: "2026-10-01", by: "Dr Lowe", mediaType: "image/jpeg", bytes: Buffer.from("x") } as const;
    await inTest(orm, scope, (em) => addFinding(scope, em, clientId, finding));
    await inTest(orm, scope, (em) => addLetter(scope, em, clientId, letter));
    const picture = { id: newUuid(), sessionId, itemId, day: "2026-10-06", view: "side", words: "", bytes: Buffer.from("x") } as const;
    await inTest(orm, scope, (em) => addPicture(scope, em, clientId, picture));
    expect(await inTest(orm, scope, (em) => erase(scope, em, clientId))).toMatchObject({ ok: true });
    const tables = (await inTest(orm, scope, (em) =>
      em.execute(`select table_name as name from information_schema.columns where column_name = 'studio_id' and table_schema = 'public'`),
    )) as { name: string }[];
    expect(tables.length).toBeGreaterThan(20);
    for (const { name } of tables)
      expect([name, await count(scope, `${name} where studio_id = '${scope.studioId}'`)]).toEqual([name, name === "audit_event" ? 1 : 0]);
    expect(await count(scope, `audit_event where row_id = '${clientId}'`)).toBe(0);
    expect(await inTest(orm, scope, (em) => erase(scope, em, clientId))).toMatchObject({ refusal: { code: "no-such-client" } });
    const other = await makeStudio(orm);
    await expect(inTest(orm, scope, (em) => em.execute(`select erase_client('${other.clientId}', 'x')`))).rejects.toThrow(/P0001/);
    expect((await recordOf(orm, other)).complaints).toHaveLength(1);
  });
});

describe("row-level security", () => {
  test("a query that forgets its studio sees nothing, and cannot write for another", async () => {
    const [mine, theirs] = [await makeStudio(orm), await makeStudio(orm)];
    const bare = (sql: string) => orm.em.fork().getConnection().execute<{ n: number }[]>(sql);
    for (const table of ["client", "client_revision", "complaint", "calm_pose", "ceiling", "response", "audit_event"]) {
      expect((await bare(`select count(*)::int as n from ${table}`))[0]?.n).toBe(0);
      const mineAlone = await inTest(orm, mine.scope, (em) =>
        em.execute<{ studio_id: string }[]>(`select distinct studio_id from ${table}`),
      );
      expect([table, mineAlone]).toEqual([table, [{ studio_id: mine.scope.studioId }]]);
    }
    const write = `insert into client (studio_id, id, created_by) values ('${theirs.scope.studioId}', gen_random_uuid(), 'x')`;
    await expect(inTest(orm, mine.scope, (em) => em.execute(write))).rejects.toThrow(/42501/);
  });
});
