import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import { fileURLToPath } from "node:url";

/**
 * The built application, started and killed by the tests themselves: some of them kill it on purpose. Of the workers that
 * run beside each other each has its own, on its own copy of the demo's database, which scripts/test.mjs made.
 */
const root = fileURLToPath(new URL("../..", import.meta.url));
const worker = process.env["TEST_PARALLEL_INDEX"] ?? "0";
const port = Number(process.env["E2E_PORT"] ?? 4280) + Number(worker);
const ownCopy = (url: string): string => url.replace("/ponderis_e2e", `/ponderis_e2e_${worker}`);
/** What stands above every table, in this worker's database. */
export const superUrl = ownCopy(process.env["DATABASE_SUPER_URL"] ?? "");
/** By name: passkeys belong to one. */
export const address = `http://localhost:${port}`;
let server: ChildProcess | null = null;

const isHealthy = (): Promise<boolean> =>
  fetch(`${address}/api/health`).then(
    ({ ok }) => ok,
    () => false,
  );

async function until(what: string, holds: () => Promise<boolean>): Promise<void> {
  for (let i = 0; i < 120; i++) {
    if (await holds()) return;
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
  throw new Error(`${what} did not happen within 30 s`);
}

/** What the web process knows: not the owner of the tables, nor who stands above it. */
function webEnvironment(): NodeJS.ProcessEnv {
  const { DATABASE_OWNER_URL: _owner, DATABASE_SUPER_URL: _super, DATABASE_URL = "", ...rest } = process.env;
  return { ...rest, DATABASE_URL: ownCopy(DATABASE_URL) };
}

export async function startServer(): Promise<void> {
  if (server) return;
  server = spawn(process.execPath, ["scripts/serve.mjs"], {
    cwd: root,
    detached: true,
    stdio: ["ignore", "ignore", "inherit"],
    env: {
      ...webEnvironment(),
      NODE_ENV: "production",
      PORT: String(port),
      APP_URL: address,
      AUTH_SECRET: "only-for-tests-0123456789abcdef0",
      AUTH_RATE_LIMIT: "off",
      LOG_LEVEL: "error",
    },
  });
  await until("the server's start", isHealthy);
}

/** As if the power went: no farewell. */
export async function killServer(): Promise<void> {
  const { pid } = server ?? {};
  server = null;
  if (pid) process.kill(-pid, "SIGKILL");
  await until("the server's end", async () => !(await isHealthy()));
}

const databaseScript = (command: "start" | "kill"): void => {
  const env = { ...process.env, DB_DIR: `${root}.data/test`, DB_FAST: "1" };
  const { status, stderr } = spawnSync("bash", ["scripts/db.sh", command], { cwd: root, env, encoding: "utf8" });
  if (status !== 0) throw new Error(`database ${command}: ${stderr}`);
};
export const killDatabase = (): void => databaseScript("kill");
export const startDatabase = (): void => databaseScript("start");
