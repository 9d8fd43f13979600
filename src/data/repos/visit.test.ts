import type { MikroORM } from "@mikro-orm/postgresql";
import { randomUUID } from "node:crypto";
import { afterAll, beforeAll, expect, test } from "vitest";
import type { Visit } from "../../core/week/visit";
import { inTest, makeStudio, openTestDatabase, type TestStudio } from "../../steps/testing.fixture";
import { eraseClient, listClients } from "./client.repo";
import { changeVisits, listVisits } from "./visit.repo";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const visitOf = ({ clientId }: TestStudio, more: Partial<Visit> = {}): Visit => ({
  id: randomUUID(),
  clientId,
  day: "2026-10-06",
  at: "09:00",
  minutes: 45,
  everyWeeks: 1,
  untilDay: null,
  except: [],
  uid: null,
  ...more,
});

test("a visit is as it was kept last, gone once it ended, and another studio's neither seen nor changed", async () => {
  const [own, other] = [await makeStudio(orm), await makeStudio(orm)];
  const visit = visitOf(own);
  const change = (studio: TestStudio, kept: Visit[], ended: string[] = []) =>
    inTest(orm, studio.scope, (em) => changeVisits(studio.scope, em, { kept, ended }));
  const listed = (studio: TestStudio) => inTest(orm, studio.scope, (em) => listVisits(studio.scope, em));
  expect(await change(own, [visit])).toMatchObject({ ok: true });
  expect(await change(own, [{ ...visit, at: "10:00" }])).toMatchObject({ ok: true });
  expect(await listed(own)).toEqual([{ ...visit, at: "10:00" }]);
  expect(await listed(other)).toEqual([]);
  expect(await change(other, [visit])).toMatchObject({ refusal: { code: "no-such-client" } });
  expect(await change(other, [], [visit.id])).toMatchObject({ refusal: { code: "no-such-visit" } });
  const unknown = visitOf(own, { clientId: randomUUID() });
  expect(await change(own, [visitOf(own), unknown])).toMatchObject({ refusal: { code: "no-such-client" } });
  expect(await listed(own)).toHaveLength(1); // none of them, where one cannot be
  expect(await change(own, [], [visit.id])).toMatchObject({ ok: true });
  expect(await listed(own)).toEqual([]);
});

test("a client erased takes their visits along; a list line says what the screen and people have limited", async () => {
  const studio = await makeStudio(orm);
  const { scope, clientId } = studio;
  await inTest(orm, scope, (em) => changeVisits(scope, em, { kept: [visitOf(studio)], ended: [] }));
  const [line] = await inTest(orm, scope, (em) => listClients(scope, em, "2026-10-10"));
  expect(line).toMatchObject({
    openSigns: [],
    undecidedCount: 0,
    blockFrom: null,
    limits: [],
    lastResponse: { class: "calm", day: "2026-10-02" },
  });
  await inTest(orm, scope, (em) => eraseClient(scope, em, clientId));
  expect(await inTest(orm, scope, (em) => listVisits(scope, em))).toEqual([]);
});
