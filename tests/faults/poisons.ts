import { randomUUID } from "node:crypto";
import { demoId, demoSecret } from "../../src/demo/story";
import { database, freshDemo, type Line, print, Server, sql } from "./harness";

/**
 * npm run poisons: a hundred and more kinds of nonsense, one at a time, in what the demo's studio has stored; every page is
 * fetched with each. No page may fail. Of a client's fact that something stands on, the client's pages say that it cannot be read.
 * The built application has to be there.
 */
const NONSENSE: readonly unknown[] = [
  { x: 1 },
  [],
  {},
  7,
  "no",
  [{ id: {} }],
  { kind: "most", version: 4, signs: { signs: "x", id: 3 } },
  null,
];
/** Columns that hold a document, of a client or of the studio; and whether the client is held while one cannot be read. */
const DOCUMENTS: readonly [table: string, column: string, holds: boolean][] = [
  ["screen", "answers", true],
  ["finding", "set_up", true],
  ["school_choice", "positions", true],
  ["school_choice", "numbers", true],
  ["body_measure", "overrides", true],
  ["calm_pose", "setting", true],
  ["posture_rule", "rule", true],
  ["client_limit", "rule", true],
  ["rung", "setting", true],
  ["prescription", "dose", true],
  ["floor_event", "payload", true],
  ["response", "pains", true],
  ["response", "warning_signs", true],
  ["response", "told", true],
  ["decision", "reasons", true],
  ["decision", "change", true],
  ["home_entry", "told", false],
  ["home_look", "entry_ids", false],
  ["training_plan", "plan", false],
  ["visit", "visit", false],
  ["kit_list", "items", false],
  ["summary_letter", "letter", false],
  ["demand", "channels", false],
];
/** Columns of plain words that only our own forms keep to a list, and numbers that are none. */
const WORDS: readonly [table: string, column: string, value: string, holds: boolean][] = [
  ["complaint", "site", "'tail'", true],
  ["ceiling", "channel", "'nothing'", true],
  ["ceiling", "side", "'middle'", true],
  ["ceiling", "value", "'NaN'", true],
  ["rung", "side", "'both'", true],
  ["rung", "pattern", "'swim'", true],
  ["rung", "variation_id", "'no-such-row'", false],
  ["calm_pose", "variation_id", "'no-such-row'", false],
  ["calm_pose", "side", "'both'", true],
  ["calm_pose", "limited_by", "'tail'", true],
  ["calm_pose", "mass_kg", "'NaN'", true],
  ["body_measure", "height_m", "'NaN'", true],
  ["body_measure", "mass_kg", "'Infinity'", true],
  ["client_limit", "side", "'up'", true],
  ["finding", "protocol", "'no-such-protocol'", true],
  ["finding", "value", "'NaN'", true],
  ["clearance", "role", "'nobody'", false],
  ["message_words", "words", "'no link in it'", false],
];

/** Nothing said is lawful in these, and closes nothing that was open. */
const LAWFUL = new Set([
  ...["screen.answers", "finding.set_up", "school_choice.positions", "school_choice.numbers", "body_measure.overrides"].map(
    (each) => `${each} {}`,
  ),
  ...["response.pains", "response.warning_signs", "decision.reasons"].map((each) => `${each} []`),
  ...["decision.change", "response.told"].map((each) => `${each} null`),
  "response.told {}",
]);

/** Kinds of fact that the demo has none of. */
const MORE = [
  `insert into home_look (studio_id, id, created_by, client_id, day, entry_ids) select studio_id, gen_random_uuid(), 'x', id, current_date, '[]' from client where id = '${demoId("runa")}'`,
  `insert into summary_letter (studio_id, id, created_by, client_id, letter) select studio_id, gen_random_uuid(), 'x', id,
     '{"day":"2026-10-01","by":"Tove","audience":"client","to":"","sinceDay":"2026-09-01","sections":[{"id":"done","words":"Much"}]}' from client where id = '${demoId("maren")}'`,
  `insert into message_words (studio_id, id, created_by, template, words) select id, gen_random_uuid(), 'x', 'page-link', 'Your page: {link}' from studio where id = '${demoId("quayside")}'`,
];

const server = new Server(4297);
freshDemo();
for (const each of MORE) await sql(each);
await server.start();
const { cookie } = await server.signIn();
/** Whoever has most of everything, and whoever has a page of their own. */
const PEOPLE = ["maren", "runa", "ansel", "ines", "edda", "thora"];
const STATIONS = "handover letter own-page screen assess limits fit plan floor morning review school home-kit sheet".split(" ");
const pagesOf = (key: string): string[] => [
  "/",
  "/clients",
  "/studio",
  "/messages",
  ...STATIONS.map((station) => `/clients/${demoId(key)}/${station}`),
  `/api/export/${demoId(key)}`,
  ...(key === "runa" ? [`/me/${demoId("quayside")}.${demoSecret(key)}`] : []),
];

