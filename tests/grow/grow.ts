import { setTimeout as pause } from "node:timers/promises";
import { isDeepStrictEqual } from "node:util";
import { Client } from "pg";
import { today as todayIn } from "@internationalized/date";
import { type ClientArchive } from "../../src/formats/archive";
import { cluster, database, freshDemo, type Line, print, Server, sql } from "../faults/harness";
import { copyOf, writeAround, writeFacts } from "./copies";
import { type Done, doneSince, endOf, scansOf } from "./plans";

/**
 * npm run grow -- clients years: the demo's studio, measured page by page in milliseconds of its database; then grown to so many
 * clients with so many years of twice a week behind them, and measured again. The histories of a few are told by the same
 * steps as in the studio, and copied. A page may take 1.3 times as long as it did, or 300 ms; none may read a table of more
 * than 10,000 rows from end to end.
 * `npm run grow -- again` measures what was grown the last time, brought to this build.
 */
const isAgain = process.argv[2] === "again";
const [COUNT, YEARS] = [Number(process.argv[isAgain ? 3 : 2] ?? 100), Number(process.argv[isAgain ? 4 : 3] ?? 5)];
const [MOST_TIMES, MOST_MS, MOST_ROWS] = [1.3, 300, 10_000];
const TOLD_COUNT = 3; // so many are told step by step, the others are copies
const COPIES_AT_ONCE = 10;
const EMPTY = "An empty one";

const server = new Server(4295);
if (isAgain) {
  database.start();
  database.upgrade();
} else freshDemo();
const logFile = cluster.log();
// every statement of the application is written down with the plan it followed, and of nobody else
for (const setting of [
  "session_preload_libraries = 'auto_explain'",
  "auto_explain.log_min_duration = 0",
  "auto_explain.log_timing = off",
  "auto_explain.log_format = 'json'",
  "auto_explain.log_nested_statements = on",
  "auto_explain.log_parameter_max_length = 0",
])
  await sql(`alter role ponderis_app set ${setting}`);
Object.assign(process.env, cluster.urls());
const { getOrm, inStudio } = await import("../../src/data/orm");
const { archiveOf, takeArchive } = await import("../../src/data/archive");
const { eraseClient } = await import("../../src/data/repos/client.repo");
const { DEMO_CLIENTS } = await import("../../src/demo/people.data");
const { demoId, tellStory } = await import("../../src/demo/story");
const TIME_ZONE = "Europe/Copenhagen";
const today = todayIn(TIME_ZONE).toString();
const scope = { studioId: demoId("quayside"), actorId: "demo-quayside" };
const empty = { studioId: demoId(EMPTY), actorId: "demo-quayside" };
await sql(`insert into studio (id, name, time_zone) values ('${empty.studioId}', '${EMPTY}', '${TIME_ZONE}') on conflict do nothing`);

