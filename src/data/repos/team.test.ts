import { randomUUID } from "node:crypto";
import { today as todayIn } from "@internationalized/date";
import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import type { Role, SeenBy } from "../../core/studio/team";
import { MemberRow } from "../tables/entities";
import { openOwnerOrm } from "../orm";
import { inTest, makeStudio, openTestDatabase, type TestStudio } from "../../steps/testing.fixture";
import { addLimit, eraseClient } from "./client.repo";
import { membersOf } from "./studio.repo";
import {
  acceptInvitation,
  changedSince,
  changeMember,
  endInvitation,
  invitationBehind,
  invitations,
  invite,
  joinByInvitation,
  keepNote,
  notesOf,
  teamOf,
  userBy,
} from "./team.repo";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

const TODAY = todayIn("Europe/Copenhagen").toString();
/** A studio with members, each under their own id. */
async function teamStudio(...roles: Role[]): Promise<TestStudio & { ids: string[] }> {
  const studio = await makeStudio(orm);
  const owner = await openOwnerOrm();
  const em = owner.em.fork();
  const ids = roles.map(() => randomUUID() as string);
  for (const [i, role] of roles.entries()) {
    const id = ids[i] ?? "";
    await em.execute(`insert into "user" (id, name, email, "emailVerified", "updatedAt") values (?, ?, ?, true, now())`, [
      id,
      role,
      `${id}@x.example`,
    ]);
    await em.insert(MemberRow, { studioId: studio.scope.studioId, userId: id, name: `${role} ${i}`, role, unitSystem: "metric" });
  }
  await owner.close();
  return { ...studio, ids };
}
const as = (studio: TestStudio, actorId = "") => ({ ...studio.scope, actorId });

describe("the team", () => {
  test("only a lead changes roles, a studio keeps one lead, and who left is no member and keeps a name", async () => {
    const studio = await teamStudio("lead", "trainer");
    const [lead = "", trainer = ""] = studio.ids;
    const change = (actor: string, who: string, role: Role | "gone", of: TestStudio = studio) =>
      inTest(orm, of.scope, (em) => changeMember(as(of, actor), em, who, role));
    expect(await change(trainer, trainer, "lead")).toMatchObject({ refusal: { code: "only-a-lead" } });
    expect(await change(lead, lead, "trainer")).toMatchObject({ refusal: { code: "the-last-lead" } });
    expect(await change(lead, lead, "gone")).toMatchObject({ refusal: { code: "the-last-lead" } });
    const other = await teamStudio("lead");
    expect(await change(other.ids[0] ?? "", trainer, "reader", other)).toMatchObject({ refusal: { code: "no-such-member" } });
    expect(await change(other.ids[0] ?? "", trainer, "reader")).toMatchObject({ refusal: { code: "only-a-lead" } }); // in a studio that is not theirs
    expect(await change(lead, trainer, "reader")).toMatchObject({ ok: true });
    expect(await membersOf(orm.em.fork(), trainer)).toMatchObject([{ role: "reader" }]);
    expect(await change(lead, trainer, "gone")).toMatchObject({ ok: true });
    expect(await membersOf(orm.em.fork(), trainer)).toEqual([]);
    expect(await inTest(orm, studio.scope, (em) => teamOf(studio.scope, em))).toContainEqual({
      userId: trainer,
      name: "trainer 1",
      role: "gone",
    });
  });

  test("the application makes no member by itself", async () => {
    const studio = await teamStudio("lead");
    const insert = inTest(orm, studio.scope, (em) =>
      em.execute(`insert into studio_member (studio_id, user_id, name, role) values (?, ?, 'me', 'lead')`, [
        studio.scope.studioId,
        studio.ids[0],
      ]),
    );
    await expect(insert).rejects.toThrow();
    await expect(inTest(orm, studio.scope, (em) => em.execute(`update studio_member set role = 'lead'`))).rejects.toThrow();
  });

  test("an invitation is used once, before its day is over, and not after it was withdrawn", async () => {
    const studio = await teamStudio("lead");
    const send = (secret: string, untilDay = TODAY) =>
      inTest(orm, studio.scope, (em) =>
        invite(studio.scope, em, { secret, name: "Peer", email: `${secret}@x.example`, role: "trainer", untilDay }),
      );
    const join = (secret: string, email = `${secret}@x.example`) =>
      orm.em.fork().transactional((em) => acceptInvitation(em, { secret, userId: randomUUID(), name: "Peer", email, passwordHash: "x" }));
    const [good, late, withdrawn] = [randomUUID(), randomUUID(), randomUUID()];
    await send(good);
    await send(late, "2026-01-01");
    await send(withdrawn);
    expect(await invitationBehind(orm.em.fork(), good)).toMatchObject({ role: "trainer", name: "Peer" });
    expect(await invitationBehind(orm.em.fork(), late)).toBeNull();
    const standing = await inTest(orm, studio.scope, (em) => invitations(studio.scope, em, TODAY));
    expect(standing).toHaveLength(2);
    const gone = standing.find(({ email }) => email.startsWith(withdrawn));
    await inTest(orm, studio.scope, (em) => endInvitation(studio.scope, em, gone?.id ?? ""));
    expect(await userBy(orm.em.fork(), `${good}@x.example`)).toBeNull();
    expect(await join(good)).toEqual({ ok: true });
    expect(await userBy(orm.em.fork(), `${good}@x.example`)).not.toBeNull();
    for (const secret of [good, late, withdrawn, "never"])
      expect(await join(secret, `${randomUUID()}@x.example`)).toMatchObject({ refusal: { code: "no-such-link" } });
    const users = await orm.em
      .fork()
      .execute<{ n: string }[]>(`select count(*) as n from "user" where name = 'Peer' and email like ?`, [`${withdrawn}%`]);
    expect(users[0]?.n).toBe("0"); // nothing half-made is left
    expect((await inTest(orm, studio.scope, (em) => teamOf(studio.scope, em))).filter(({ name }) => name === "Peer")).toHaveLength(1);
  });
});

