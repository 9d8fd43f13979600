import type { EntityManager, MikroORM } from "@mikro-orm/postgresql";
import { inspect } from "node:util";
import { DriverException, UniqueConstraintViolationException } from "@mikro-orm/core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { ClientRevisionRow } from "./tables/entities";
import { executePrepared } from "./prepared";
import { stamp } from "./scope";
import { inTest, makeStudio, openTestDatabase } from "../steps/testing.fixture";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

test("an error of the database says its kind, and nothing of the statement or of a person", async () => {
  const { scope, clientId } = await makeStudio(orm);
  const row = {
    ...stamp(scope),
    clientId,
    name: "Private Person",
    birthYear: 1960,
    sex: "male" as const,
    goal: "",
    archivedDay: null,
  };
  const twice = inTest(orm, scope, async (em) => {
    await em.insert(ClientRevisionRow, row);
    await em.insert(ClientRevisionRow, row);
  });
  await expectQuiet(twice, UniqueConstraintViolationException, "23505");
});

test("so does one of a statement that is planned ahead, which works inside and outside a transaction", async () => {
  const { scope } = await makeStudio(orm);
  const ask = (em: EntityManager, text: string) => executePrepared<{ n: number }>(em, "cast", "select ?::text::int as n", [text]);
  expect(await ask(orm.em.fork(), "7")).toEqual([{ n: 7 }]);
  expect(await inTest(orm, scope, (em) => ask(em, "8"))).toEqual([{ n: 8 }]);
  const wrong = inTest(orm, scope, (em) => ask(em, "Private Person"));
  await expectQuiet(wrong, DriverException, "22P02");
});

async function expectQuiet(work: Promise<unknown>, kind: typeof DriverException, code: string): Promise<void> {
  const error: unknown = await work.catch((reason: unknown) => reason);
  expect(error).toBeInstanceOf(kind);
  const said = inspect(error, { depth: 9 });
  expect(said).toContain(code);
  expect(said).not.toMatch(/Private Person|insert into|client_revision \(/i);
}
