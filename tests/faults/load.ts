import { database, Device, freshDemo, pause, print, Server, sessions, sql } from "./harness";

/** npm run load [minutes]: fifty trainers at work, a burst of pages, sixty sign-ins at once, beside the health route in the same run. */
const TRAINERS = 50;
/** What a few trainers open in a morning: the engine compiles what is asked often. */
const MORNING_PAGES = 1200;
const minutes = Number(process.argv[2] ?? 3);
const server = new Server(4294);
const percentile = (values: readonly number[], part: number): number =>
  Math.round(values.toSorted((a, b) => a - b)[Math.floor(part * (values.length - 1))] ?? NaN);
const timed = async (work: () => Promise<Response>): Promise<{ ms: number; ok: boolean }> => {
  const startedMs = performance.now();
  const ok = await work().then(
    async (answer) => (await answer.text()) !== "" && answer.ok,
    () => false,
  );
  return { ms: performance.now() - startedMs, ok };
};
const said = (all: readonly { ms: number; ok: boolean }[]): string =>
  `${all.length} answers, ${all.filter(({ ok }) => !ok).length} failed, median ${percentile(
    all.map(({ ms }) => ms),
    0.5,
  )} ms, p95 ${percentile(
    all.map(({ ms }) => ms),
    0.95,
  )} ms`;

/** The health route, asked all the while. */
function beside(): { stop: () => { ms: number; ok: boolean }[] } {
  const seen: { ms: number; ok: boolean }[] = [];
  let isOver = false;
  void (async () => {
    while (!isOver) {
      seen.push(await timed(() => fetch(`${server.address}/api/health`)));
      await pause(200);
    }
  })();
  return {
    stop: () => {
      isOver = true;
      return seen;
    },
  };
}

freshDemo();
await server.start();
const { cookie } = await server.signIn();
const all = await sessions(TRAINERS);
const clients = (
  await sql<{ id: string }>(
    `select distinct c.client_id as id from client_revision c join studio s on s.id = c.studio_id where s.name like 'Studio above%'`,
  )
).map(({ id }) => id);
const STATIONS = ["floor", "fit", "limits"];
/** The whole document, as typed or reloaded; or over a link, as the application itself asks for it. */
const pageOf = (i: number): string => `${server.address}/clients/${clients[i % clients.length]}/${STATIONS[i % STATIONS.length]}`;
const wholePage = (i: number) => timed(() => fetch(pageOf(i), { headers: { cookie } }));
const linkedPage = (i: number) => timed(() => fetch(`${pageOf(i)}?_rsc`, { headers: { cookie, RSC: "1" } }));
const burstOf = (page: typeof wholePage) => Promise.all(Array.from({ length: 20 }, (_, i) => page(i)));
for (let i = 0; i < 6; i++) await wholePage(i);
const before = server.memoryMb();

const [sets, looks, pages]: { ms: number; ok: boolean }[][] = [[], [], []];
const watched = beside();
const untilMs = Date.now() + minutes * 60_000;
await Promise.all(
  all.map(async (session, i) => {
    const device = new Device(
      session,
      () => cookie,
      () => server.address,
    );
    await pause(i * 60);
    for (let turn = 0; Date.now() < untilMs; turn++) {
      if (turn % 20 === 0) pages!.push(await wholePage(i)); // a page now and then
      if (turn % 10 === 5) {
        device.tapSet();
        const startedMs = performance.now();
        const ok = await device.send();
        sets!.push({ ms: performance.now() - startedMs, ok });
      }
      looks!.push(await timed(() => fetch(`${server.address}/api/floor/${session.sessionId}?after=999999`, { headers: { cookie } })));
      await pause(1500);
    }
  }),
);
const health = watched.stop();
const after = server.memoryMb();

for (let i = 0; i < MORNING_PAGES; i += 40) await burstOf(linkedPage).then(() => burstOf(wholePage));
const [burst, wholeBurst] = [await burstOf(linkedPage), await burstOf(wholePage)];
const duringSignIns = beside();
const signIns = await Promise.all(
  Array.from({ length: 60 }, () => timed(async () => new Response("x", { status: (await server.signIn()).status }))),
);
const healthDuringSignIns = duringSignIns.stop();

/** Twenty that make the whole studio's archive, or a sheet as PDF, at once. The first of each is not counted: what is needed once is loaded by it. */
async function twentyAtOnce(path: (i: number) => string) {
  const one = (i: number) => timed(() => fetch(`${server.address}${path(i)}`, { headers: { cookie } }));
  await one(0);
  const [memoryMb, health] = [server.memoryMb(), beside()];
  const answers = await Promise.all(Array.from({ length: 20 }, (_, i) => one(i)));
  const seen = health.stop();
  for (let i = 0; i < 20 && server.memoryMb() > memoryMb + 150; i++) await pause(1000); // what is let go is given back a little later
  return { answers, seen, grownMb: server.memoryMb() - memoryMb };
}
const exportsAtOnce = await twentyAtOnce(() => "/api/export/studio");
const sheetOf = (id: string): string => `/api/clients/${id}/sheet`;
const withSheet: string[] = [];
for (const id of clients) if ((await timed(() => fetch(`${server.address}${sheetOf(id)}`, { headers: { cookie } }))).ok) withSheet.push(id);
const sheetsAtOnce = await twentyAtOnce((i) => sheetOf(withSheet[i % withSheet.length] ?? ""));
server.kill();
database.stop();

const p95 = (list: readonly { ms: number }[]): number =>
  percentile(
    list.map(({ ms }) => ms),
    0.95,
  );
const allWell = (list: readonly { ok: boolean }[]): boolean => list.length > 0 && list.every(({ ok }) => ok);
print(`${TRAINERS} trainers for ${minutes} minutes`, [
  { name: "sets sent", said: said(sets!), holds: allWell(sets!) },
  { name: "looks at the other tablets' entries", said: said(looks!), holds: allWell(looks!) },
  { name: "pages opened", said: said(pages!), holds: allWell(pages!) },
  { name: "health, meanwhile", said: said(health), holds: allWell(health) },
  { name: "burst of 20 client pages over a link", said: said(burst), holds: allWell(burst) && p95(burst) < 700 },
  { name: "burst of 20 whole documents", said: said(wholeBurst), holds: allWell(wholeBurst) && p95(wholeBurst) < 700 },
  { name: "60 sign-ins at once", said: said(signIns), holds: allWell(signIns) },
  { name: "health during the sign-ins", said: said(healthDuringSignIns), holds: p95(healthDuringSignIns) < 200 },
  ...(
    [
      ["20 archives of the studio at once", exportsAtOnce],
      ["20 sheets as PDF at once", sheetsAtOnce],
    ] as const
  ).flatMap(([name, { answers, seen, grownMb }]) => [
    { name, said: `${said(answers)}, ${grownMb} MB more afterwards`, holds: allWell(answers) && grownMb < 150 },
    { name: "health, meanwhile", said: said(seen), holds: p95(seen) < 200 },
  ]),
  { name: "memory of the server", said: `${before} MB before, ${after} MB after`, holds: after < before + 300 },
]);