/** What went wrong with a page: another answer than 200, or a part of it that was given up. */
async function wrongWith(path: string): Promise<string | null> {
  const answer = await fetch(`${server.address}${path}`, { headers: { cookie }, redirect: "follow" });
  const text = await answer.text();
  if (answer.status !== 200) return `${answer.status}`;
  if (/(data-dgst="|digest\\?":\\?")\d/.test(text)) return "a part of it was given up";
  return null;
}
const isSaid = async (key: string): Promise<boolean> =>
  (await (await fetch(`${server.address}/clients/${demoId(key)}/limits`, { headers: { cookie } })).text()).includes("cannot be read");

interface Poison {
  name: string;
  table: string;
  column: string;
  value: string;
  holds: boolean;
}
const asSql = (value: unknown): string => `'${JSON.stringify(value)}'::jsonb`;
const poisons: Poison[] = [
  ...DOCUMENTS.flatMap(([table, column, holds]) =>
    NONSENSE.map((value) => ({ name: `${table}.${column} ${JSON.stringify(value)}`, table, column, value: asSql(value), holds })),
  ),
  ...WORDS.map(([table, column, value, holds]) => ({ name: `${table}.${column} ${value}`, table, column, value, holds })),
];

const broken: string[] = [];
const silent: string[] = [];
const missing = new Set<string>();
let [tried, pages] = [0, 0];
const everyPage = [...new Set(PEOPLE.flatMap(pagesOf))];
for (const page of everyPage) {
  const what = await wrongWith(page);
  if (what) throw new Error(`${page} does not open at all: ${what}`);
}
const only = process.argv[2];
for (const { name, table, column, value, holds } of poisons) {
  if (only !== undefined && !name.includes(only)) continue;
  const where = (
    await sql<{ name: string }>(
      `select column_name as name from information_schema.columns where table_name = '${table}' and column_name in ('client_id', 'session_id')`,
    )
  ).map((each) => each.name);
  const ofClient = (key: string): string =>
    where.includes("client_id")
      ? `client_id = '${demoId(key)}'`
      : where.includes("session_id")
        ? `session_id in (select id from training_session where client_id = '${demoId(key)}' order by day desc limit 3)`
        : "true";
  let [key, mine] = ["", ""];
  for (const each of PEOPLE) {
    const [found] = await sql<{ count: number }>(`select count(*)::int as count from ${table} where ${ofClient(each)}`);
    if (key === "" && found && found.count > 0) [key, mine] = [each, ofClient(each)];
  }
  if (key === "") {
    missing.add(table);
    continue;
  }
  const copy = `poisoned_${randomUUID().slice(0, 8)}`;
  // every fact of the client's in that table, so that whichever a page reads is one of them
  await sql(`create table ${copy} as select id, ${column} as was from ${table} where ${mine}`);
  tried++;
  try {
    await sql(`alter table ${table} disable trigger user; update ${table} set ${column} = ${value} where ${mine}`);
  } catch (error) {
    await sql(`drop table ${copy}`); // the database itself refuses it
    if (only !== undefined) console.log(name, String(error));
    continue;
  }
  const wrong: string[] = [];
  for (const page of pagesOf(key)) {
    pages++;
    const what = await wrongWith(page);
    if (what) wrong.push(`${page.replace(demoId(key), key)} ${what}`);
  }
  if (wrong.length > 0) broken.push(`${name}: ${wrong.join(", ")}`);
  if (holds && !LAWFUL.has(name) && !(await isSaid(key))) silent.push(name);
  await sql(
    `update ${table} t set ${column} = c.was from ${copy} c where c.id = t.id; alter table ${table} enable trigger user; drop table ${copy}`,
  );
}
const after: string[] = [];
for (const page of everyPage) if (await wrongWith(page)) after.push(page);
server.kill();
for (const each of broken) console.log("broken ", each);
for (const each of silent) console.log("silent ", each);
if (missing.size > 0) console.log("nobody has", [...missing].join(", "));
print(`${tried} poisons, ${pages} pages`, [
  { name: "pages that fail", said: String(broken.length), holds: broken.length === 0 },
  { name: "a fact that closes, left out without a word", said: String(silent.length), holds: silent.length === 0 },
  { name: "taken out again, every page opens", said: after.join(", "), holds: after.length === 0 },
] satisfies Line[]);
database.stop();
