import { randomBytes } from "node:crypto";
import { isDeepStrictEqual } from "node:util";
import { today as todayIn } from "@internationalized/date";
import { dayAfter } from "../../src/core/day";
import type { ClientArchive } from "../../src/formats/archive";
import { cluster, database, freshDemo, print, sql } from "../faults/harness";
import { copyOf } from "./copies";

/**
 * npm run round-trip -- clients years told: so many invented clients, no two alike, are told step by step for so many years by
 * the studio's own rules, with pictures, corrections, sets taken back, home sets, notes and letters of theirs; the other clients
 * have the same history under ids of their own. Each is exported, read into an empty studio, exported there and compared fact by
 * fact; read in once more; and erased, after which nothing is left.
 */
const [COUNT, YEARS] = [Number(process.argv[2] ?? 200), Number(process.argv[3] ?? 2)];
const TOLD = Math.min(COUNT, Number(process.argv[4] ?? 40)); // a history of two years takes half a minute to tell
const TIME_ZONE = "Europe/Copenhagen";
const EMPTY = "An empty one";
const PICTURE_BYTES = 20_000;

freshDemo();
Object.assign(process.env, cluster.urls());
const { getOrm, inStudio } = await import("../../src/data/orm");
const { archiveOf, takeArchive } = await import("../../src/data/archive");
const { eraseClient } = await import("../../src/data/repos/client.repo");
const { loadRecord } = await import("../../src/data/repos/record.repo");
const { correctSession, endLimit } = await import("../../src/steps/correct");
const { addPicture } = await import("../../src/data/repos/picture.repo");
const { addLetter } = await import("../../src/data/repos/letter.repo");
const { keepNote } = await import("../../src/data/repos/team.repo");
const { asReadIn } = await import("../../src/core/record/facts/read-in");
const { DEMO_CLIENTS } = await import("../../src/demo/people.data");
const { demoId, tellStory } = await import("../../src/demo/story");
const { chanceFrom } = await import("../../src/demo/simulate");

type DemoClient = (typeof DEMO_CLIENTS)[number];
type Scope = Parameters<typeof loadRecord>[0];
type Tables = NonNullable<Awaited<ReturnType<typeof archiveOf>>>["tables"];

const today = todayIn(TIME_ZONE).toString();
const now = { today, timeZone: TIME_ZONE };
const here: Scope = { studioId: demoId("quayside"), actorId: "demo-quayside" };
const there: Scope = { studioId: demoId(EMPTY), actorId: "demo-quayside" };
await sql(`insert into studio (id, name, time_zone) values ('${there.studioId}', '${EMPTY}', '${TIME_ZONE}')`);

const PEOPLE = DEMO_CLIENTS.filter(
  ({ calmPoses, lastMorningSign, trainsToday }) => calmPoses.length > 0 && !lastMorningSign && !trainsToday,
);
/** Somebody like one of the demo's, with an age, a body, a joint and bad weeks of their own. */
function somebody(number: number): DemoClient {
  const like = PEOPLE[number % PEOPLE.length];
  if (!like) throw new Error("the demo has nobody");
  const chance = chanceFrom(77_000 + number);
  const setback = chance.happens(60) ? { atSession: chance.between(4, 150), drop: chance.between(5, 35) / 100 } : null;
  return {
    ...like,
    key: `round trip ${number}`,
    profile: { ...like.profile, name: `Round trip ${number}`, birthYear: chance.between(1935, 1984) },
    massKg: like.massKg + chance.between(-8, 12),
    weeks: Math.round(52 * YEARS),
    atHome: Array.from({ length: Math.round(52 * YEARS) }, () => chance.between(0, 3)),
    joint: { toleratedUse: chance.between(85, 115) / 100, gainPerSession: chance.between(0, 8) / 1000, setback },
  };
}

async function expectTaken(step: Promise<{ ok: boolean }>): Promise<void> {
  const taken = await step;
  if (!taken.ok) throw new Error(`not taken: ${JSON.stringify(taken)}`);
}
/** What a story does not have: pictures, sets corrected and taken back long after, a limit entered by mistake, notes, letters. */
async function addedTo(clientId: string, number: number): Promise<void> {
  const chance = chanceFrom(88_000 + number);
  await inStudio(here.studioId, async (em) => {
    const record = await loadRecord(here, em, clientId, 100_000);
    if (!record) throw new Error("nobody there");
    const trained = record.sessions.filter(({ sets }) => sets.length > 0);
    for (const session of trained) {
      const [set] = session.sets;
      const [item] = session.items;
      if (!set || !item) continue;
      const at = new Date();
      if (chance.happens(8))
        await expectTaken(
          correctSession(
            here,
            em,
            clientId,
            session.id,
            { kind: "set-corrected", setId: set.id, change: { painScore: chance.between(0, 10) } },
            at,
          ),
        );
      if (chance.happens(3)) await expectTaken(correctSession(here, em, clientId, session.id, { kind: "set-voided", setId: set.id }, at));
      if (chance.happens(5))
        await addPicture(here, em, clientId, {
          id: demoId(`picture ${session.id}`),
          sessionId: session.id,
          itemId: item.id,
          day: session.day,
          view: "side",
          words: "æ „so“ ' \\ \n",
          bytes: randomBytes(PICTURE_BYTES),
        });
    }
    const limit = record.limits.find(({ lift, owner }) => !lift && owner.kind === "clinician");
    if (limit && chance.happens(50))
      await expectTaken(
        endLimit(here, em, clientId, limit.id, {
          kind: "mistake",
          by: "Tove Lind",
          role: "trainer",
          reason: "of somebody else",
          day: today,
        }),
      );
    for (const seenBy of ["me", "team"] as const)
      await expectTaken(
        keepNote(here, em, clientId, { id: demoId(`note ${clientId} ${seenBy}`), seenBy, words: "Likes the window", endedDay: null }),
      );
    const letter = { id: demoId(`letter ${clientId}`), day: dayAfter(today, -30), by: "Dr Aas", mediaType: "application/pdf" as const };
    await addLetter(here, em, clientId, { ...letter, bytes: randomBytes(PICTURE_BYTES) });
  });
}

