import { spawnSync } from "node:child_process";
import { createServer, type Socket } from "node:net";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { chromium, type Page } from "@playwright/test";
import fc from "fast-check";
import { database, Device, freshDemo, type Line, lostOf, onSmallDisk, pause, print, type Session, Server, sessions, sql } from "./harness";
import { phoneWhoseLinkEnded, picturesBesideSignIn } from "./doors";
import { beginSet, checkIn } from "./tablet";

/**
 * npm run faults: everything that may go wrong between a tablet and the studio, on purpose. Not part of npm test, whose
 * browser tests hold a short form of each.
 */
const one = new Server(4291);
const two = new Server(4292);
const lines: Line[] = [];
const tell = (line: Line): void => {
  lines.push(line);
  console.log(`${line.name}: ${line.said}`);
};
let [cookie, address] = ["", one.address];

/** Devices that tap for a while beside a fault, then send until all is told. */
async function under(
  name: string,
  all: readonly Session[],
  fault: () => Promise<void>,
  more: { clockMs?: (i: number) => number; tapMs?: number } = {},
): Promise<void> {
  const startedMs = Date.now();
  const devices = all.map(
    (session, i) =>
      new Device(
        session,
        () => cookie,
        () => address,
        more.clockMs?.(i),
      ),
  );
  let isOver = false;
  const work = devices.map(async (device) => {
    while (!isOver) {
      device.tapSet();
      await device.send();
      await pause(more.tapMs ?? 40);
    }
    await device.sendAll();
  });
  await fault();
  isOver = true;
  await Promise.all(work);
  const { acknowledged, lost, doubled, sets } = await lostOf(devices);
  const tapped = devices.reduce((sum, { setIds }) => sum + setIds.length, 0);
  const said = `${tapped} sets tapped, ${acknowledged} acknowledged, ${lost} lost, ${doubled} doubled, ${((Date.now() - startedMs) / 1000).toFixed(0)} s`;
  tell({ name, said, holds: lost === 0 && doubled === 0 && sets === tapped && tapped > 20 });
}

/** A link that may hang: what goes in does not come out until it is let go. */
function hangingLink(to: number, at: number): Promise<{ hang: (isOn: boolean) => void; close: () => void }> {
  let isHung = false;
  const held: (() => void)[] = [];
  const sockets = new Set<Socket>();
  const link = createServer((from) => {
    const onward = new (from.constructor as typeof Socket)().connect(to, "127.0.0.1");
    const pass = (a: Socket, b: Socket) => a.on("data", (part) => (isHung ? held.push(() => b.write(part)) : b.write(part)));
    for (const socket of [from, onward]) {
      sockets.add(socket);
      socket.on("error", () => undefined).on("close", () => [from, onward].forEach((each) => each.destroy()));
    }
    pass(from, onward);
    pass(onward, from);
  });
  return new Promise((resolve) =>
    link.listen(at, "127.0.0.1", () =>
      resolve({
        hang: (isOn) => {
          isHung = isOn;
          if (!isOn) for (const go of held.splice(0)) go();
        },
        close: () => {
          for (const socket of sockets) socket.destroy();
          link.close();
        },
      }),
    ),
  );
}

freshDemo();
await one.start();
cookie = (await one.signIn()).cookie;
const all = await sessions(64); // eight for each case: a session of a thousand sets is nobody's
let taken = 0;
const eight = (): Session[] => all.slice(taken, (taken += 8));

await under("server killed six times in mid-session", eight(), async () => {
  for (let i = 0; i < 6; i++) {
    await pause(300 + 150 * i);
    one.kill();
    await pause(150);
    await one.start();
  }
});
await under("database killed six times in mid-write", eight(), async () => {
  for (let i = 0; i < 6; i++) {
    await pause(400 + 100 * i);
    database.kill();
    await pause(300);
    database.start();
    while (!(await one.isWell())) await pause(100);
  }
});
await two.start({ APP_URL: one.address });
await under("two copies of the server behind one database, each told everything", eight(), async () => {
  // the same sessions from devices that change the copy with every batch
  for (let i = 0; i < 60; i++) {
    address = i % 2 === 0 ? one.address : two.address;
    await pause(50);
  }
  address = one.address;
});
await under("clocks a day and two minutes apart", eight(), () => pause(2500), {
  clockMs: (i) => (i % 2 === 0 ? 86_400_000 : -120_000) * (i % 3 === 0 ? -1 : 1),
});

