import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import { randomUUID } from "node:crypto";
import { mkdirSync, readFileSync, rmSync } from "node:fs";
import { fileURLToPath } from "node:url";
import { Client } from "pg";
import type { FloorEventBody } from "../../src/core/floor/events";

/** What `npm run faults` and `npm run load` share: a database cluster and servers of their own, and devices that never give up. */
const root = fileURLToPath(new URL("../..", import.meta.url));
const DB = { DB_DIR: `${root}.data/faults`, DB_PORT: process.env["FAULTS_DB_PORT"] ?? "54529", DB_FAST: "0" };
const SMALL_DIR = `${root}.data/faults-small`;
export const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

function db(...args: string[]): string {
  const { status, stdout, stderr } = spawnSync("bash", ["scripts/db.sh", ...args], {
    cwd: root,
    env: { ...process.env, ...DB },
    encoding: "utf8",
  });
  if (status !== 0) throw new Error(`db.sh ${args.join(" ")}: ${stderr}`);
  return stdout.trim();
}
export const database = {
  start: () => void db("start"),
  upgrade: () => script("src/data/migrate.ts"),
  kill: () => void db("kill"),
  stop: () => void db("stop"),
};
/** The same cluster moved to a file system of its own, with little room left; null where this user may not make one. */
export function onSmallDisk(): { fill: () => Promise<void>; free: () => void; leave: () => void } | null {
  database.stop();
  mkdirSync(SMALL_DIR, { recursive: true });
  const sizeMb = Number(/^\d+/.exec(spawnSync("du", ["-sm", DB.DB_DIR], { encoding: "utf8" }).stdout)?.[0] ?? NaN) + 48;
  const { status } = spawnSync("mount", ["-t", "tmpfs", "-o", `size=${sizeMb}m`, "tmpfs", SMALL_DIR]);
  if (status !== 0) return null;
  spawnSync("cp", ["-a", `${DB.DB_DIR}/.`, SMALL_DIR]);
  spawnSync("chmod", ["755", SMALL_DIR]);
  DB.DB_DIR = SMALL_DIR;
  database.start();
  const ballast = `${SMALL_DIR}/ballast`;
  return {
    // no more room, and then what is left in files made before is used up by a connection made before
    fill: async () => {
      const client = new Client({ connectionString: db("super-url") });
      client.on("error", () => undefined); // the server may go down for it
      await client.connect();
      await client.query(`create table filler (words text)`);
      spawnSync("dd", ["if=/dev/zero", `of=${ballast}`, "bs=64k"]);
      for (let isRoom = true; isRoom;)
        isRoom = await client.query(`insert into filler select repeat(md5(i::text), 50) from generate_series(1, 500) i`).then(
          () => true,
          () => false,
        );
      await client.end().catch(() => undefined);
    },
    free: () => rmSync(ballast),
    leave: () => {
      database.stop();
      spawnSync("umount", [SMALL_DIR]);
    },
  };
}
const urls = () => ({ DATABASE_URL: db("url"), DATABASE_OWNER_URL: db("owner-url") });

/** Where the cluster is to be asked, and where it writes what went wrong. */
export const cluster = { urls, superUrl: () => db("super-url"), log: () => db("log") };

function script(path: string): void {
  const env = { ...process.env, ...urls(), LOG_LEVEL: "error" };
  const { status, stderr } = spawnSync(process.execPath, ["--import", "tsx", path], { cwd: root, env, encoding: "utf8" });
  if (status !== 0) throw new Error(stderr);
}
/** A fresh demo in the cluster, kept as durable as a real one. */
export function freshDemo(): void {
  db("reset");
  for (const each of ["src/data/migrate.ts", "src/demo/seed.ts"]) script(each);
}
export async function sql<T extends object>(text: string): Promise<T[]> {
  const client = new Client({ connectionString: db("super-url") });
  await client.connect();
  try {
    return (await client.query<T>(text)).rows;
  } finally {
    await client.end();
  }
}

