import type { MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { afterAll, beforeAll, expect, test } from "vitest";
import { listLetters, readLetter } from "../data/repos/letter.repo";
import { inTest, makeStudio, openTestDatabase } from "./testing.fixture";
import { keepLetter } from "./letter";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const TODAY = "2026-10-06";
const letter = (day = "2026-10-01") => ({
  id: newUuid(),
  day,
  by: "Dr Solheim",
  mediaType: "application/pdf" as const,
  bytes: Buffer.from("%PDF-1.7 x"),
});

test("a letter is kept once, read byte for byte by its own studio, and by no other", async () => {
  const [mine, theirs] = [await makeStudio(orm), await makeStudio(orm)];
  const sent = letter();
  for (let i = 0; i < 2; i++)
    expect(await inTest(orm, mine.scope, (em) => keepLetter(mine.scope, em, mine.clientId, sent, TODAY))).toEqual({ ok: true });
  const { bytes, ...line } = sent;
  expect(await inTest(orm, mine.scope, (em) => listLetters(mine.scope, em, mine.clientId))).toEqual([line]);
  const kept = await inTest(orm, mine.scope, (em) => readLetter(mine.scope, em, mine.clientId, sent.id));
  expect(Buffer.from(kept?.bytes ?? []).equals(bytes)).toBe(true);
  expect(await inTest(orm, theirs.scope, (em) => readLetter(theirs.scope, em, mine.clientId, sent.id))).toBeNull();
  expect(await inTest(orm, mine.scope, (em) => readLetter(mine.scope, em, "not-an-id", sent.id))).toBeNull();
});

test("a letter of tomorrow, or of another studio's client, is refused", async () => {
  const [mine, theirs] = [await makeStudio(orm), await makeStudio(orm)];
  const keep = (clientId: string, day?: string) =>
    inTest(orm, mine.scope, (em) => keepLetter(mine.scope, em, clientId, letter(day), TODAY));
  expect(await keep(mine.clientId, "2026-10-07")).toMatchObject({ refusal: { code: "day-wrong", condition: "letter" } });
  expect(await keep(theirs.clientId)).toMatchObject({ refusal: { code: "no-such-client" } });
});
