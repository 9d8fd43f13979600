import type { MikroORM } from "@mikro-orm/postgresql";
import { inspect } from "node:util";
import { UniqueConstraintViolationException } from "@mikro-orm/core";
import { afterAll, beforeAll, expect, test } from "vitest";
import { ClientRevisionRow } from "./entities";
import { stamp } from "./scope";
import { inTest, makeStudio, openTestDatabase } from "./testing.fixture";

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
  const error: unknown = await twice.catch((reason: unknown) => reason);
  expect(error).toBeInstanceOf(UniqueConstraintViolationException);
  const said = inspect(error, { depth: 9 });
  expect(said).toContain("23505");
  expect(said).not.toMatch(/Private Person|insert into|client_revision \(/i);
});
