import type { ClientRecord } from "../core/record/facts/record";
import { type EntityManager, type MikroORM } from "@mikro-orm/postgresql";
import { v5 as uuidFromName } from "uuid";
import { variationById } from "../core/catalogue/catalogue";
import { fitVariation } from "../core/progressions/search";
import type { ScreenAnswers } from "../core/screen/screen";
import { fitContextOf } from "../core/record/standing/context";
import { recordCalmPose } from "./calibrate";
import { answerMorning } from "./morning";
import { keepRung, openSession } from "./plan";
import { StudioRow } from "../data/tables/entities";
import { inStudio, openOrm, openOwnerOrm } from "../data/orm";
import { addClient, addScreen } from "../data/repos/client.repo";
import { loadRecord } from "../data/repos/record.repo";
import type { Scope } from "../data/scope";
import { upgrade } from "../data/upgrade";

const idOf = (name: string): string => uuidFromName(name, "0d1f9f4e-31d1-44fb-8f1f-4f2a4f9b6d11");

/** Studios of the tests: each test makes its own, so that none sees another's rows. */
let made = 0;

export interface TestStudio {
  scope: Scope;
  clientId: string;
  complaintId: string;
}

/** A migrated test database, on the application's role. */
export async function openTestDatabase(): Promise<MikroORM> {
  await upgrade();
  return openOrm();
}

export const inTest = <T>(orm: MikroORM, scope: Scope, work: (em: EntityManager) => Promise<T>): Promise<T> =>
  inStudio(scope.studioId, work, orm);

/** Studios are made by their owner: the application may not. */
async function addStudio(scope: Scope, name: string): Promise<void> {
  const owner = await openOwnerOrm();
  await owner.em.fork().insert(StudioRow, { id: scope.studioId, name, timeZone: "Europe/Copenhagen" });
  await owner.close();
}

export const SORE = { site: "kneecap", side: "right", words: "right kneecap", usualPainScore: 2, painLimitScore: 3 } as const;

/** A studio with one client: a sore right knee, calm on a 58 cm seat the morning after. */
export async function makeStudio(orm: MikroORM): Promise<TestStudio> {
  const name = `${process.pid} ${Date.now()} ${made++}`;
  const scope = { studioId: idOf(`studio ${name}`), actorId: "trainer" };
  const clientId = idOf(`client ${name}`);
  const complaintId = idOf(`complaint ${name}`);
  await addStudio(scope, name);
  const profile = {
    id: clientId,
    name: "Test Client",
    birthYear: 1965,
    sex: "female",
    goal: "",
    archivedDay: null,
  } as const;
  await inTest(orm, scope, (em) =>
    addClient(scope, em, profile, [{ id: complaintId, ...SORE }], { day: "2026-10-01", heightM: 1.68, massKg: 74 }),
  );
  const screen: ScreenAnswers = {
    signs: { id: idOf(`signs ${name}`), day: "2026-10-01", signs: [], symptoms: [] },
    conditions: [],
    activity: { active: true, monthsActive: 24 },
    clearance: { kind: "not-asked" },
  };
  await inTest(orm, scope, (em) => addScreen(scope, em, clientId, screen, "2026-10-01"));
  const pose = {
    id: idOf(`calm ${name}`),
    day: "2026-10-01",
    side: "right",
    limitedBy: "kneecap",
    variationId: "raised-sit-to-stand",
    setting: { seatHeightM: 0.58 },
    shareFraction: 0.5,
    shankLeanDeg: 26,
    trunkLeanDeg: null,
  } as const;
  await inTest(orm, scope, (em) => recordCalmPose(scope, em, clientId, pose));
  const morning = { pains: [{ complaintId, painScore: 2 }], newSwelling: false, sessionId: null, warningSigns: [] };
  await inTest(orm, scope, (em) => answerMorning(scope, em, clientId, morning, "2026-10-02"));
  return { scope, clientId, complaintId };
}

/** The fitted rung kept, and a session of it opened. */
export async function openTestSession(
  orm: MikroORM,
  { scope, clientId }: TestStudio,
  day = "2026-10-06",
): Promise<{ sessionId: string; itemId: string }> {
  const variation = variationById("box-squat-pole");
  await inTest(orm, scope, async (em) => {
    const record = await loadRecord(scope, em, clientId);
    const context = record && fitContextOf(record, day);
    if (!context) throw new Error("no context");
    const { setting } = fitVariation(context, variation);
    return keepRung(scope, em, clientId, { variationId: variation.id, side: "right", setting, dose: variation.dose, note: "fitted" }, day);
  });
  const opened = await inTest(orm, scope, (em) => openSession(scope, em, clientId, day));
  if (!opened.ok) throw new Error(opened.refusal.code);
  const record = await inTest(orm, scope, (em) => loadRecord(scope, em, clientId));
  const itemId = record?.sessions.at(-1)?.items[0]?.id;
  if (!itemId) throw new Error("no item");
  return { sessionId: opened.sessionId, itemId };
}

/** A client's record as the pages read it. */
export async function recordOf(orm: MikroORM, { scope, clientId }: TestStudio, sessionCount?: number): Promise<ClientRecord> {
  const record = await inTest(orm, scope, (em) => loadRecord(scope, em, clientId, sessionCount));
  if (!record) throw new Error("no record");
  return record;
}