const last = eight();
{
  // 200 corrections of one set, in turn from a tablet a day ahead and one two minutes behind: the last received counts
  const [ahead, behind] = [86_400_000, -120_000].map(
    (clockMs) =>
      new Device(
        last[0]!,
        () => cookie,
        () => address,
        clockMs,
      ),
  );
  const setId = ahead!.tapSet(1);
  await ahead!.sendAll();
  let counted = 0;
  for (let i = 0; i < 200; i++) {
    const device = i % 2 === 0 ? ahead! : behind!;
    device.tap({ kind: "set-corrected", setId, change: { repetitions: 2 + (i % 90) } });
    await device.sendAll();
    const [row] = await sql<{ repetitions: number }>(`select repetitions from performed_set where id = '${setId}'`);
    if (row?.repetitions === 2 + (i % 90)) counted++;
  }
  tell({ name: "corrections from tablets whose clocks are apart", said: `${counted} of 200 counted`, holds: counted === 200 });
}
{
  const link = await hangingLink(4291, 4293);
  await under("a connection that hangs for a while, then goes on", eight(), async () => {
    address = "http://127.0.0.1:4293";
    await pause(1500);
    link.hang(true);
    await pause(3000);
    link.hang(false);
    await pause(1500);
    address = one.address;
  });
  link.close();
}
{
  // one query that never ends holds the table of sessions; others must go on or fail in time, and the health route must say so
  const startedMs = Date.now();
  const stuck = sql(`begin; lock table performed_set in exclusive mode; select pg_sleep(4); commit`);
  await pause(300);
  const device = new Device(
    last[0]!,
    () => cookie,
    () => address,
  );
  device.tapSet();
  const healthStartedMs = Date.now();
  const isWell = await one.isWell();
  const healthMs = Date.now() - healthStartedMs;
  await device.sendAll();
  await stuck;
  const tookS = (Date.now() - startedMs) / 1000;
  tell({
    name: "a stuck transaction",
    said: `health ${isWell ? "answers" : "is silent"} in ${healthMs} ms; the set arrives after ${tookS.toFixed(1)} s`,
    holds: isWell && healthMs < 500 && tookS < 20,
  });
}
{
  let [unhandled, judged] = [0, 0];
  const headers = { "content-type": "application/json", origin: one.address, cookie };
  const bodies = fc.sample(
    fc.oneof(
      fc.json({ maxDepth: 4 }),
      fc
        .record({ sentAt: fc.constantFrom("2026-01-01T00:00:00Z", "x"), events: fc.array(fc.object()) })
        .map((each) => JSON.stringify(each)),
      fc.string(),
    ),
    3000,
  );
  for (const body of bodies) {
    const answer = await fetch(`${one.address}/api/floor`, { method: "POST", headers, body });
    judged++;
    if (answer.status >= 500) unhandled++;
    await answer.text();
  }
  for (const path of fc.sample(fc.webPath({ size: "medium" }), 300)) {
    const answer = await fetch(`${one.address}/api/floor/${encodeURIComponent(path)}?after=${encodeURIComponent(path)}`, { headers });
    judged++;
    if (answer.status >= 500) unhandled++;
    await answer.text();
  }
  tell({
    name: "whatever is sent to the floor's routes",
    said: `${judged} requests, ${unhandled} unhandled`,
    holds: unhandled === 0 && judged === 3300,
  });
}
{
  const startedMs = Date.now();
  const device = new Device(
    last[1]!,
    () => cookie,
    () => address,
  );
  const setId = device.tapSet();
  await device.sendAll();
  const seenAt = async (): Promise<boolean> =>
    (
      await (
        await fetch(`${one.address}/api/floor/${last[1]!.sessionId}`, { headers: { cookie }, signal: AbortSignal.timeout(5000) })
      ).text()
    ).includes(setId);
  while (!(await seenAt())) await pause(20);
  const tookMs = Date.now() - startedMs;
  tell({
    name: "a set seen from another tablet",
    said: `${tookMs} ms and at most 1,500 ms until it looks`,
    holds: tookMs + 1500 < 3000,
  });
}
{
  // the whole browser killed so many milliseconds after a tap, then opened again on another page than the floor
  const folder = mkdtempSync(join(tmpdir(), "ponderis-faults-"));
  const open = () =>
    chromium.launchPersistentContext(folder, {
      executablePath: "/usr/bin/chromium-headless-shell",
      args: ["--no-sandbox", "--disable-gpu"],
    });
  // a killed browser may have lost its cookie: then its person signs in again
  const openStudio = async (page: Page): Promise<void> => {
    await page.goto(one.address);
    if (page.url().includes("sign-in")) {
      await page.getByLabel("E-mail").fill("trainer@ponderis.example");
      await page.getByLabel("Password").fill("harbour-scale");
      await page.getByRole("button", { name: "Sign in" }).click();
    }
    await page.getByRole("heading", { name: "Today", exact: true }).waitFor();
  };
  const kept: number[] = [];
  const setsOf = async (): Promise<number> => (await sql(`select 1 from performed_set where not voided`)).length;
  for (const delayMs of [0, 10, 40, 100, 300]) {
    const context = await open();
    const page = context.pages()[0] ?? (await context.newPage());
    await openStudio(page);
    await page.getByRole("link", { name: /Maren Holt/ }).click();
    await page.getByRole("navigation", { name: "Stations" }).getByRole("link", { name: "Floor" }).click();
    await checkIn(page);
    const logIt = await beginSet(page);
    const before = await setsOf();
    await context.setOffline(true); // so that only the tablet can have kept it
    await logIt.click();
    await pause(delayMs);
    spawnSync("pkill", ["-9", "-f", folder]);
    await pause(300);
    const again = await open();
    await openStudio(again.pages()[0] ?? (await again.newPage()));
    for (let i = 0; i < 40 && (await setsOf()) === before; i++) await pause(100);
    if ((await setsOf()) > before) kept.push(delayMs);
    await again.close();
  }
  rmSync(folder, { recursive: true, force: true });
  tell({
    name: "browser killed after a tap, with no connection",
    said: `kept when killed after ${kept.join(", ")} ms of 0 to 300`,
    holds: [40, 100, 300].every((ms) => kept.includes(ms)),
  });
}
tell(await phoneWhoseLinkEnded(one));
tell(await picturesBesideSignIn(one, cookie));
const small = onSmallDisk();
if (!small) tell({ name: "disk full", said: "not tried: only root can make a small file system", holds: false });
else {
  while (!(await one.isWell())) await pause(100);
  let [saidUnwell, failed] = [false, 0];
  await under(
    "disk full for a while under the database",
    eight(),
    async () => {
      await pause(1000);
      await small.fill();
      const probe = new Device(
        last[2]!,
        () => cookie,
        () => address,
      );
      for (let i = 0; i < 60 && !(saidUnwell && failed > 0); i++) {
        for (let j = 0; j < 40; j++) probe.tapSet();
        if (!(await probe.send())) failed++;
        saidUnwell = !(await one.isWell());
        await pause(100);
      }
      small.free();
      database.start();
      while (!(await one.isWell())) await pause(200);
      await sql(`drop table if exists filler`);
      await probe.sendAll();
    },
    { tapMs: 200 },
  );
  tell({
    name: "health while the disk is full",
    said: `${failed} requests not taken, health ${saidUnwell ? "says so" : "says all is well"}`,
    holds: saidUnwell && failed > 0,
  });
}
one.kill();
two.kill();
if (small) small.leave();
else database.stop();
// a new build under six tablets (npm run new-build has twenty)
const built = spawnSync(process.execPath, ["--import", "tsx", "tests/faults/new-build.ts", "6"], { stdio: "inherit" });
tell({ name: "a new build over a connection that is cut", said: "six tablets, above", holds: built.status === 0 });
print("Between the tablet and the studio", lines);
const { status } = spawnSync(
  "node",
  ["scripts/test.mjs", ...["durability", "outbox", "tablets"].map((name) => `tests/e2e/${name}.spec.ts`)],
  { stdio: "inherit" },
);
if (status !== 0) process.exitCode = 1;
