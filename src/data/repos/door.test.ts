import { randomUUID } from "node:crypto";
import type { MikroORM } from "@mikro-orm/postgresql";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { AuditRow } from "../tables/entities";
import { openOwnerOrm } from "../orm";
import { stamp } from "../scope";
import { endSecondStepOf, passwordLinkFor } from "../studios";
import { inTest, makeStudio, openTestDatabase, type TestStudio } from "../../steps/testing.fixture";
import { TIME_LIMITS, timeLimitsHold } from "../time-limits";
import { endCodes, makePasswordLink, noteAtDoor, passwordLinkBehind, choosePassword } from "./door.repo";
import { AUDIT_PAGE, listAudit } from "./audit.repo";
import { changeMember, invite, joinByInvitation } from "./team.repo";

let orm: MikroORM;
beforeAll(async () => {
  orm = await openTestDatabase();
});
afterAll(() => orm.close());

async function asOwner<T>(work: (run: (sql: string, values?: unknown[]) => Promise<Record<string, string>[]>) => Promise<T>): Promise<T> {
  const owner = await openOwnerOrm();
  try {
    return await work((sql, values = []) => owner.em.fork().execute(sql, values));
  } finally {
    await owner.close();
  }
}
async function member(studio: TestStudio, role: string, id: string = randomUUID()): Promise<string> {
  await asOwner(async (run) => {
    await run(`insert into "user" (id, name, email, "emailVerified", "updatedAt") values (?, ?, ?, true, now()) on conflict do nothing`, [
      id,
      role,
      `${id}@x.example`,
    ]);
    await run(
      `insert into "account" (id, "accountId", "providerId", "userId", password, "updatedAt") values (?, ?, 'credential', ?, 'old', now()) on conflict do nothing`,
      [`${id}-password`, id, id],
    );
    await run(`insert into studio_member (studio_id, user_id, name, role) values (?, ?, ?, ?)`, [studio.scope.studioId, id, role, role]);
  });
  return id;
}
const session = (id: string) =>
  asOwner((run) =>
    run(`insert into "session" (id, "expiresAt", token, "updatedAt", "userId") values (?, now() + interval '1 day', ?, now(), ?)`, [
      randomUUID(),
      randomUUID(),
      id,
    ]),
  );
const sessions = (id: string) => asOwner((run) => run(`select id from "session" where "userId" = ?`, [id]));
const passwordOf = (id: string) =>
  asOwner(async (run) => (await run(`select password from "account" where "userId" = ?`, [id]))[0]?.["password"]);

describe("a forgotten password", () => {
  const make = (studio: TestStudio, actorId: string, who: string, secret: string) =>
    inTest(orm, studio.scope, (em) => makePasswordLink({ ...studio.scope, actorId }, em, who, secret));
  const use = (secret: string) => orm.em.fork().transactional((em) => choosePassword(em, secret, "new"));

  test("is chosen anew by a link that a lead makes, once, and every device is signed out; the audit says both", async () => {
    const studio = await makeStudio(orm);
    const [lead, trainer] = [await member(studio, "lead"), await member(studio, "trainer")];
    await session(trainer);
    const secret = randomUUID();
    expect(await make(studio, lead, trainer, secret)).toEqual({ ok: true });
    expect(await passwordLinkBehind(orm.em.fork(), secret)).toBe(`${trainer}@x.example`);
    expect(await use(secret)).toEqual({ ok: true });
    expect([await passwordOf(trainer), await sessions(trainer)]).toEqual(["new", []]);
    expect(await use(secret)).toMatchObject({ refusal: { code: "no-such-link" } });
    expect(await passwordLinkBehind(orm.em.fork(), secret)).toBeNull();
    const audit = await inTest(orm, studio.scope, (em) => listAudit(studio.scope, em));
    expect(audit.map(({ verb, by }) => [verb, by])).toEqual(
      expect.arrayContaining([
        ["made-password-link", lead],
        ["chose-a-new-password", trainer],
      ]),
    );
  });
  test("is no trainer's to give, nor another studio's, nor a way into one", async () => {
    const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
    const [lead, trainer, elsewhere] = [await member(studio, "lead"), await member(studio, "trainer"), await member(other, "lead")];
    expect(await make(studio, trainer, lead, randomUUID())).toMatchObject({ refusal: { code: "only-a-lead" } });
    expect(await make(studio, lead, elsewhere, randomUUID())).toMatchObject({ refusal: { code: "no-such-member" } });
    expect(await make(other, lead, elsewhere, randomUUID())).toMatchObject({ refusal: { code: "only-a-lead" } });
    await member(other, "trainer", trainer);
    expect(await make(studio, lead, trainer, randomUUID())).toMatchObject({ refusal: { code: "in-another-studio" } });
    expect(await passwordOf(trainer)).toBe("old");
  });
  test("ends when whose it is works in another studio as well, or leaves", async () => {
    const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
    const [lead, trainer, leaving] = [await member(studio, "lead"), await member(studio, "trainer"), await member(studio, "trainer")];
    const [joined, left, invitation] = [randomUUID(), randomUUID(), randomUUID()];
    await make(studio, lead, trainer, joined);
    await make(studio, lead, leaving, left);
    await inTest(orm, other.scope, (em) =>
      invite(other.scope, em, { secret: invitation, name: "T", email: "t@x.example", role: "trainer", untilDay: "2099-01-01" }),
    );
    expect(await orm.em.fork().transactional((em) => joinByInvitation(em, invitation, trainer))).toEqual({ ok: true });
    await inTest(orm, studio.scope, (em) => changeMember({ ...studio.scope, actorId: lead }, em, leaving, "gone"));
    for (const secret of [joined, left]) expect(await use(secret)).toMatchObject({ refusal: { code: "no-such-link" } });
    expect(await passwordOf(trainer)).toBe("old");
  });
  test("ends with the next link, and after a day", async () => {
    const studio = await makeStudio(orm);
    const [lead, trainer] = [await member(studio, "lead"), await member(studio, "trainer")];
    const [first, second] = [randomUUID(), randomUUID()];
    await make(studio, lead, trainer, first);
    await make(studio, lead, trainer, second);
    expect(await use(first)).toMatchObject({ refusal: { code: "no-such-link" } });
    await asOwner((run) => run(`update password_link set until = now() - interval '1 second' where user_id = ?`, [trainer]));
    expect(await use(second)).toMatchObject({ refusal: { code: "no-such-link" } });
  });
  test("from the command line is a link too, for whoever signs in by that address", async () => {
    const studio = await makeStudio(orm);
    const lead = await member(studio, "lead");
    const secret = await passwordLinkFor(`${lead}@x.example`);
    expect(await use(secret ?? "")).toEqual({ ok: true });
    expect(await passwordLinkFor("nobody@x.example")).toBeNull();
  });
});

