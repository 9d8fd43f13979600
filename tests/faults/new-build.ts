import { spawnSync } from "node:child_process";
import { cpSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { createServer, connect, type Socket } from "node:net";
import { fileURLToPath } from "node:url";
import { type BrowserContext, chromium, type Page } from "@playwright/test";
import { database, freshDemo, pause, print, Server, sql } from "./harness";
import { beginSet, checkIn } from "./tablet";

/**
 * npm run new-build: two real builds, a slow connection, and twenty tablets in the midst of a set. The studio is brought to the
 * other build, the tablet asks for its page anew, and the connection is cut at twenty moments, from before the first byte to after
 * the last. Each tablet has to stand without a connection, with its set, its tempo and its signs; and what was logged comes through.
 */
const root = fileURLToPath(new URL("../..", import.meta.url));
const OTHER = `${root}.data/other-build/`;
const PORT = 4300;
const [LAG_MS, BYTES_A_TURN] = [60, 24_000];
const MOMENTS_MS = Array.from({ length: Number(process.argv[2] ?? 20) }, (_, i) => i * 220);

/** The same source for older browsers: every file of it has another name. */
function buildOther(): void {
  const beside = readFileSync(`${root}.next/BUILD_ID`, "utf8");
  if (existsSync(`${OTHER}made-beside`) && readFileSync(`${OTHER}made-beside`, "utf8") === beside) return;
  rmSync(OTHER, { recursive: true, force: true });
  mkdirSync(OTHER, { recursive: true });
  for (const each of ["src", "public", "scripts", "tsconfig.json", "next.config.ts"])
    cpSync(`${root}${each}`, `${OTHER}${each}`, { recursive: true });
  const own = JSON.parse(readFileSync(`${root}package.json`, "utf8")) as { scripts: Record<string, string> };
  writeFileSync(`${OTHER}package.json`, JSON.stringify({ ...own, browserslist: ["chrome 87"] }));
  spawnSync("cp", ["-al", `${root}node_modules`, `${OTHER}node_modules`]);
  rmSync(`${OTHER}node_modules/.cache`, { recursive: true, force: true });
  for (const step of [["node_modules/next/dist/bin/next", "build"], ["scripts/service-worker.mjs"]]) {
    const { status, stdout, stderr } = spawnSync(process.execPath, step, { cwd: OTHER, encoding: "utf8" });
    if (status !== 0) throw new Error(stdout + stderr);
  }
  writeFileSync(`${OTHER}made-beside`, beside);
}

/** A slow connection that can be cut: what comes from the studio comes a little at a time. */
function slowLink() {
  let [to, isCut] = [0, false];
  const open = new Set<Socket>();
  const server = createServer((near) => {
    if (isCut) return void near.destroy();
    const far = connect(to, "127.0.0.1");
    for (const socket of [near, far]) {
      open.add(socket);
      socket.on("error", () => socket.destroy());
      socket.on("close", () => {
        open.delete(socket);
        near.destroy();
        far.destroy();
      });
    }
    near.on("data", (data) => far.write(data));
    let late = Promise.resolve();
    far.on("data", (data: Buffer) => {
      for (let at = 0; at < data.length; at += BYTES_A_TURN) {
        const part = data.subarray(at, at + BYTES_A_TURN);
        late = late.then(() => pause(LAG_MS)).then(() => void (near.destroyed || near.write(part)));
      }
    });
  });
  server.listen(PORT, "127.0.0.1");
  return {
    toServer: (port: number) => {
      to = port;
      isCut = false;
      for (const socket of open) socket.destroy();
    },
    cut: () => {
      isCut = true;
      for (const socket of open) socket.destroy();
    },
    close: () => server.close(),
  };
}

const ADDRESS = `http://localhost:${PORT}`;
async function openFloor(context: BrowserContext, floor: string): Promise<Page> {
  const page = await context.newPage();
  page.setDefaultTimeout(40_000);
  await page.goto(floor);
  await checkIn(page);
  return page;
}
/** A set by its tempo and a tap of pain. */
async function logSet(page: Page): Promise<void> {
  const logIt = await beginSet(page);
  await page.waitForTimeout(300); // the tempo runs
  await logIt.click();
}
/** A sign can be said: the question stands. */
async function askSign(page: Page): Promise<void> {
  await page
    .getByRole("button", { name: /warning sign/i })
    .first()
    .click({ timeout: 8000 });
  await page.getByRole("alertdialog", { name: "Which warning sign" }).waitFor({ timeout: 8000 });
}

buildOther();
freshDemo();
const [before, other] = [new Server(4298), new Server(4299, OTHER)];
await before.start({ APP_URL: ADDRESS });
await other.start({ APP_URL: ADDRESS });
const link = slowLink();
link.toServer(before.port);
const [client] = await sql<{ id: string }>("select client_id as id from client_revision where name = 'Maren Holt' limit 1");
const floor = `${ADDRESS}/clients/${client?.id}/floor`;
const setsOf = async (): Promise<number> => (await sql(`select 1 from performed_set where not voided`)).length;
const browser = await chromium.launch({ executablePath: "/usr/bin/chromium-headless-shell", args: ["--no-sandbox", "--disable-gpu"] });

const startedAt = new Date().toISOString();
const [stood, came]: [number[], number[]] = [[], []];
const why: string[] = [];
let newBuilds = 0;
for (const momentMs of MOMENTS_MS) {
  link.toServer(before.port);
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  try {
    const door = await context.newPage();
    door.setDefaultTimeout(40_000);
    await door.goto(ADDRESS);
    await door.getByLabel("E-mail").fill("trainer@ponderis.example");
    await door.getByLabel("Password").fill("harbour-scale");
    await door.getByRole("button", { name: "Sign in" }).click();
    await door.getByRole("heading", { name: "Today", exact: true }).waitFor();
    await door.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await door.close();
    const page = await openFloor(context, floor);
    const isKept = (): Promise<boolean> =>
      page.evaluate(async (url) => (await (await caches.open("floor-pages")).match(url, { ignoreVary: true })) !== undefined, floor);
    while (!(await isKept())) await pause(200);
    const start = await setsOf();
    await logSet(page);
    // the studio is another build from here on; the page is asked for anew and the connection goes
    link.toServer(other.port);
    void page.reload({ waitUntil: "commit", timeout: 30_000 }).catch(() => undefined);
    await pause(momentMs);
    link.cut();
    await pause(500);
    await page.reload({ waitUntil: "domcontentloaded", timeout: 40_000 });
    await page.getByRole("group", { name: "Exercises" }).waitFor();
    await logSet(page);
    await askSign(page);
    if ((await page.content()).includes(otherBuild())) newBuilds++;
    stood.push(momentMs);
    link.toServer(other.port);
    for (let i = 0; i < 150 && (await setsOf()) < start + 2; i++) await pause(200);
    if ((await setsOf()) === start + 2) came.push(momentMs);
    else why.push(`${momentMs} ms: ${(await setsOf()) - start} of 2 sets came`);
  } catch (error) {
    if (process.env["SHOTS"])
      await context
        .pages()
        .at(-1)
        ?.screenshot({ path: `${process.env["SHOTS"]}/${momentMs}.png` });
    why.push(`${momentMs} ms: ${String(error).split("\n").slice(0, 3).join(" ")}`);
  }
  await context.close();
  // the next tablet finds the client as the first did
  const begun = `(select id from training_session where created_at > '${startedAt}')`;
  await sql(`set session_replication_role = replica;
    delete from performed_set where session_id in ${begun}; delete from floor_event where session_id in ${begun};
    delete from session_item where session_id in ${begun}; delete from training_session where id in ${begun}`);
}
/** A file that only the other build names. */
function otherBuild(): string {
  return readFileSync(`${OTHER}.next/BUILD_ID`, "utf8").trim();
}
await browser.close();
link.close();
before.kill();
other.kill();
database.stop();
for (const each of why) console.log(each);
print("A new build on a slow connection that is cut", [
  {
    name: `tablets that stand, of ${MOMENTS_MS.length}`,
    said: `${stood.length}, ${newBuilds} by the new page`,
    holds: stood.length === MOMENTS_MS.length,
  },
  { name: "both sets came through, once", said: `${came.length}`, holds: came.length === MOMENTS_MS.length },
]);