const asJson = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
const exported = async (scope: Scope, id: string) => {
  const archive = await inStudio(scope.studioId, (em) => archiveOf(scope, em, id));
  if (!archive) throw new Error(`nobody of the id ${id}`);
  return asJson(archive);
};
/** Fact by fact, by their ids, but for who made them: that is whoever reads them in. */
const signedBy = (tables: Tables, by: (maker: string) => string) =>
  Object.fromEntries(
    Object.entries(tables).map(([table, facts]) => [
      table,
      facts
        .map((fact) => ("created_by" in fact ? { ...fact, created_by: by(String(fact["created_by"])) } : fact))
        .toSorted((a, b) => String(a["id"]).localeCompare(String(b["id"]))),
    ]),
  );

const facts: Record<string, number> = {};
const [differ, refused, left]: [string[], string[], string[]] = [[], [], []];
const texts: string[] = [];
/** Told, and exported; or one that was told, under other ids. */
async function archiveOfNumber(number: number): Promise<ClientArchive> {
  if (number >= TOLD) return copyOf(texts[number % TOLD] ?? "", `copy ${number}`, `Copy ${number}`);
  const person = somebody(number);
  await inStudio(here.studioId, (em) => tellStory(here, em, person, now));
  await addedTo(demoId(person.key), number);
  const archive = await exported(here, demoId(person.key));
  texts[number] = JSON.stringify(archive);
  return archive;
}
const clientIds: string[] = [];
async function roundTrip(number: number): Promise<void> {
  const archive = await archiveOfNumber(number);
  const [clientId, name] = [archive.id, archive.name];
  clientIds.push(clientId);
  for (const [table, { length }] of Object.entries(archive.tables)) facts[table] = (facts[table] ?? 0) + length;
  const taken = await inStudio(there.studioId, (em) => takeArchive(there, em, archive, { today }));
  if (!taken.ok) return void refused.push(`${name} ${JSON.stringify(taken.refusal)}`);
  const back = await exported(there, clientId);
  const awaited = signedBy(archive.tables, (maker) => asReadIn(there.actorId, today, maker));
  const found = signedBy(back.tables, (maker) => maker);
  const wrong = Object.keys(awaited).filter((table) => !isDeepStrictEqual(awaited[table], found[table]));
  if (wrong.length > 0) differ.push(`${name}: ${wrong.join(", ")}`);
  const again = await inStudio(there.studioId, (em) => takeArchive(there, em, back, { today }));
  if (!again.ok || again.preview.state !== "same" || again.preview.otherwise > 0) differ.push(`${name}: read in again`);
}

const startedMs = Date.now();
/** Two at a time; copies once all are told. */
for (const [from, until] of [
  [0, TOLD],
  [TOLD, COUNT],
] as const) {
  const numbers = Array.from({ length: until - from }, (_, i) => from + i).values();
  await Promise.all(
    [1, 2].map(async () => {
      for (const number of numbers) {
        await roundTrip(number);
        if (number % 10 === 9)
          console.log(
            `${number + 1} there and back after ${Math.round((Date.now() - startedMs) / 1000)} s, ${refused.length} refused, ${differ.length} differ`,
          );
      }
    }),
  );
}

// erased where they were read in: no table that names a client has one of theirs
for (const clientId of clientIds) {
  await inStudio(there.studioId, (em) => eraseClient(there, em, clientId));
}
const named = await sql<{ name: string }>(
  `select table_name as name from information_schema.columns where table_schema = 'public' and column_name = 'client_id'`,
);
for (const { name } of named) {
  const [found] = await sql<{ count: number }>(`select count(*)::int as count from ${name} where studio_id = '${there.studioId}'`);
  if (found && found.count > 0) left.push(`${name} ${found.count}`);
}
await (await getOrm()).close();

const NEEDED = ["decision", "home_entry", "session_picture", "floor_event", "client_note", "letter", "limit_lift", "prescription"];
const missing = NEEDED.filter((table) => !facts[table]);
console.log(
  `${COUNT} clients, ${YEARS} years, ${Math.round((Date.now() - startedMs) / 1000)} s: ${Object.entries(facts)
    .filter(([, count]) => count > 0)
    .map(([table, count]) => `${table} ${count}`)
    .join(", ")}`,
);
print("Out of a studio and into an empty one", [
  { name: "taken in", said: `${COUNT - refused.length} of ${COUNT} ${refused.slice(0, 3).join("; ")}`, holds: refused.length === 0 },
  { name: "the same, fact by fact", said: `${differ.length} differ ${differ.slice(0, 3).join("; ")}`, holds: differ.length === 0 },
  { name: "of every kind some", said: missing.join(", "), holds: missing.length === 0 },
  { name: "erased, nothing is left", said: left.join(", "), holds: left.length === 0 },
]);
database.stop();