describe("codes that are lost", () => {
  const withCodes = (id: string) =>
    asOwner(async (run) => {
      await run(`update "user" set "twoFactorEnabled" = true where id = ?`, [id]);
      await run(`insert into "twoFactor" (id, secret, "backupCodes", "userId", verified) values (?, 's', 'b', ?, true)`, [
        randomUUID(),
        id,
      ]);
    });
  const has = (id: string) =>
    asOwner(async (run) => [
      (await run(`select "twoFactorEnabled" as has from "user" where id = ?`, [id]))[0]?.["has"],
      (await run(`select id from "twoFactor" where "userId" = ?`, [id])).length,
    ]);
  const end = (studio: TestStudio, actorId: string, who: string) =>
    inTest(orm, studio.scope, (em) => endCodes({ ...studio.scope, actorId }, em, who));

  test("are ended by a lead, every device signed out, and the audit says so; by nobody else, and not of who works elsewhere too", async () => {
    const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
    const [lead, trainer, elsewhere] = [await member(studio, "lead"), await member(studio, "trainer"), await member(other, "lead")];
    await withCodes(trainer);
    await session(trainer);
    expect(await end(studio, trainer, trainer)).toMatchObject({ refusal: { code: "only-a-lead" } });
    expect(await end(studio, lead, elsewhere)).toMatchObject({ refusal: { code: "no-such-member" } });
    expect(await end(other, elsewhere, trainer)).toMatchObject({ refusal: { code: "no-such-member" } });
    await member(other, "reader", trainer);
    expect(await end(studio, lead, trainer)).toMatchObject({ refusal: { code: "in-another-studio" } });
    expect([await has(trainer), (await sessions(trainer)).length]).toEqual([[true, 1], 1]);
    await asOwner((run) =>
      run(`update studio_member set role = 'gone' where studio_id = ? and user_id = ?`, [other.scope.studioId, trainer]),
    );
    expect(await end(studio, lead, trainer)).toEqual({ ok: true });
    expect([await has(trainer), await sessions(trainer)]).toEqual([[false, 0], []]);
    const audit = await inTest(orm, studio.scope, (em) => listAudit(studio.scope, em));
    expect(audit[0]).toMatchObject({ verb: "ended-codes", by: lead });
  });
  test("are ended from the command line, for whoever signs in by that address and works wherever", async () => {
    const studio = await makeStudio(orm);
    const lead = await member(studio, "lead");
    await withCodes(lead);
    expect(await endSecondStepOf(`${lead}@x.example`)).toBe(true);
    expect(await has(lead)).toEqual([false, 0]);
    const audit = await inTest(orm, studio.scope, (em) => listAudit(studio.scope, em));
    expect(audit[0]).toMatchObject({ verb: "had-codes-ended", by: lead });
    expect(await endSecondStepOf("nobody@x.example")).toBe(false);
  });
});

