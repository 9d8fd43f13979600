import { type EntityManager, type MikroORM } from "@mikro-orm/postgresql";
import { v5 as uuidFromName } from "uuid";
import { variationById } from "../core/catalogue/catalogue";
import { DEFAULT_KIT } from "../core/fit/context";
import { fitVariation } from "../core/fit/search";
import { fitContextOf } from "../core/record/derive";
import { recordCalmPose } from "./loop/calibrate";
import { answerMorning } from "./loop/morning";
import { keepRung, openSession } from "./loop/plan";
import { StudioRow } from "./entities";
import { openOrm, openOwnerOrm } from "./orm";
import { addClient } from "./repos/client.repo";
import { loadRecord } from "./repos/record.repo";
import type { Scope } from "./scope";

const idOf = (name: string): string => uuidFromName(name, "0d1f9f4e-31d1-44fb-8f1f-4f2a4f9b6d11");

/** Studios of the tests: each test makes its own, so that none sees another's rows. */
let made = 0;

export interface TestStudio {
  scope: Scope;
  clientId: string;
}

/** A migrated test database, on the application's role. */
export async function openTestDatabase(): Promise<MikroORM> {
  const owner = await openOwnerOrm();
  await owner.getMigrator().up();
  await owner.close();
  return openOrm();
}

export const inTest = <T>(orm: MikroORM, work: (em: EntityManager) => Promise<T>): Promise<T> => orm.em.fork().transactional(work);

/** A studio with one client: a sore right knee, calm on a 58 cm seat the morning after. */
export async function makeStudio(orm: MikroORM): Promise<TestStudio> {
  const name = `${process.pid} ${Date.now()} ${made++}`;
  const scope = { studioId: idOf(`studio ${name}`), actorId: "trainer" };
  const clientId = idOf(`client ${name}`);
  await inTest(orm, async (em) => {
    await em.insert(StudioRow, { id: scope.studioId, name, timeZone: "Europe/Copenhagen" });
    const profile = {
      name: "Test Client",
      birthYear: 1965,
      sex: "female",
      goal: "",
      complaint: "right kneecap",
      side: "right",
      baselinePainScore: 2,
      painLimitScore: 3,
    } as const;
    await addClient(scope, em, { id: clientId, ...profile }, { day: "2026-10-01", heightM: 1.68, massKg: 74 });
  });
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
  await inTest(orm, (em) => recordCalmPose(scope, em, clientId, pose));
  await inTest(orm, (em) =>
    answerMorning(scope, em, clientId, { painScore: 2, newSwelling: false, sessionId: null, warningSigns: [] }, "2026-10-02"),
  );
  return { scope, clientId };
}

/** The fitted rung kept, and a session of it opened. */
export async function openTestSession(
  orm: MikroORM,
  { scope, clientId }: TestStudio,
  day = "2026-10-06",
): Promise<{ sessionId: string; itemId: string }> {
  const variation = variationById("box-squat-pole");
  await inTest(orm, async (em) => {
    const record = await loadRecord(scope, em, clientId);
    const context = record && fitContextOf(record, day, DEFAULT_KIT);
    if (!context) throw new Error("no context");
    const { setting } = fitVariation(context, variation);
    return keepRung(scope, em, clientId, { variationId: variation.id, setting, dose: variation.dose, note: "" }, day, DEFAULT_KIT);
  });
  const opened = await inTest(orm, (em) => openSession(scope, em, clientId, day));
  if (!opened.ok) throw new Error(opened.refusal.code);
  const record = await inTest(orm, (em) => loadRecord(scope, em, clientId));
  const itemId = record?.sessions.at(-1)?.items[0]?.id;
  if (!itemId) throw new Error("no item");
  return { sessionId: opened.sessionId, itemId };
}
