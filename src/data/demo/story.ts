import type { EntityManager } from "@mikro-orm/postgresql";
import { parseDate } from "@internationalized/date";
import { v5 as uuidFromName } from "uuid";
import { currentPlan, DEFAULT_KIT, fitContextOf, fitVariation, type Day, variationById } from "../../core";
import { raiseCeiling, recordCalmPose } from "../loop/calibrate";
import { answerMorning } from "../loop/morning";
import { decideSession, keepRung } from "../loop/plan";
import { addClient, addLimit, setDailyHeight } from "../repos/client.repo";
import { appendFloorEvents } from "../repos/floor.repo";
import { startSession } from "../repos/plan.repo";
import { loadRecord } from "../repos/record.repo";
import type { Scope } from "../scope";
import type { DemoClient } from "./people.data";
import { chanceFrom, morningAfter, sessionEvents, toleratedUse } from "./simulate";

const NAMESPACE = "5d0c5a9e-6f55-4c02-9f0c-3a0f3a6f1b57";
const WEEKDAY_TUESDAY = 2;
const WEEKDAY_FRIDAY = 5;

export const demoId = (name: string): string => uuidFromName(name, NAMESPACE);
const dayPlus = (day: Day, days: number): Day => parseDate(day).add({ days }).toString();
const weekday = (day: Day): number => parseDate(day).toDate("UTC").getUTCDay();

async function recordOf(scope: Scope, em: EntityManager, clientId: string) {
  const record = await loadRecord(scope, em, clientId);
  if (!record) throw new Error(`demo client ${clientId} is missing`);
  return record;
}

/** First visit: profile, limits, the calm seat and the first rung the fit proposes. */
async function firstVisit(scope: Scope, em: EntityManager, person: DemoClient, clientId: string, firstDay: Day, today: Day): Promise<void> {
  const { heightM, massKg, overrides = {} } = person;
  await addClient(scope, em, { id: clientId, ...person.profile }, { day: firstDay, heightM, massKg, overrides });
  for (const task of person.day) await setDailyHeight(scope, em, clientId, task, firstDay);
  for (const [i, limit] of person.limits.entries()) {
    const untilDay = limit.untilDay === null ? null : dayPlus(today, limit.untilDay);
    await addLimit(scope, em, clientId, { ...limit, fromDay: dayPlus(today, limit.fromDay), untilDay }, demoId(`${person.key} limit ${i}`));
  }
  const { side } = person.profile;
  await expectTaken(recordCalmPose(scope, em, clientId, { id: demoId(`${person.key} calm`), day: firstDay, side, ...person.calmPose }));
  const calmMorning = { painScore: person.profile.baselinePainScore, newSwelling: false, sessionId: null, warningSigns: [] };
  await expectTaken(answerMorning(scope, em, clientId, calmMorning, dayPlus(firstDay, 1)));
  const context = fitContextOf(await recordOf(scope, em, clientId), firstDay, DEFAULT_KIT);
  if (!context) throw new Error("a demo client has no body");
  const variation = variationById(person.variationId);
  const { setting } = fitVariation(context, variation, person.known);
  await expectTaken(
    keepRung(
      scope,
      em,
      clientId,
      { variationId: variation.id, setting, dose: variation.dose, note: "" },
      dayPlus(firstDay, 1),
      DEFAULT_KIT,
    ),
  );
}

async function expectTaken(step: Promise<{ ok: true } | { ok: false; refusal: object }>): Promise<void> {
  const taken = await step;
  if (!taken.ok) throw new Error(`the demo could not go on: ${JSON.stringify(taken.refusal)}`);
}

/** One training day and the morning after it, decided by the same rules as in the studio. */
async function trainingDay(scope: Scope, em: EntityManager, person: DemoClient, clientId: string, day: Day, today: Day): Promise<void> {
  const before = await recordOf(scope, em, clientId);
  const plan = currentPlan(before);
  if (!plan) throw new Error("a demo client has no plan");
  const sessionCount = before.sessions.length;
  const chance = chanceFrom(1000 * person.profile.birthYear + sessionCount);
  const strain = (plan.rung.useFraction ?? 0) / toleratedUse(person, sessionCount);
  const here = before.sessions.filter(({ items }) => items[0]?.prescriptionId === plan.prescription.id).length;
  const ids = { sessionId: demoId(`${person.key} session ${day}`), itemId: demoId(`${person.key} item ${day}`) };
  await startSession(scope, em, clientId, { prescriptionId: plan.prescription.id, day, ...ids });
  let made = 0;
  const newId = (): string => demoId(`${person.key} ${day} ${made++}`);
  const script = {
    dose: plan.prescription.dose,
    setting: plan.rung.setting,
    variation: variationById(plan.rung.variationId),
    strain,
    sessionsAtRung: here,
    baselineScore: person.profile.baselinePainScore,
  };
  const startedAt = new Date(`${day}T16:04:00Z`);
  const events = sessionEvents(script, { ...ids, newId }, startedAt, chance);
  const taken = await appendFloorEvents(scope, em, events, new Date(startedAt.getTime() + 3_600_000));
  if (!taken.ok) throw new Error("the demo's floor events were refused");
  const morning = dayPlus(day, 1);
  if (morning > today) return;
  const answer = morningAfter(strain, person.profile.baselinePainScore, chance);
  await expectTaken(answerMorning(scope, em, clientId, { ...answer, sessionId: ids.sessionId, warningSigns: [] }, morning));
  if (morning === today) return; // the newest morning waits for the trainer
  await decideMorning(scope, em, clientId, ids.sessionId, morning);
}

async function decideMorning(scope: Scope, em: EntityManager, clientId: string, sessionId: string, day: Day): Promise<void> {
  await raiseCeiling(scope, em, clientId, day); // refused where no mornings have earned it
  await expectTaken(decideSession(scope, em, clientId, { sessionId, move: null, note: "" }, day, DEFAULT_KIT));
}

/**
 * One invented client's weeks, by running the studio's own rules forward from the first visit to yesterday. Sessions
 * fall on Tuesdays and Fridays, and on yesterday, so that one morning waits to be looked at.
 */
export async function tellStory(scope: Scope, em: EntityManager, person: DemoClient, today: Day): Promise<void> {
  const clientId = demoId(person.key);
  const firstDay = dayPlus(today, -7 * person.weeks - 2);
  await firstVisit(scope, em, person, clientId, firstDay, today);
  for (let day = dayPlus(firstDay, 2); day < today; day = dayPlus(day, 1)) {
    const isYesterday = dayPlus(day, 1) === today;
    const isBeforeYesterday = dayPlus(day, 2) === today;
    if (isYesterday || (!isBeforeYesterday && [WEEKDAY_TUESDAY, WEEKDAY_FRIDAY].includes(weekday(day))))
      await trainingDay(scope, em, person, clientId, day, today);
    em.clear(); // nothing is changed through the unit of work; full, it would be searched for changes at every query
  }
}
