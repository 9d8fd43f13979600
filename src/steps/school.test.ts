import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { fitContextOf } from "../core/record/standing/context";
import { painLimitOf } from "../core/record/standing/approach";
import { eraseClient } from "../data/repos/client.repo";
import { loadRecord } from "../data/repos/record.repo";
import { inTest, makeStudio, openTestDatabase, type TestStudio, recordOf } from "./testing.fixture";
import { chooseSchool } from "./school";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const TODAY = "2026-10-06";
const GENTLE = {
  preset: "gentle",
  positions: { depth: "to-the-tuck" },
  numbers: { sessionsToBuild: 4 },
  reason: "Unsure after a fall",
} as const;
const choose = ({ scope, clientId }: TestStudio, choice: Parameters<typeof chooseSchool>[3], by = "Tove Lind") =>
  inTest(orm, scope, (em) => chooseSchool(scope, em, clientId, choice, by, TODAY));

describe("the school of a client", () => {
  test("is the house's own until one is chosen; then that, with its author, day and reason, and the fit goes by it", async () => {
    const studio = await makeStudio(orm);
    const before = await recordOf(orm, studio);
    expect([before.school, painLimitOf(before), fitContextOf(before, TODAY)?.school.id]).toEqual([null, 3, "mainstream"]);
    expect(await choose(studio, GENTLE)).toEqual({ ok: true });
    const after = await recordOf(orm, studio);
    expect(after.school).toMatchObject({ ...GENTLE, by: "Tove Lind", day: TODAY });
    expect(painLimitOf(after)).toBe(0);
    expect(fitContextOf(after, TODAY)).toMatchObject({ school: { id: "gentle", sessionsToBuild: 4 }, targetUseFraction: 0.6 });
  });
  test("is the one chosen last", async () => {
    const studio = await makeStudio(orm);
    await choose(studio, GENTLE);
    await choose(studio, { preset: "one-leg", positions: {}, numbers: {}, reason: "Back again" });
    expect((await recordOf(orm, studio)).school).toMatchObject({ preset: "one-leg", positions: {}, reason: "Back again" });
  });
  test("is refused where it holds what is barred in rehabilitation, and nothing is kept", async () => {
    const studio = await makeStudio(orm);
    const unbraced = { preset: "mainstream", positions: { trunk: "no-brace" }, numbers: {}, reason: "Feels lighter" } as const;
    expect(await choose(studio, unbraced)).toEqual({
      ok: false,
      refusal: { code: "school-barred", axisId: "trunk", positionId: "no-brace" },
    });
    expect((await recordOf(orm, studio)).school).toBeNull();
  });
  test("is seen by no other studio, and is gone with the client", async () => {
    const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
    await choose(studio, GENTLE);
    expect(await inTest(orm, other.scope, (em) => loadRecord(other.scope, em, studio.clientId))).toBeNull();
    await inTest(orm, studio.scope, (em) => eraseClient(studio.scope, em, studio.clientId));
    const left = await inTest(orm, studio.scope, (em) => em.execute<{ n: string }[]>("select count(*) as n from school_choice"));
    expect(Number(left[0]?.n)).toBe(0);
  });
});