describe("two at once", () => {
  test("two leads that take each other out leave one of them, every time", async () => {
    for (let turn = 0; turn < 6; turn++) {
      const studio = await teamStudio("lead", "lead");
      const [a = "", b = ""] = studio.ids;
      const gone = (actor: string, who: string) => inTest(orm, studio.scope, (em) => changeMember(as(studio, actor), em, who, "gone"));
      const taken = await Promise.all([gone(a, b), gone(b, a)]);
      expect(taken.filter(({ ok }) => ok)).toHaveLength(1);
      const team = await inTest(orm, studio.scope, (em) => teamOf(studio.scope, em));
      expect(team.filter(({ role }) => role === "lead")).toHaveLength(1);
    }
  });
  test("an invitation that two people follow lets one in", async () => {
    const studio = await teamStudio("lead");
    const secret = randomUUID();
    await inTest(orm, studio.scope, (em) =>
      invite(studio.scope, em, { secret, name: "Peer", email: "peer@x.example", role: "trainer", untilDay: TODAY }),
    );
    const join = () =>
      orm.em
        .fork()
        .transactional((em) =>
          acceptInvitation(em, { secret, userId: randomUUID(), name: "Peer", email: `${randomUUID()}@x.example`, passwordHash: "x" }),
        );
    expect((await Promise.all([join(), join(), join()])).filter(({ ok }) => ok)).toHaveLength(1);
  });
});