/** Milliseconds of the database that a piece of work took, what it read from end to end, and its longest statement. */
interface Measured {
  ms: number;
  scans: { table: string; rows: number }[];
  longest: string;
}
/** Counting the rows of every step costs as much as many of them: once for the plan, and again without for the time. */
async function countRows(isOn: boolean): Promise<void> {
  const client = new Client({ connectionString: cluster.superUrl() });
  await client.connect();
  for (const each of [
    "load 'auto_explain'",
    `alter system set auto_explain.log_analyze = ${isOn ? "on" : "off"}`,
    "select pg_reload_conf()",
  ])
    await client.query(each);
  await client.end();
  await pause(100); // until every connection has heard of it
}
/** Of what moves a whole client, for a thousand of their facts: more years are more to move. */
async function measured(work: () => Promise<unknown>, factCount = 1000): Promise<Measured> {
  const heard = async (): Promise<Done[]> => {
    const from = endOf(logFile);
    await work();
    await pause(50);
    return doneSince(logFile, from).filter(({ statement }) => !statement.includes("heartbeat"));
  };
  await countRows(true);
  const planned = await heard(); // what is read lies in memory from here on
  await countRows(false);
  const done = await heard();
  const top = done.toSorted((a, b) => b.ms - a.ms);
  const own = done.filter(({ statement }) => /^select erase_client\(/i.test(statement)); // the others are told within it
  return {
    ms: (own.length > 0 ? own : done).reduce((sum, { ms }) => sum + ms, 0) * (1000 / factCount),
    scans: planned.flatMap(({ plan }) => scansOf(plan)).filter(({ rows }) => rows > MOST_ROWS),
    longest: top[0] ? `${top[0].ms.toFixed(0)} ms ${top[0].statement.slice(0, 90)}` : "",
  };
}

/** Facts by their ids, but for who made them: that is whoever reads them in. */
const unsigned = ({ tables }: ClientArchive) =>
  Object.fromEntries(
    Object.entries(tables).map(([table, facts]) => [
      table,
      facts.map(({ created_by: _, ...fact }) => fact).toSorted((a, b) => String(a["id"]).localeCompare(String(b["id"]))),
    ]),
  );

const STATIONS = "handover letter own-page screen assess limits fit plan floor morning review school home-kit sheet".split(" ");
async function measureAll(clientId: string): Promise<Map<string, Measured>> {
  const { cookie } = await server.signIn();
  const page = (path: string) => async (): Promise<void> => {
    const answer = await fetch(`${server.address}${path}`, { headers: { cookie }, redirect: "manual" });
    if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
    await answer.text();
  };
  const found = new Map<string, Measured>();
  const paths = [
    ["Today", "/"],
    ["Clients", "/clients"],
    ["Studio and its audit", "/studio"],
    ["Messages", "/messages"],
    ["Account", "/account"],
    ...STATIONS.map((station) => [station, `/clients/${clientId}/${station}`]),
  ] as const;
  for (const [name, path] of paths) found.set(name!, await measured(page(path!)));
  const archive = await inStudio(scope.studioId, (em) => archiveOf(scope, em, clientId));
  const text = JSON.stringify(archive);
  const factCount = Object.values(archive?.tables ?? {}).flat().length;
  const moving = (what: string): string => `${what}, a thousand facts`;
  found.set(moving("A client’s archive"), await measured(page(`/api/export/${clientId}`), factCount));
  let turn = 0;
  const taken: ClientArchive[] = [];
  const take = async (): Promise<void> => {
    const copy = copyOf(text, `taken ${clientId} ${turn++}`, `Taken in ${turn}`);
    const done = await inStudio(empty.studioId, (em) => takeArchive(empty, em, copy, { today }));
    if (!done.ok) throw new Error(`not taken in: ${JSON.stringify(done.refusal)}`);
    taken.push(copy);
  };
  found.set(moving("A client read in"), await measured(take, factCount));
  const [copy] = taken;
  const back = copy && (await inStudio(empty.studioId, (em) => archiveOf(empty, em, copy.id)));
  if (!copy || !back || !isDeepStrictEqual(unsigned(copy), unsigned(back))) throw new Error("a client did not come back as they were");
  const erase = async (): Promise<unknown> => inStudio(empty.studioId, (em) => eraseClient(empty, em, taken.pop()?.id ?? ""));
  found.set(moving("A client erased"), await measured(erase, factCount));
  return found;
}

async function grow(): Promise<string> {
  const people = DEMO_CLIENTS.filter(
    ({ calmPoses, lastMorningSign, trainsToday }) => calmPoses.length > 0 && !lastMorningSign && !trainsToday,
  );
  const told = people.slice(0, TOLD_COUNT).map((person, i) => ({
    ...person,
    key: `years ${i}`,
    profile: { ...person.profile, name: `Long with us ${i}` },
    weeks: Math.round(52 * YEARS),
  }));
  await Promise.all(told.map((person) => inStudio(scope.studioId, (em) => tellStory(scope, em, person, { today, timeZone: TIME_ZONE }))));
  const texts = await Promise.all(
    told.map(async ({ key }) => JSON.stringify(await inStudio(scope.studioId, (em) => archiveOf(scope, em, demoId(key))))),
  );
  const client = new Client({ connectionString: cluster.superUrl() });
  await client.connect();
  for (let at = TOLD_COUNT; at < COUNT; at += COPIES_AT_ONCE)
    await writeFacts(
      client,
      scope.studioId,
      Array.from({ length: Math.min(COPIES_AT_ONCE, COUNT - at) }, (_, i) =>
        copyOf(texts[(at + i) % TOLD_COUNT] ?? "", `copy ${at + i}`, `Client number ${at + i}`),
      ),
    );
  await writeAround(client, scope.studioId);
  await client.end();
  return demoId(told[0]?.key ?? "");
}

await sql(`analyze`);
await server.start();
const before = isAgain ? new Map<string, Measured>() : await measureAll(demoId(DEMO_CLIENTS[0]?.key ?? ""));
const startedMs = Date.now();
const clientId = isAgain ? demoId("years 0") : await grow();
const grownS = Math.round((Date.now() - startedMs) / 1000);
const after = await measureAll(clientId);
server.kill();
await (await getOrm()).close();

const rows = await sql<{ name: string; rows: number }>(
  `select relname as name, n_live_tup::int as rows from pg_stat_user_tables where n_live_tup > ${MOST_ROWS} order by 2 desc`,
);
const lines = [...after].map(([name, { ms, scans, longest }]): Line => {
  const was = before.get(name)?.ms ?? NaN;
  const read = [...new Set(scans.map(({ table, rows: count }) => `${table} (${count})`))];
  const isQuick = ms <= MOST_MS || ms <= MOST_TIMES * was;
  return {
    name,
    said: `${was.toFixed(0).padStart(6)} ms, grown ${ms.toFixed(0).padStart(6)} ms${read.length > 0 ? `, reads all of ${read.join(", ")}` : ""}${isQuick ? "" : `; longest ${longest}`}`,
    holds: isQuick && read.length === 0,
  };
});
console.log(`${COUNT} clients, ${YEARS} years: made in ${grownS} s; ${rows.map(({ name, rows: count }) => `${name} ${count}`).join(", ")}`);
print("Milliseconds of the database", lines);
database.stop();
