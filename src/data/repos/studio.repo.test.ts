import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, expect, test } from "vitest";
import { fitContextOf } from "../../core/record/standing/context";
import { inTest, makeStudio, openTestDatabase, type TestStudio } from "../../steps/testing.fixture";
import { eraseClient } from "./client.repo";
import { keepWords, ownWords } from "./message.repo";
import { loadRecord } from "./record.repo";
import { changeStudio, kitListOf, setKitList, studioOf } from "./studio.repo";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const DAY = "2026-10-06";
const HOME = [
  { kind: "chair", heightM: 0.46 },
  { kind: "cushion", thicknessM: 0.05, count: 2 },
] as const;
const contextAt = async ({ scope, clientId }: TestStudio, place: "studio" | "home" | "travel") => {
  const record = await inTest(orm, scope, (em) => loadRecord(scope, em, clientId));
  return record && fitContextOf(record, DAY, undefined, place);
};

test("a place has what was listed last; until then the studio has everything, a home what every home has", async () => {
  const studio = await makeStudio(orm);
  const { scope, clientId } = studio;
  expect((await contextAt(studio, "studio"))?.kit).not.toHaveProperty("assembled");
  expect((await contextAt(studio, "home"))?.kit.equipment).toContain("sofa");
  expect((await contextAt(studio, "home"))?.kit.equipment).not.toContain("leg-press");
  await inTest(orm, scope, (em) => setKitList(scope, em, clientId, [{ kind: "sofa" }], DAY));
  await inTest(orm, scope, (em) => setKitList(scope, em, clientId, HOME, DAY));
  const home = await contextAt(studio, "home");
  expect(home?.kit.equipment).toEqual(["chair", "cushion"]);
  expect(home?.kit.assembled?.heights.seatHeightM?.map(({ value }) => value)).toEqual([0.46, 0.51, 0.56]);
  expect((await contextAt(studio, "studio"))?.kit.equipment).toContain("leg-press"); // a home says nothing of the studio
  await inTest(orm, scope, (em) => setKitList(scope, em, null, [{ kind: "pole" }], DAY));
  expect((await contextAt(studio, "studio"))?.kit.equipment).toEqual(["pole"]);
  expect((await contextAt(studio, "home"))?.kit.equipment).toEqual(["chair", "cushion"]);
});

test("lists are their studio's own, and a home's goes with its client", async () => {
  const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
  const { scope, clientId } = studio;
  await inTest(orm, scope, (em) => setKitList(scope, em, clientId, HOME, DAY));
  expect(await inTest(orm, other.scope, (em) => kitListOf(other.scope, em, clientId))).toBeNull();
  await inTest(orm, scope, (em) => eraseClient(scope, em, clientId));
  expect(await inTest(orm, scope, (em) => kitListOf(scope, em, clientId))).toBeNull();
});

test("a studio changes its own name and zone, and nobody else's", async () => {
  const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
  const { scope } = studio;
  const named = { name: "Studio by the slip", timeZone: "Atlantic/Faroe" };
  const theirs = await inTest(orm, other.scope, (em) => studioOf(other.scope, em));
  await inTest(orm, scope, (em) => changeStudio(scope, em, named));
  expect(await inTest(orm, scope, (em) => studioOf(scope, em))).toEqual(named);
  await expect(inTest(orm, scope, (em) => changeStudio(other.scope, em, named))).rejects.toThrow(); // as if a query had another's id
  expect(await inTest(orm, other.scope, (em) => studioOf(other.scope, em))).toEqual(theirs);
  const more = inTest(orm, scope, (em) => em.execute(`insert into studio (id, name, time_zone) values (gen_random_uuid(), 'x', 'UTC')`));
  await expect(more).rejects.toThrow(); // and makes none
});

test("a studio's words are as they were kept last, as usual where there are none, and never what may not go out", async () => {
  const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
  const { scope } = studio;
  const keep = (template: "reminder" | "page-link", words: string) => inTest(orm, scope, (em) => keepWords(scope, em, template, words));
  const own = () => inTest(orm, scope, (em) => ownWords(scope, em));
  expect(await keep("reminder", "Morning {name}")).toMatchObject({ ok: true });
  expect(await keep("page-link", "Here it is")).toMatchObject({ refusal: { code: "message", wrong: { code: "no-link" } } });
  expect(await keep("reminder", "Good exercise, {name}")).toMatchObject({ refusal: { wrong: { code: "avoided" } } });
  expect(await keep("reminder", "Dear {nam}")).toMatchObject({ refusal: { wrong: { code: "unknown-place" } } });
  expect(await keep("reminder", "See you {visit}")).toMatchObject({ refusal: { wrong: { code: "unknown-place" } } }); // nobody knows it there
  expect(await own()).toEqual({ reminder: "Morning {name}" });
  expect(await inTest(orm, other.scope, (em) => ownWords(other.scope, em))).toEqual({});
  await keep("reminder", "");
  expect(await own()).toEqual({});
});