describe("somebody who signs in already", () => {
  const invited = async (studio: TestStudio): Promise<string> => {
    const secret = randomUUID();
    await inTest(orm, studio.scope, (em) =>
      invite(studio.scope, em, { secret, name: "Peer", email: "peer@x.example", role: "reader", untilDay: TODAY }),
    );
    return secret;
  };
  const join = (secret: string, who: string) => orm.em.fork().transactional((em) => joinByInvitation(em, secret, who));
  test("joins a second studio, and is in both, each with its own role", async () => {
    const [first, second] = [await teamStudio("lead", "trainer"), await teamStudio("lead")];
    const [, trainer = ""] = first.ids;
    const secret = await invited(second);
    expect(await join(secret, trainer)).toEqual({ ok: true });
    expect(await join(secret, trainer)).toMatchObject({ refusal: { code: "no-such-link" } });
    const places = await membersOf(orm.em.fork(), trainer);
    expect(new Map(places.map(({ studioId, role }) => [studioId, role]))).toEqual(
      new Map([
        [first.scope.studioId, "trainer"],
        [second.scope.studioId, "reader"],
      ]),
    );
    expect(await join(await invited(second), trainer)).toMatchObject({ refusal: { code: "a-member-already" } });
  });
  test("may be invited again after leaving, and is back as who they were", async () => {
    const studio = await teamStudio("lead", "trainer");
    const [lead = "", trainer = ""] = studio.ids;
    await inTest(orm, studio.scope, (em) => changeMember(as(studio, lead), em, trainer, "gone"));
    expect(await join(await invited(studio), trainer)).toEqual({ ok: true });
    expect(await membersOf(orm.em.fork(), trainer)).toMatchObject([{ role: "reader", name: "trainer 1" }]);
  });
});

test("a note is read by whom it is for, changed by whom it may be, and gone with the client", async () => {
  const studio = await teamStudio("lead", "trainer");
  const { clientId } = studio;
  const [lead = "", trainer = ""] = studio.ids;
  const keep = (actor: string, id: string, seenBy: SeenBy, words: string, endedDay: string | null = null) =>
    inTest(orm, studio.scope, (em) => keepNote(as(studio, actor), em, clientId, { id, seenBy, words, endedDay }));
  const read = (actor: string) => inTest(orm, studio.scope, (em) => notesOf(as(studio, actor), em, clientId));
  const [mine, ours] = [randomUUID(), randomUUID()];
  await keep(lead, mine, "me", "only mine");
  await keep(lead, ours, "team", "for all");
  expect((await read(lead)).map(({ words }) => words).toSorted()).toEqual(["for all", "only mine"]);
  expect((await read(trainer)).map(({ words }) => words)).toEqual(["for all"]);
  expect(await keep(trainer, mine, "team", "told on")).toMatchObject({ refusal: { code: "no-such-note" } });
  expect(await keep(trainer, ours, "team", "for all", TODAY)).toMatchObject({ ok: true });
  expect(await read(trainer)).toEqual([]);
  expect(await keep(lead, ours, "team", "again")).toMatchObject({ refusal: { code: "no-such-note" } });
  await inTest(orm, studio.scope, (em) => eraseClient(studio.scope, em, clientId));
  expect(await inTest(orm, studio.scope, (em) => em.execute(`select 1 from client_note`))).toEqual([]);
});

test("what others changed since a moment is told, one's own is not", async () => {
  const studio = await makeStudio(orm);
  const { scope, clientId } = studio;
  const since = new Date(Date.now() - 1).toISOString();
  const limit = {
    rule: { kind: "never", what: "kneeling" },
    side: "both",
    owner: { kind: "client", name: "x" },
    fromDay: "2026-10-01",
    untilDay: null,
  } as const;
  await inTest(orm, scope, (em) => addLimit({ ...scope, actorId: "colleague" }, em, clientId, limit));
  const changed = (actorId: string, at = since) => inTest(orm, scope, (em) => changedSince({ ...scope, actorId }, em, clientId, at));
  expect(await changed("me")).toMatchObject([{ kind: "limit", by: "colleague", day: "2026-10-01" }]);
  expect(await changed("colleague")).toEqual([]);
  expect((await changed("me", "2026-01-01T00:00:00Z")).map(({ kind }) => kind)).toEqual(
    expect.arrayContaining(["limit", "complaint", "morning", "screen"]),
  );
});
