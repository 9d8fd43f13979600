import { spawn, spawnSync } from "node:child_process";
import { chmodSync, chownSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { cluster, database, Device, freshDemo, lostOf, pause, print, Server, sessions, sql, type Line } from "./harness";

/**
 * npm run deploy: the examples of docs/deploy as they stand, but for ports and paths: a studio behind nginx with TLS and behind
 * PgBouncer in transaction mode, both Debian's, and tablets at work through both. As root: it installs them.
 */
const [TLS_PORT, PLAIN_PORT, POOL_PORT, WEB_PORT] = [4493, 4480, 4632, 4297];
const MOST_CONNECTIONS = 20; // the pool's own, health's among them
const FOLDER = "/var/tmp/ponderis-deploy";
const front = `https://127.0.0.1:${TLS_PORT}`;
process.env["NODE_TLS_REJECT_UNAUTHORIZED"] = "0"; // a certificate of our own
const lines: Line[] = [];
const tell = (name: string, said: string, holds: boolean): void => void lines.push({ name, said, holds });
const run = (command: string, ...args: string[]): string => {
  const { status, stdout, stderr } = spawnSync(command, args, { encoding: "utf8" });
  if (status !== 0) throw new Error(`${command} ${args[0] ?? ""}: ${stderr}`);
  return stdout;
};
/** An example with our own places in it; one that no longer has what is replaced is not the one that was tried. */
function example(name: string, places: Readonly<Record<string, string>>): string {
  return Object.entries(places).reduce(
    (text, [theirs, ours]) => {
      if (!text.includes(theirs)) throw new Error(`docs/deploy/${name} has no "${theirs}"`);
      return text.replaceAll(theirs, ours);
    },
    readFileSync(new URL(`../../docs/deploy/${name}`, import.meta.url), "utf8"),
  );
}

if (!existsSync("/usr/sbin/pgbouncer") || !existsSync("/usr/sbin/nginx"))
  run("apt-get", "install", "-y", "-qq", "--no-install-recommends", "pgbouncer", "nginx-light", "openssl");
rmSync(FOLDER, { recursive: true, force: true });
mkdirSync(FOLDER, { recursive: true });
freshDemo();
const direct = new URL(cluster.urls().DATABASE_URL);

const users = `${FOLDER}/users.txt`;
writeFileSync(users, `"ponderis_app" "${direct.password}"\n`);
writeFileSync(
  `${FOLDER}/pgbouncer.ini`,
  example("pgbouncer.ini", {
    "port=5432 dbname=ponderis\n": `port=${direct.port} dbname=ponderis\n`,
    "listen_port = 6432": `listen_port = ${POOL_PORT}\nunix_socket_dir =\nlogfile = ${FOLDER}/pool.log`,
    "/etc/pgbouncer/users.txt": users,
  }),
);
const [postgresId] = run("id", "-u", "postgres").trim().split("\n").map(Number);
chmodSync(users, 0o600);
for (const path of [FOLDER, users, `${FOLDER}/pgbouncer.ini`]) chownSync(path, postgresId ?? 0, -1);
const pool = spawn("runuser", ["-u", "postgres", "--", "pgbouncer", `${FOLDER}/pgbouncer.ini`], { stdio: "ignore", cwd: "/" });

const [key, certificate] = [`${FOLDER}/key.pem`, `${FOLDER}/cert.pem`];
run(
  "openssl",
  "req",
  "-x509",
  "-newkey",
  "rsa:2048",
  "-nodes",
  "-days",
  "2",
  "-subj",
  "/CN=127.0.0.1",
  "-keyout",
  key,
  "-out",
  certificate,
);
const sites = example("nginx.conf", {
  "listen 443 ssl http2;": `listen 127.0.0.1:${TLS_PORT} ssl http2;`,
  "listen 80;": `listen 127.0.0.1:${PLAIN_PORT};`,
  "server_name studio.example;": "server_name 127.0.0.1;",
  "https://studio.example": front,
  "/etc/letsencrypt/live/studio.example/fullchain.pem": certificate,
  "/etc/letsencrypt/live/studio.example/privkey.pem": key,
  "http://127.0.0.1:4181": `http://127.0.0.1:${WEB_PORT}`,
  "proxy_set_header Host $host;": `proxy_set_header Host 127.0.0.1:${TLS_PORT};`,
});
writeFileSync(
  `${FOLDER}/nginx.conf`,
  `user root; daemon off; pid ${FOLDER}/nginx.pid; error_log ${FOLDER}/nginx.log;\nevents {}\nhttp {\naccess_log off; client_body_temp_path ${FOLDER}/body; proxy_temp_path ${FOLDER}/proxy;\n${sites}}\n`,
);
const nginx = spawn("nginx", ["-c", `${FOLDER}/nginx.conf`], { stdio: "ignore" });

const server = new Server(WEB_PORT);
const pooled = new URL(direct);
pooled.port = String(POOL_PORT);
await server.start({ DATABASE_URL: pooled.href, DATABASE_POOLED: "transaction", APP_URL: front, TRUSTED_PROXIES: "127.0.0.1" });

const ready = await fetch(`${front}/api/ready`);
tell("the studio is ready, through both", `answered ${ready.status}`, ready.status === 200);
const signedIn = await fetch(`${front}/api/auth/sign-in/email`, {
  method: "POST",
  headers: { "content-type": "application/json", origin: front },
  body: JSON.stringify({ email: "trainer@ponderis.example", password: "harbour-scale" }),
});
const cookies = signedIn.headers.getSetCookie();
const cookie = cookies.map((each) => each.split(";")[0]).join("; ");
const isSecure = cookies.length > 0 && cookies.every((each) => /; *secure/i.test(each) && /; *httponly/i.test(each));
tell("signing in sets secure cookies", `${signedIn.status}, ${cookies.length} cookies`, signedIn.ok && isSecure);
const page = await fetch(front, { headers: { cookie }, redirect: "manual" });
tell(
  "the browser is told to keep to TLS",
  page.headers.get("strict-transport-security") ?? "not told",
  page.headers.has("strict-transport-security"),
);
const plain = await fetch(`http://127.0.0.1:${PLAIN_PORT}/clients`, { redirect: "manual" });
tell("plain http leads there", `${plain.status} ${plain.headers.get("location")}`, plain.headers.get("location") === `${front}/clients`);

const clients = await sql<{ id: string }>(
  `select c.id from client c join studio s on s.id = c.studio_id where s.name like 'Studio above%'`,
);
const stations = "handover letter own-page screen assess limits fit plan floor morning review school home-kit".split(" ");
const paths = [
  "/",
  "/clients",
  "/studio",
  "/messages",
  ...clients.flatMap(({ id }) => stations.map((station) => `/clients/${id}/${station}`)),
];
const wrong: string[] = [];
for (let i = 0; i < paths.length; i += 20)
  await Promise.all(
    paths.slice(i, i + 20).map(async (path) => {
      const { status } = await fetch(front + path, { headers: { cookie } }).then(async (answer) => (await answer.text(), answer));
      if (status !== 200) wrong.push(`${path} ${status}`);
    }),
  );
tell(
  "every station of every client, twenty at once",
  `${paths.length} pages, ${wrong.length} not answered ${wrong[0] ?? ""}`,
  wrong.length === 0,
);
const [held] = await sql<{ count: number }>(`select count(*)::int as count from pg_stat_activity where usename = 'ponderis_app'`);
tell(
  "the database has the pool's connections alone",
  `${held?.count} of at most ${MOST_CONNECTIONS}`,
  Number(held?.count) <= MOST_CONNECTIONS,
);

const at = await sessions(8);
const devices = at.map(
  (session) =>
    new Device(
      session,
      () => cookie,
      () => front,
    ),
);
await Promise.all(
  devices.map(async (device) => {
    for (let i = 0; i < 40; i++) {
      device.tapSet();
      void device.send();
      await pause(60);
    }
    await device.sendAll();
  }),
);
const lost = await lostOf(devices);
tell(
  "eight tablets through both",
  `${lost.acknowledged} acknowledged, ${lost.lost} lost, ${lost.doubled} doubled`,
  lost.lost + lost.doubled === 0 && lost.sets === 320,
);

const upload = async (bytes: number): Promise<number> =>
  (
    await fetch(`${front}/api/import`, {
      method: "POST",
      headers: { cookie, origin: front, "content-type": "application/json" },
      body: "x".repeat(bytes),
    })
  ).status;
const [fits, over] = [await upload(47 * 1024 * 1024), await upload(49 * 1024 * 1024)];
tell("an archive of 47 MB is read, one of 49 MB turned away", `answered ${fits} and ${over}`, fits === 400 && over === 413);

server.kill();
nginx.kill("SIGQUIT");
pool.kill("SIGINT");
database.stop();
print("Behind nginx with TLS and PgBouncer in transaction mode", lines);
