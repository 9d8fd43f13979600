import { randomBytes, randomUUID } from "node:crypto";
import sharp from "sharp";
import { cluster, type Line, pause, type Server, sql } from "./harness";

/** What `npm run faults` asks at the two doors that strangers' devices stand at: a client's phone, and a picture that somebody sends. */

/** A client's link that ended: its phone is told so and keeps what it has, which goes in under the new link; nobody else's tries close a right one. */
export async function phoneWhoseLinkEnded(server: Server): Promise<Line> {
  Object.assign(process.env, cluster.urls());
  const { inStudio, getOrm } = await import("../../src/data/orm");
  const { setPrivateLink } = await import("../../src/data/repos/private-link.repo");
  const { demoId, demoSecret } = await import("../../src/demo/story");
  const scope = { studioId: demoId("quayside"), actorId: "demo-quayside" };
  const clientId = demoId("runa");
  const link = (secret: string | null): Promise<unknown> =>
    inStudio(scope.studioId, (em) =>
      setPrivateLink(scope, em, clientId, "page", secret === null ? null : { secret, untilDay: null, asksYear: false }),
    );
  const entry = () => ({ id: randomUUID(), at: new Date().toISOString(), told: { kind: "task", task: "stairs", level: 1 } });
  const post = async (secret: string, entries: object[]): Promise<{ status: number; received: number; code: string }> => {
    const answer = await fetch(`${server.address}/api/me/${scope.studioId}.${secret}`, {
      method: "POST",
      headers: { "content-type": "application/json", origin: server.address },
      body: JSON.stringify({ entries }),
    });
    const { received = [], code = "" } = (await answer.json()) as { received?: string[]; code?: string };
    return { status: answer.status, received: received.length, code };
  };
  const first = await post(demoSecret("runa"), [entry()]);
  await link(null);
  const unsent = [entry(), entry()];
  const ended = await post(demoSecret("runa"), unsent);
  const secret = randomBytes(32).toString("base64url");
  await link(secret);
  for (let i = 0; i < 40; i++) await post(randomBytes(32).toString("base64url"), [entry()]); // a household that mistypes
  const again = await post(secret, unsent);
  const many = Array.from({ length: 5 }, () => Array.from({ length: 50 }, entry));
  let bounded = 0;
  for (const some of many) bounded += (await post(secret, some)).received;
  await (await getOrm()).close();
  return {
    name: "a client's link that ended, and the next one",
    said: `told "${ended.code}", then ${again.received} of 2 unsent taken; of 250 more in one day ${bounded}`,
    holds: first.received === 1 && ended.code === "link-ended" && ended.received === 0 && again.received === 2 && bounded < 200,
  };
}

/** Twenty large pictures at once: signing in and health stand beside them. */
export async function picturesBesideSignIn(server: Server, cookie: string): Promise<Line> {
  const noise = sharp(randomBytes(4000 * 3000 * 3), { raw: { width: 4000, height: 3000, channels: 3 } });
  const data = await noise.jpeg({ quality: 30 }).toBuffer();
  const [client] = await sql<{ id: string }>(`select client_id as id from client_revision where name = 'Maren Holt' limit 1`);
  const headers = { "content-type": "application/octet-stream", origin: server.address, cookie };
  const send = (i: number) =>
    fetch(`${server.address}/api/letters/${client?.id}/${randomUUID()}?day=2026-11-02&by=${encodeURIComponent(`Dr Lind ${i}`)}`, {
      method: "POST",
      headers,
      body: new Uint8Array(data),
    });
  const timed = async (work: () => Promise<unknown>): Promise<number> => {
    const from = performance.now();
    await work();
    return performance.now() - from;
  };
  const slowest = (all: number[]): number => Math.round(Math.max(...all));
  const aloneMs = slowest([await timed(() => server.signIn()), await timed(() => server.signIn())]);
  const sent = Promise.all(Array.from({ length: 20 }, async (_, i) => (await send(i)).status));
  const [signIns, healths]: [number[], number[]] = [[], []];
  let isOver = false;
  void sent.then(() => (isOver = true));
  while (!isOver) {
    signIns.push(await timed(() => server.signIn()));
    healths.push(await timed(() => server.isWell()));
    await pause(30);
  }
  const unhandled = (await sent).filter((status) => status >= 500 && status !== 503).length;
  const [signInMs, healthMs] = [slowest(signIns), slowest(healths)];
  return {
    name: "twenty pictures of 12 megapixels at once",
    said: `${(data.length / 1e6).toFixed(1)} MB each, ${unhandled} unhandled; signing in ${signInMs} ms (alone ${aloneMs}), health ${healthMs} ms at most, ${signIns.length} times asked`,
    holds: unhandled === 0 && healthMs < 1000 && signInMs < Math.max(1500, 5 * aloneMs) && signIns.length > 1,
  };
}
