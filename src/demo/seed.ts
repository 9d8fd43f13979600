import { today as todayIn } from "@internationalized/date";
import type { EntityManager } from "@mikro-orm/postgresql";
import { hashPassword } from "better-auth/crypto";
import pLimit from "p-limit";
import { type Day, dayAfter } from "../core/day";
import type { Visit } from "../core/week/visit";
import type { Role } from "../core/studio/team";
import { AuditRow, MemberRow, StudioRow } from "../data/tables/entities";
import { getOrm, inStudio, openOwnerOrm } from "../data/orm";
import { addBand } from "../data/repos/studio.repo";
import { keepNote } from "../data/repos/team.repo";
import { changeVisits } from "../data/repos/visit.repo";
import { DEMO_BANDS, DEMO_CLIENTS } from "./people.data";
import { type Scope, stamp } from "../data/scope";
import { demoId, demoSecret, tellStory } from "./story";
import { DEMO_NOTES, DEMO_VISITS } from "./visits.data";

/** Each story keeps a connection to itself, and there are ten. */
const STORIES_AT_ONCE = 8;
const VISITS_SINCE_WEEKS = 8;
/** Of the ferry town; tests choose one where it is morning, so that no day turns while they run. */
const TIME_ZONE = process.env["DEMO_TIME_ZONE"] ?? "Europe/Copenhagen";
const STUDIOS = [
  {
    key: "quayside",
    name: "Studio above the chandlery",
    email: "trainer@ponderis.example",
    trainer: "Tove Lind",
    clients: DEMO_CLIENTS,
    others: [{ key: "part-timer", name: "Peer Aske", email: "part-timer@ponderis.example", role: "trainer" as const }],
  },
  {
    key: "inland",
    name: "Millpond studio",
    email: "other@ponderis.example",
    trainer: "Joss Hale",
    others: [],
    clients: DEMO_CLIENTS.slice(1, 2).map((c) => ({ ...c, key: "inland-client" })),
  },
];

/** Studios, users and members are the owner's to make; users are in the sign-in library's own tables. */
async function asOwner(work: (em: EntityManager) => Promise<void>): Promise<void> {
  const owner = await openOwnerOrm();
  await work(owner.em.fork());
  await owner.close();
}

async function addMember(
  em: EntityManager,
  studioId: string,
  { key, name, email, role }: { key: string; name: string; email: string; role: Role },
): Promise<void> {
  const [id, now] = [`demo-${key}`, new Date()];
  const password = await hashPassword("harbour-scale");
  await em.execute(`insert into "user" (id, name, email, "emailVerified", "updatedAt") values (?, ?, ?, true, ?)`, [id, name, email, now]);
  await em.execute(
    `insert into "account" (id, "accountId", "providerId", "userId", password, "updatedAt") values (?, ?, 'credential', ?, ?, ?)`,
    [`${id}-password`, id, id, password, now],
  );
  await em.insert(MemberRow, { studioId, userId: id, name, role, unitSystem: "metric" });
}

/** What the lead last saw of everybody, two days ago, and notes to go by. */
async function addNotes(scope: Scope, em: EntityManager): Promise<void> {
  const seenAt = new Date(Date.now() - 2 * 24 * 3_600_000);
  for (const { key } of DEMO_CLIENTS)
    await em.insert(AuditRow, { ...stamp(scope, undefined, seenAt), verb: "read", tableName: "client", rowId: demoId(key) });
  for (const { key, seenBy, words } of DEMO_NOTES)
    await keepNote(scope, em, demoId(key), { id: demoId(`${key} note ${seenBy}`), seenBy, words, endedDay: null });
}

const demoVisits = (today: Day): Visit[] =>
  DEMO_VISITS.map(({ key, inDays, at, minutes }) => ({
    id: demoId(`${key} visit ${inDays}`),
    clientId: demoId(key),
    day: dayAfter(today, inDays - 7 * VISITS_SINCE_WEEKS),
    at,
    minutes,
    everyWeeks: 1,
    untilDay: null,
    except: [],
    uid: null,
  }));

/** The member is written last: a studio without one is a seeding that was cut short. */
async function seed(): Promise<string> {
  const quayside = { studioId: demoId("quayside"), actorId: "demo-quayside" };
  if (await inStudio(quayside.studioId, (em) => em.findOne(MemberRow, { studioId: quayside.studioId }))) return "kept";
  const today = todayIn(TIME_ZONE).toString();
  await asOwner(async (em) => {
    if (await em.findOne(StudioRow, { id: demoId("quayside") }))
      throw new Error("The demo data was cut short last time. Start it over: npm run demo -- --reset");
    for (const { key, name } of STUDIOS) await em.insert(StudioRow, { id: demoId(key), name, timeZone: TIME_ZONE });
  });
  await inStudio(quayside.studioId, async (em) => {
    for (const band of DEMO_BANDS) await addBand(quayside, em, band, today);
  });
  const stories = STUDIOS.flatMap(({ key, clients }) =>
    clients.map((person) => ({ person, scope: { studioId: demoId(key), actorId: `demo-${key}` } })),
  );
  const inTurn = pLimit(STORIES_AT_ONCE);
  await Promise.all(
    stories.map(({ person, scope }) =>
      inTurn(() => inStudio(scope.studioId, (em) => tellStory(scope, em, person, { today, timeZone: TIME_ZONE }))),
    ),
  );
  await inStudio(quayside.studioId, async (em) => {
    await changeVisits(quayside, em, { kept: demoVisits(today), ended: [] });
    await addNotes(quayside, em);
  });
  await asOwner(async (em) => {
    for (const { key, trainer, email, others } of STUDIOS)
      for (const member of [{ key, name: trainer, email, role: "lead" as const }, ...others]) await addMember(em, demoId(key), member);
    await em.execute(`analyze`); // months of rows arrived in seconds: the database would learn of them a minute later
  });
  return `${DEMO_CLIENTS.length} clients`;
}

console.log(await seed());
console.log(`/me/${demoId("quayside")}.${demoSecret("runa")}`);
await (await getOrm()).close();
