import { today as todayIn } from "@internationalized/date";
import { hashPassword } from "better-auth/crypto";
import { MemberRow, StudioRow } from "../entities";
import { getOrm, inTransaction, openOwnerOrm } from "../orm";
import { addBand } from "../repos/client.repo";
import { DEMO_BANDS, DEMO_CLIENTS } from "./people.data";
import { demoId, tellStory } from "./story";

const TIME_ZONE = "Europe/Copenhagen";
const STUDIOS = [
  { key: "quayside", name: "Studio above the chandlery", email: "trainer@ponderis.example", trainer: "Tove Lind", clients: DEMO_CLIENTS },
  {
    key: "inland",
    name: "Millpond studio",
    email: "other@ponderis.example",
    trainer: "Joss Hale",
    clients: DEMO_CLIENTS.slice(1, 2).map((c) => ({ ...c, key: "inland-client" })),
  },
];

/** Users belong to the sign-in library's tables, which have no entities here: written in its own form. */
async function addUser(id: string, email: string, name: string): Promise<void> {
  const owner = await openOwnerOrm();
  const now = new Date();
  const password = await hashPassword("harbour-scale");
  const connection = owner.em.getConnection();
  await connection.execute(`insert into "user" (id, name, email, "emailVerified", "updatedAt") values (?, ?, ?, true, ?)`, [
    id,
    name,
    email,
    now,
  ]);
  await connection.execute(
    `insert into "account" (id, "accountId", "providerId", "userId", password, "updatedAt") values (?, ?, 'credential', ?, ?, ?)`,
    [`${id}-password`, id, id, password, now],
  );
  await owner.close();
}

/** The member is written last: a studio without one is a seeding that was cut short. */
async function seed(): Promise<string> {
  const em = (await getOrm()).em.fork();
  if (await em.findOne(MemberRow, { studioId: demoId("quayside") })) return "kept";
  if (await em.findOne(StudioRow, { id: demoId("quayside") }))
    throw new Error("The demo data was cut short last time. Start it over: npm run demo -- --reset");
  const today = todayIn(TIME_ZONE).toString();
  for (const { key, name } of STUDIOS) await em.insert(StudioRow, { id: demoId(key), name, timeZone: TIME_ZONE });
  for (const band of DEMO_BANDS) await addBand({ studioId: demoId("quayside"), actorId: "demo-quayside" }, em, band, today);
  const stories = STUDIOS.flatMap(({ key, clients }) =>
    clients.map((person) => ({ person, scope: { studioId: demoId(key), actorId: `demo-${key}` } })),
  );
  await Promise.all(stories.map(({ person, scope }) => inTransaction((own) => tellStory(scope, own, person, today))));
  for (const { key, email, trainer } of STUDIOS) {
    await addUser(`demo-${key}`, email, trainer);
    await em.insert(MemberRow, { studioId: demoId(key), userId: `demo-${key}`, name: trainer, role: "lead", unitSystem: "metric" });
  }
  return `${DEMO_CLIENTS.length} clients`;
}

console.log(await seed());
await (await getOrm()).close();