export class Server {
  readonly address: string;
  private child: ChildProcess | null = null;
  constructor(
    readonly port: number,
    private readonly folder = root,
  ) {
    this.address = `http://127.0.0.1:${port}`;
  }
  async start(more: Record<string, string> = {}): Promise<void> {
    const env = {
      ...process.env,
      DATABASE_URL: urls().DATABASE_URL,
      NODE_ENV: "production" as const,
      PORT: String(this.port),
      APP_URL: this.address,
    };
    this.child = spawn(process.execPath, ["scripts/serve.mjs"], {
      cwd: this.folder,
      stdio: "ignore",
      env: {
        ...env,
        AUTH_SECRET: "only-for-faults-0123456789abcdef",
        AUTH_RATE_LIMIT: "off",
        LOG_LEVEL: "silent",
        ...more,
      },
    });
    while (!(await this.isWell())) await pause(100);
  }
  isWell = (): Promise<boolean> =>
    fetch(`${this.address}/api/health`, { signal: AbortSignal.timeout(5000) }).then(
      ({ ok }) => ok,
      () => false,
    );
  kill(): void {
    this.child?.kill("SIGKILL");
    this.child = null;
  }
  /** Of every process of the server together. */
  memoryMb(): number {
    const pid = this.child?.pid ?? 0;
    const children = readFileSync(`/proc/${pid}/task/${pid}/children`, "utf8").trim().split(" ").filter(Boolean);
    const sizeKb = (of: string | number): number => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${of}/status`, "utf8"))?.[1] ?? NaN);
    return Math.round([pid, ...children].reduce((sum: number, of) => sum + sizeKb(of), 0) / 1024);
  }
  signIn = async (email = "trainer@ponderis.example", password = "harbour-scale"): Promise<{ status: number; cookie: string }> => {
    const headers = { "content-type": "application/json", origin: this.address };
    const answer = await fetch(`${this.address}/api/auth/sign-in/email`, {
      method: "POST",
      headers,
      body: JSON.stringify({ email, password }),
    });
    return {
      status: answer.status,
      cookie: answer.headers
        .getSetCookie()
        .map((each) => each.split(";")[0])
        .join("; "),
    };
  };
}

export interface Session {
  sessionId: string;
  itemId: string;
}
/** Sessions of the demo to write into: the last item of each. */
export const sessions = (count: number): Promise<Session[]> =>
  sql<Session>(
    `select s.id as "sessionId", (select i.id from session_item i where i.session_id = s.id limit 1) as "itemId" from training_session s
       join studio d on d.id = s.studio_id where d.name like 'Studio above%' order by s.day desc limit ${count}`,
  );

/** A tablet without a screen: it counts its taps, keeps what the studio has not named, and sends it again. */
export class Device {
  readonly id = randomUUID();
  readonly setIds: string[] = [];
  readonly acknowledged = new Set<string>();
  private waiting: object[] = [];
  private sequence = 0;
  constructor(
    private readonly session: Session,
    private readonly cookie: () => string,
    private readonly address: () => string,
    private readonly clockMs = 0,
  ) {}
  private nowText = (): string => new Date(Date.now() + this.clockMs).toISOString();
  tap(body: FloorEventBody): string {
    const event = {
      id: randomUUID(),
      deviceId: this.id,
      sequence: ++this.sequence,
      sessionId: this.session.sessionId,
      occurredAt: this.nowText(),
      body,
    };
    this.waiting.push(event);
    return event.id;
  }
  tapSet(repetitions = 10): string {
    const setId = randomUUID();
    this.setIds.push(setId);
    this.tap({
      kind: "set-ended",
      setId,
      itemId: this.session.itemId,
      setting: {},
      repetitions,
      painScore: 1,
      faults: [],
      endedBy: "pain-tap",
    });
    return setId;
  }
  get isDone(): boolean {
    return this.waiting.length === 0;
  }
  /** Sends once; true when the studio answered. */
  async send(): Promise<boolean> {
    const batch = this.waiting.slice(0, 50);
    if (batch.length === 0) return true;
    try {
      const answer = await fetch(`${this.address()}/api/floor`, {
        method: "POST",
        redirect: "manual",
        signal: AbortSignal.timeout(15_000),
        headers: { "content-type": "application/json", origin: this.address(), cookie: this.cookie() },
        body: JSON.stringify({ sentAt: this.nowText(), events: batch }),
      });
      const { received } = (await answer.json()) as { received: string[] };
      for (const id of received) this.acknowledged.add(id);
      this.waiting = this.waiting.filter((event) => !received.includes((event as { id: string }).id));
      return true;
    } catch {
      return false;
    }
  }
  async sendAll(): Promise<void> {
    while (!this.isDone) if (!(await this.send())) await pause(200);
  }
}

/** Acknowledged events that the database does not have, and sets that it has twice. */
export async function lostOf(devices: readonly Device[]): Promise<{ acknowledged: number; lost: number; doubled: number; sets: number }> {
  const ids = devices.flatMap(({ acknowledged }) => [...acknowledged]);
  const there = new Set((await sql<{ id: string }>(`select id from floor_event`)).map(({ id }) => id));
  const rows = (await sql<{ id: string }>(`select id from performed_set where not voided`)).map(({ id }) => id);
  const sets = devices.flatMap(({ setIds }) => setIds);
  const found = rows.filter((id) => sets.includes(id));
  return {
    acknowledged: ids.length,
    lost: ids.filter((id) => !there.has(id)).length,
    doubled: found.length - new Set(found).size,
    sets: found.length,
  };
}

export interface Line {
  name: string;
  said: string;
  holds: boolean;
}
/** Prints a table, and leaves with an error where a line did not hold. */
export function print(title: string, lines: readonly Line[]): void {
  console.log(`\n${title}\n`);
  for (const { name, said, holds } of lines) console.log(`  ${holds ? "holds " : "FAILS "} ${name.padEnd(58)} ${said}`);
  if (lines.some(({ holds }) => !holds)) process.exitCode = 1;
}
