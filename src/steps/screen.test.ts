import type { MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { isBinding } from "../core/limits/limit";
import { openWarningsOf } from "../core/record/standing/history";
import { fitContextOf } from "../core/record/standing/context";
import type { ScreenAnswers } from "../core/screen/screen";
import { addScreen, eraseClient, listClients } from "../data/repos/client.repo";
import { inTest, makeStudio, openTestDatabase, openTestSession, type TestStudio, recordOf } from "./testing.fixture";
import { clearWarning } from "./correct";
import { openSession } from "./plan";
import { type AnsweredPart, answerScreen, setRuleAside } from "./screen";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const TODAY = "2026-10-06";
const answer = ({ scope, clientId }: TestStudio, part: AnsweredPart, day = TODAY) =>
  inTest(orm, scope, (em) => answerScreen(scope, em, clientId, part, day));
const open = ({ scope, clientId }: TestStudio, day = TODAY) => inTest(orm, scope, (em) => openSession(scope, em, clientId, day));
const cleared = (day: string) => ({ kind: "cleared", by: "Dr Vane", role: "surgeon", day }) as const;

describe("no session is built", () => {
  test("before what is missing was asked, and the refusal names it", async () => {
    const studio = await makeStudio(orm);
    await openTestSession(orm, studio, "2026-10-05");
    const { clearance: _, ...rest } = (await recordOf(orm, studio)).screen;
    await inTest(orm, studio.scope, (em) => addScreen(studio.scope, em, studio.clientId, rest as ScreenAnswers, TODAY));
    expect(await open(studio)).toEqual({ ok: false, refusal: { code: "screen-missing", missing: ["clearance"] } });
    expect(await answer(studio, { clearance: { kind: "not-asked" } })).toEqual({ ok: true });
    expect(await open(studio)).toMatchObject({ ok: true });
  });
  test("before a clinician has looked, where a condition asks for it", async () => {
    const studio = await makeStudio(orm);
    await openTestSession(orm, studio, "2026-10-05");
    await answer(studio, { conditions: [{ id: "hip-replacement", side: "right", day: "2026-08-01" }] });
    expect(await open(studio)).toEqual({ ok: false, refusal: { code: "refer-first", because: ["hip-replacement-first"] } });
    await answer(studio, { clearance: cleared("2026-10-01") });
    expect(await open(studio)).toMatchObject({ ok: true });
  });
  test("nor a planned row that a rule now leaves out: it is named", async () => {
    const studio = await makeStudio(orm);
    await openTestSession(orm, studio, "2026-10-05");
    await answer(studio, { conditions: [{ id: "knee-replacement", side: "right", day: "2026-08-01" }] });
    await answer(studio, { clearance: cleared("2026-10-01") });
    expect(await open(studio)).toMatchObject({
      ok: false,
      refusal: { code: "forbidden", name: "Box squat with a pole", forbids: { code: "not-for" } },
    });
  });
});

describe("further answers", () => {
  test("are kept beside the others, dated by the studio, and one that spreads asks a physician first", async () => {
    const studio = await makeStudio(orm);
    await openTestSession(orm, studio, "2026-10-05");
    await answer(studio, { goals: [{ task: "stairs", measure: 0.18, words: "" }], back: { day: TODAY, signs: ["spreading"] } });
    expect((await recordOf(orm, studio)).screen).toMatchObject({ goals: [{ task: "stairs" }], activity: { active: true } });
    expect(await open(studio)).toEqual({ ok: false, refusal: { code: "refer-first", because: ["disc-first"] } });
    const later = { medicines: { kinds: [], injectionDay: "2026-10-07" } };
    expect(await answer(studio, later)).toMatchObject({ ok: false, refusal: { code: "day-wrong", condition: "injection" } });
  });
});

describe("answers", () => {
  test("keep what was answered before, and their rules bind the fit like any limit", async () => {
    const studio = await makeStudio(orm);
    const before = (await recordOf(orm, studio)).screen;
    await answer(studio, { conditions: [{ id: "bone-thinning", side: "both", day: null }] });
    const record = await recordOf(orm, studio);
    expect(record.screen).toEqual({ ...before, conditions: [{ id: "bone-thinning", side: "both", day: null }] });
    const context = fitContextOf(record, TODAY);
    expect(context?.careful).toContain("bone-thinning");
    expect(context?.limits.filter((limit) => isBinding(limit, TODAY)).map(({ rule }) => rule)).toEqual(
      ["impact", "spine-bends", "twisting"].map((what) => ({ kind: "never", what })),
    );
  });
  test("of days that cannot be are refused by name", async () => {
    const studio = await makeStudio(orm);
    const surgery = (day: string): AnsweredPart => ({ conditions: [{ id: "knee-replacement", side: "left", day }] });
    expect(await answer(studio, surgery("2026-10-07"))).toMatchObject({
      refusal: { code: "day-wrong", condition: "knee-replacement", problem: "day.future" },
    });
    expect(await answer(studio, { clearance: cleared("2026-10-07") })).toMatchObject({
      refusal: { code: "day-wrong", condition: "clearance" },
    });
    expect((await recordOf(orm, studio)).screen.conditions).toEqual([]);
  });
  test("that name a warning sign keep it open, whatever is said later, until a clinician has cleared it", async () => {
    const studio = await makeStudio(orm);
    const id = newUuid();
    await answer(studio, { signs: { id, day: TODAY, signs: ["calf-swelling"], symptoms: [] } });
    await answer(studio, { clearance: cleared(TODAY) }); // the same signs answer again in the next row: one warning, not two
    await answer(studio, { signs: { id: newUuid(), day: TODAY, signs: [], symptoms: [] } });
    expect(openWarningsOf(await recordOf(orm, studio))).toMatchObject([{ sourceId: id, sign: "calf-swelling", day: TODAY }]);
    const countOpen = async () =>
      (await inTest(orm, studio.scope, (em) => listClients(studio.scope, em, "2026-10-10")))[0]?.openSigns.length;
    expect(await countOpen()).toBe(1);
    expect(await open(studio)).toMatchObject({ refusal: { code: "warning-open" } });
    const clearance = { sourceId: id, sign: "calf-swelling", by: "Dr Vane", role: "doctor", day: TODAY, note: "" } as const;
    expect(await inTest(orm, studio.scope, (em) => clearWarning(studio.scope, em, studio.clientId, clearance))).toEqual({ ok: true });
    expect(await countOpen()).toBe(0);
  });
  test("of another studio's client are refused", async () => {
    const [mine, theirs] = [await makeStudio(orm), await makeStudio(orm)];
    expect(
      await inTest(orm, theirs.scope, (em) => answerScreen(theirs.scope, em, mine.clientId, { clearance: { kind: "not-asked" } }, TODAY)),
    ).toMatchObject({ refusal: { code: "no-such-client" } });
  });
});

test("a rule is set aside once with its reason; a person's limit is not", async () => {
  const studio = await makeStudio(orm);
  await answer(studio, { conditions: [{ id: "knee-arthritis", side: "left", day: null }] });
  const aside = (limitId: string) =>
    inTest(orm, studio.scope, (em) => setRuleAside(studio.scope, em, studio.clientId, { limitId, by: "Dana", reason: "dances" }, TODAY));
  expect(await aside("rule disc-bar both")).toMatchObject({ refusal: { code: "no-such-limit" } });
  expect(await aside("rule arthritis-impact left")).toEqual({ ok: true });
  const [limit] = (await recordOf(orm, studio)).limits;
  expect(limit?.lift).toEqual({ kind: "lifted", by: "Dana", role: "trainer", day: TODAY, reason: "dances" });
  expect(await aside("rule arthritis-impact left")).toMatchObject({ refusal: { code: "no-such-limit" } });
});

test("of an erased client no answer is left", async () => {
  const studio = await makeStudio(orm);
  await inTest(orm, studio.scope, (em) => eraseClient(studio.scope, em, studio.clientId));
  expect(await inTest(orm, studio.scope, (em) => em.execute("select 1 from screen"))).toEqual([]);
});