test("who came in is written down in each of their studios, and nothing else can be", async () => {
  const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
  const trainer = await member(studio, "trainer");
  await member(other, "reader", trainer);
  await noteAtDoor(orm.em.fork(), trainer, "turned-codes-on");
  for (const { scope } of [studio, other])
    expect((await inTest(orm, scope, (em) => listAudit(scope, em)))[0]).toMatchObject({ verb: "turned-codes-on", by: trainer });
  await expect(noteAtDoor(orm.em.fork(), trainer, "erased" as "turned-codes-on")).rejects.toThrow();
});

test("the audit is read page by page, nothing twice and nothing left out, however many came at one moment", async () => {
  const { scope } = await makeStudio(orm);
  const at = new Date();
  await inTest(orm, scope, async (em) => {
    for (let i = 0; i < 2 * AUDIT_PAGE + 7; i++)
      await em.insert(AuditRow, { ...stamp(scope, undefined, at), verb: "read", tableName: "client", rowId: scope.studioId });
  });
  const seen: string[] = [];
  for (let from: string | null = null; ;) {
    const page = await inTest(orm, scope, (em) => listAudit(scope, em, from));
    seen.push(...page.slice(0, AUDIT_PAGE).map(({ id }) => id));
    from = page[AUDIT_PAGE]?.id ?? null;
    if (from === null) break;
  }
  expect(seen.length).toBeGreaterThan(2 * AUDIT_PAGE + 7); // what made the studio is in it too
  expect(new Set(seen).size).toBe(seen.length);
  expect(await inTest(orm, scope, (em) => listAudit(scope, em, randomUUID()))).toEqual([]);
});

describe("as the application's role", () => {
  const run = (sql: string): Promise<object[]> => orm.em.fork().getConnection().execute<object[]>(sql);
  test.each([
    `create temporary table client (id uuid)`,
    `create table public.mine (id uuid)`,
    `create schema mine`,
    `create function public.member_count() returns int language sql as $$ select 1 $$`,
    `alter table client disable row level security`,
    `drop policy of_studio on client`,
    `grant ponderis_owner to ponderis_app`,
    `set role ponderis_owner`,
    `set session_replication_role = replica`,
    `alter role ponderis_app bypassrls`,
    `select * from password_link`,
    `insert into studio_member (studio_id, user_id, name, role) values (gen_random_uuid(), 'me', 'me', 'lead')`,
    `update studio_member set role = 'lead'`,
    `delete from audit_event`,
    `update audit_event set verb = 'read'`,
    `copy client to program 'cat'`,
    `select pg_read_file('/etc/passwd')`,
  ])("%s is refused", async (sql) => {
    await expect(run(sql)).rejects.toThrow();
  });
  test("nobody's team is seen without a studio, nor another studio's within one", async () => {
    const [studio, other] = [await makeStudio(orm), await makeStudio(orm)];
    await member(studio, "lead");
    await member(other, "lead");
    expect(await run(`select * from studio_member`)).toEqual([]);
    const seen = await inTest(orm, studio.scope, (em) => em.execute<{ studio_id: string }[]>(`select studio_id from studio_member`));
    expect(seen.map(({ studio_id }) => studio_id)).toEqual([studio.scope.studioId]);
  });
  test("every function of the owner's that it may call looks for nothing in a temporary schema first", async () => {
    const functions = await asOwner((own) =>
      own(`select proname, array_to_string(proconfig, ';') as config from pg_proc p join pg_namespace n on n.oid = p.pronamespace
            where p.prosecdef and n.nspname = 'public'`),
    );
    expect(functions.length).toBeGreaterThan(10);
    for (const { proname, config } of functions) expect([proname, config]).toEqual([proname, "search_path=public, pg_temp"]);
  });
  test("a time limit that the role lifted for itself is seen, and such a copy is sent no requests", async () => {
    const em = orm.em.fork();
    expect(await timeLimitsHold(em)).toBe(true);
    await em.transactional(async (own) => {
      await own.execute(`set local lock_timeout = 0`);
      expect(await timeLimitsHold(own)).toBe(false);
    });
  });
  test("time limits are the database's own, whoever set it up, and the owner's work is not cut short by them", async () => {
    const name = await asOwner(async (own) => (await own(`select current_database() as name`))[0]?.["name"]);
    const set = await asOwner((own) =>
      own(
        `select unnest(setconfig) as line from pg_db_role_setting s join pg_database d on d.oid = s.setdatabase where d.datname = ? and setrole = 0`,
        [name],
      ),
    );
    expect(set.map(({ line }) => String(line)).toSorted()).toEqual(
      ["jit=off", ...Object.entries(TIME_LIMITS).map(([limit, value]) => `${limit}=${value}`)].toSorted(),
    );
    expect(await asOwner((own) => own(`show statement_timeout`))).toEqual([{ statement_timeout: "0" }]);
  });
});
