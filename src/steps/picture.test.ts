import type { EntityManager, MikroORM } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { afterAll, beforeAll, expect, test } from "vitest";
import { dropPicture, listPictures, readPicture } from "../data/repos/picture.repo";
import { inTest, makeStudio, openTestDatabase, openTestSession } from "./testing.fixture";
import { keepPicture } from "./picture";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const TODAY = "2026-10-06";

test("a picture that was agreed to is kept once, read by its own studio alone, and gone when it is taken back", async () => {
  const [mine, theirs] = [await makeStudio(orm), await makeStudio(orm)];
  const { scope, clientId } = mine;
  const { sessionId, itemId } = await openTestSession(orm, mine, TODAY);
  const picture = {
    id: newUuid(),
    sessionId,
    itemId,
    day: TODAY,
    view: "side",
    words: "heel stays down",
    bytes: Buffer.from([1, 2, 3]),
  } as const;
  const keep = (of: typeof clientId, more = {}) => inTest(orm, scope, (em) => keepPicture(scope, em, of, { ...picture, ...more }));
  expect([await keep(clientId), await keep(clientId)]).toEqual([{ ok: true }, { ok: true }]);
  expect(await keep(clientId, { id: newUuid(), sessionId: newUuid() })).toMatchObject({ refusal: { code: "no-such-session" } });
  expect(await keep(theirs.clientId, { id: newUuid() })).toMatchObject({ refusal: { code: "no-such-client" } });
  const { bytes, ...said } = picture;
  const list = () => inTest(orm, scope, (em) => listPictures(scope, em, clientId));
  expect(await list()).toEqual([said]);
  const kept = await inTest(orm, scope, (em) => readPicture(scope, em, clientId, picture.id));
  expect(Buffer.from(kept?.bytes ?? []).equals(bytes)).toBe(true);
  const asOthers = <T>(work: (em: EntityManager) => Promise<T>) => inTest(orm, theirs.scope, work);
  expect(await asOthers((em) => readPicture(theirs.scope, em, clientId, picture.id))).toBeNull();
  expect(await asOthers((em) => dropPicture(theirs.scope, em, clientId, picture.id))).toBe(false);
  expect(await list()).toHaveLength(1);
  const drop = () => inTest(orm, scope, (em) => dropPicture(scope, em, clientId, picture.id));
  expect([await drop(), await drop(), await list()]).toEqual([true, false, []]);
});
