import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { fitContextOf } from "../../core/record/derive";
import { buildSession } from "../../core/session/build";
import { laidFrom } from "../../core/session/plan";
import { trainedDays, usualAsked, usualWeek } from "../../core/record/programme";
import { doneSets } from "../../core/record/programme";
import { weekTotals } from "../../core/week/totals";
import type { NewTrainingPlan } from "../../schemas/training-plan.schema";
import { eraseClient } from "../repos/client.repo";
import { loadRecord } from "../repos/record.repo";
import { inTest, makeStudio, openTestDatabase, type TestStudio } from "../testing.fixture";
import { keepTrainingPlan } from "./training-plan";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const TODAY = "2026-10-06";
const recordOf = async ({ scope, clientId }: TestStudio) => {
  const record = await inTest(orm, scope, (em) => loadRecord(scope, em, clientId));
  if (!record) throw new Error("no record");
  return record;
};
async function draftOf(studio: TestStudio): Promise<NewTrainingPlan> {
  const record = await recordOf(studio);
  const context = fitContextOf(record, TODAY);
  if (!context) throw new Error("no context");
  const asked = usualAsked(record);
  const { items, rounds } = buildSession(context, asked);
  const { minutes, purpose, weak, weakSide } = asked;
  const draft = {
    minutes,
    purpose,
    weak,
    weakSide,
    skeletonId: null,
    items,
    rounds,
    ...usualWeek(record),
    laid: [],
    note: "",
    improvement: "",
  };
  return { ...draft, laid: laidFrom(draft, context.school, trainedDays(record), TODAY) };
}
const keep = ({ scope, clientId }: TestStudio, plan: NewTrainingPlan) =>
  inTest(orm, scope, (em) => keepTrainingPlan(scope, em, clientId, plan, TODAY));

describe("a programme", () => {
  test("is kept whole, and each time it is kept its calendar goes one on", async () => {
    const studio = await makeStudio(orm);
    const draft = await draftOf(studio);
    expect((await recordOf(studio)).trainingPlan).toBeNull();
    expect(await keep(studio, draft)).toEqual({ ok: true });
    expect(await keep(studio, { ...draft, at: "17:30" })).toEqual({ ok: true });
    const { trainingPlan } = await recordOf(studio);
    expect(trainingPlan).toEqual({ ...draft, at: "17:30", day: TODAY, sequence: 1 });
    expect(draft.weak).toEqual({ kind: "knee" });
    expect(draft.weakSide).toBe("right");
  });
  test("that breaks a rest rule, or holds what a limit forbids, is refused and nothing is kept", async () => {
    const studio = await makeStudio(orm);
    const draft = await draftOf(studio);
    const [first] = draft.laid;
    const crowded = [...draft.laid, { id: "x", day: "2026-10-07", often: draft.often }];
    expect(first?.day).toBe(TODAY);
    expect(await keep(studio, { ...draft, laid: crowded })).toMatchObject({ ok: false, refusal: { code: "rest-broken" } });
    const unknown = draft.items.map((item, i) => (i === 0 ? { ...item, variationId: "handstand" } : item));
    expect(await keep(studio, { ...draft, items: unknown })).toMatchObject({ ok: false, refusal: { code: "retired" } });
    expect((await recordOf(studio)).trainingPlan).toBeNull();
  });
  test("is the client's own studio's, and gone with the client", async () => {
    const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
    const draft = await draftOf(studio);
    expect(await inTest(orm, other.scope, (em) => keepTrainingPlan(other.scope, em, studio.clientId, draft, TODAY))).toMatchObject({
      refusal: { code: "no-such-client" },
    });
    await keep(studio, draft);
    await inTest(orm, studio.scope, (em) => eraseClient(studio.scope, em, studio.clientId));
    expect(await inTest(orm, studio.scope, (em) => loadRecord(studio.scope, em, studio.clientId))).toBeNull();
  });
  test("counts what was done by the sets of the record, and nothing where none were", async () => {
    const studio = await makeStudio(orm);
    expect(weekTotals(doneSets(await recordOf(studio)))).toEqual([]);
  });
});
