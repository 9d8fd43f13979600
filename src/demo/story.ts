import { createHash } from "node:crypto";
import { parseDate, parseDateTime } from "@internationalized/date";
import type { EntityManager } from "@mikro-orm/postgresql";
import { v5 as uuidFromName } from "uuid";
import { variationById } from "../core/catalogue/catalogue";
import { fitVariation } from "../core/progressions/search";
import { type Day, dayAfter } from "../core/day";
import { firstProgramme } from "../core/record/programme/programme";
import { openWarningsOf } from "../core/record/standing/history";
import { currentPlans } from "../core/record/standing/plans";
import { fitContextOf } from "../core/record/standing/context";
import type { ScreenAnswers, ScreenQuestion } from "../core/screen/screen";
import { isTimed, repetitionS } from "../core/dose/dose";
import { CONSENT_VERSION, type HomeTold } from "../core/record/facts/home-told";
import { homeItems } from "../core/record/programme/home";
import { recordCalmPose } from "../steps/calibrate";
import type { Refusal, Taken } from "../core/outcome";
import { answerMorning } from "../steps/morning";
import { chooseSchool } from "../steps/school";
import { keepTrainingPlan } from "../steps/training-plan";
import { decideItem, keepRung } from "../steps/plan";
import { addClearance, addClient, addFinding, addLimit, addScreen, setDailyHeight } from "../data/repos/client.repo";
import { appendFloorEvents } from "../data/repos/floor.repo";
import { startSession } from "../data/repos/plan.repo";
import { loadRecord } from "../data/repos/record.repo";
import { setContact } from "../data/repos/message.repo";
import { setPrivateLink } from "../data/repos/private-link.repo";
import { setKitList } from "../data/repos/studio.repo";
import { takeHomeEntries } from "../steps/home";
import type { Scope } from "../data/scope";
import type { DemoClient } from "./people.data";
import { chanceFrom, morningAfter, sessionEvents, toleratedUse } from "./simulate";

const NAMESPACE = "5d0c5a9e-6f55-4c02-9f0c-3a0f3a6f1b57";
const TRAINER = "Tove Lind";
const WEEKDAY_TUESDAY = 2;
const WEEKDAY_FRIDAY = 5;

export const demoId = (name: string): string => uuidFromName(name, NAMESPACE);
const weekday = (day: Day): number => parseDate(day).toDate("UTC").getUTCDay();

async function recordOf(scope: Scope, em: EntityManager, clientId: string) {
  const record = await loadRecord(scope, em, clientId);
  if (!record) throw new Error(`demo client ${clientId} is missing`);
  return record;
}

async function expectTaken(step: Promise<Taken>): Promise<void> {
  const taken = await step;
  if (!taken.ok) throw new Error(`the demo could not go on: ${JSON.stringify(taken.refusal)}`);
}

const complaintIds = ({ key, complaints }: DemoClient): string[] => complaints.map((_, i) => demoId(`${key} complaint ${i}`));
const painsOf = (person: DemoClient, painScore: number) => complaintIds(person).map((complaintId) => ({ complaintId, painScore }));
const usualOf = ({ complaints }: DemoClient): number => complaints[0]?.usualPainScore ?? 0;

/** The questions before training, as they were answered at the first visit. */
function screenOf(
  { key, conditions, cleared, signs = [], further = {}, notAsked = [] }: DemoClient,
  firstDay: Day,
  today: Day,
): ScreenAnswers {
  const answers: Pick<Required<ScreenAnswers>, ScreenQuestion> = {
    signs: { id: demoId(`${key} signs`), day: firstDay, signs: signs.map(({ sign }) => sign), symptoms: [] },
    conditions: conditions.map(({ day, ...condition }) => ({ ...condition, day: day === null ? null : dayAfter(today, day) })),
    activity: { active: false, monthsActive: 0 },
    clearance: cleared ? { kind: "cleared", ...cleared, day: firstDay } : { kind: "not-asked" },
  };
  return { ...Object.fromEntries(Object.entries(answers).filter(([question]) => !notAsked.some((each) => each === question))), ...further };
}

/** First visit: profile, complaints, limits, the calm poses and the first rung that the fit proposes of each pattern. */
async function firstVisit(scope: Scope, em: EntityManager, person: DemoClient, clientId: string, firstDay: Day, today: Day): Promise<void> {
  const { heightM, massKg, overrides = {}, complaints, key } = person;
  const own = complaints.map((complaint, i) => ({ ...complaint, id: complaintIds(person)[i] ?? "" }));
  await addClient(scope, em, { id: clientId, ...person.profile }, own, { day: firstDay, heightM, massKg, overrides });
  await addScreen(scope, em, clientId, screenOf(person, firstDay, today), firstDay);
  for (const { sign, clearedBy: by, role, note } of person.signs ?? [])
    await addClearance(scope, em, clientId, { sourceId: demoId(`${key} signs`), sign, by, role, note, day: firstDay });
  for (const task of person.day) await setDailyHeight(scope, em, clientId, task, firstDay);
  for (const [i, limit] of person.limits.entries()) {
    const untilDay = limit.untilDay === null ? null : dayAfter(today, limit.untilDay);
    await addLimit(scope, em, clientId, { ...limit, fromDay: dayAfter(today, limit.fromDay), untilDay }, demoId(`${key} limit ${i}`));
  }
  for (const [i, pose] of person.calmPoses.entries())
    await expectTaken(recordCalmPose(scope, em, clientId, { id: demoId(`${key} calm ${i}`), day: firstDay, ...pose }));
  for (const [i, { daysAgo, setUp = {}, ...finding }] of person.findings.entries())
    await addFinding(scope, em, clientId, {
      id: demoId(`${key} finding ${i}`),
      day: dayAfter(today, -daysAgo),
      setUp,
      note: "",
      ...finding,
    });
  if (person.home) await setKitList(scope, em, clientId, person.home, firstDay);
  if (person.school)
    await expectTaken(chooseSchool(scope, em, clientId, { positions: {}, numbers: {}, ...person.school }, TRAINER, firstDay));
  if (person.calmPoses.length === 0) return; // nothing has been trained yet
  const calm = { pains: painsOf(person, usualOf(person)), newSwelling: false, sessionId: null, warningSigns: [] };
  await expectTaken(answerMorning(scope, em, clientId, calm, dayAfter(firstDay, 1)));
  for (const { variationId, side, known } of person.rows) {
    const context = fitContextOf(await recordOf(scope, em, clientId), firstDay, side);
    if (!context) throw new Error("a demo client has no body");
    const variation = variationById(variationId);
    const { setting, state } = fitVariation(context, variation, known);
    const note = state === "not-measured" ? "One light set, watched: nothing of it is measured yet" : "";
    await expectTaken(keepRung(scope, em, clientId, { variationId, side, setting, dose: variation.dose, note }, dayAfter(firstDay, 1)));
  }
}

/** The demo's day, in the studio's own zone. */
interface Now {
  today: Day;
  timeZone: string;
}
const instantAt = (day: Day, at: string, timeZone: string): Date => parseDateTime(`${day}T${at}`).toDate(timeZone);

/** One training day and the morning after it, decided by the same rules as in the studio. */
async function trainingDay(
  scope: Scope,
  em: EntityManager,
  person: DemoClient,
  clientId: string,
  number: number,
  day: Day,
  { today, timeZone }: Now,
): Promise<void> {
  const before = await recordOf(scope, em, clientId);
  if (openWarningsOf(before).length > 0) return;
  const { key } = person;
  const chance = chanceFrom(1000 * person.profile.birthYear + number);
  const sessionId = demoId(`${key} session ${day}`);
  const plans = currentPlans(before);
  const items = plans.map(({ prescription }, i) => ({ prescriptionId: prescription.id, itemId: demoId(`${key} item ${day} ${i}`) }));
  await startSession(scope, em, clientId, { day, sessionId, items });
  let made = 0;
  const newId = (): string => demoId(`${key} ${day} ${made++}`);
  const scripts = plans.map(({ prescription, rung }, i) => ({
    itemId: items[i]?.itemId ?? "",
    dose: prescription.dose,
    setting: rung.setting,
    variation: variationById(rung.variationId),
    strain: (rung.useFraction ?? 0) / toleratedUse(person, number),
    sessionsAtRung: before.sessions.filter((session) => session.items.some(({ prescriptionId }) => prescriptionId === prescription.id))
      .length,
  }));
  const startedAt = instantAt(day, "16:04", timeZone);
  const events = sessionEvents(scripts, { sessionId, newId, baselineScore: usualOf(person) }, startedAt, chance);
  const taken = await appendFloorEvents(scope, em, events, new Date(startedAt.getTime() + 3_600_000));
  if (taken.refused.length > 0) throw new Error("the demo's floor events were refused");
  const morning = dayAfter(day, 1);
  if (morning > today) return;
  const { painScore, newSwelling } = morningAfter(Math.max(...scripts.map(({ strain }) => strain)), usualOf(person), chance);
  await expectTaken(
    answerMorning(scope, em, clientId, { pains: painsOf(person, painScore), newSwelling, sessionId, warningSigns: [] }, morning),
  );
  if (morning === today && person.lastMorningSign) {
    const answer = { pains: painsOf(person, painScore), newSwelling, sessionId, warningSigns: [person.lastMorningSign] };
    await expectTaken(answerMorning(scope, em, clientId, answer, morning));
  }
  if (morning === today) return; // the newest morning waits for the trainer
  for (const { itemId } of items)
    await expectDecided(decideItem(scope, em, clientId, { sessionId, itemId, move: null, note: "" }, morning));
}

/** A proposal that a limit refuses is no accident of the demo: the rules hold there. */
async function expectDecided(step: Promise<{ ok: true } | { ok: false; refusal: Refusal }>): Promise<void> {
  const taken = await step;
  if (!taken.ok) throw new Error(`the demo could not decide: ${JSON.stringify(taken.refusal)}`);
}

/** So long nothing is trained before a session that stands in the programme: as long as any school rests. */
const RESTS_DAYS = 3;
/** Whether a day of the story is one of training: Tuesdays, Fridays, and yesterday; of a client with a session today it ends in time. */
function isTrainingDay(person: DemoClient, day: Day, today: Day): boolean {
  const isUsual = [WEEKDAY_TUESDAY, WEEKDAY_FRIDAY].includes(weekday(day));
  if (person.trainsToday) return isUsual && day < dayAfter(today, -RESTS_DAYS);
  return day === dayAfter(today, -1) || (isUsual && day !== dayAfter(today, -2));
}

/** The programme as Plan would propose it, kept as it is, with a session today. */
async function keepProgramme(scope: Scope, em: EntityManager, clientId: string, today: Day): Promise<void> {
  const record = await recordOf(scope, em, clientId);
  const context = fitContextOf(record, today);
  if (!context) throw new Error("a demo client has no body");
  const plan = firstProgramme(record, context, today);
  if (plan.laid[0]?.day !== today) throw new Error("the demo's programme has no session today");
  await expectTaken(keepTrainingPlan(scope, em, clientId, plan, today));
}

/**
 * One invented client's weeks, by running the studio's own rules forward from the first visit to yesterday. Sessions
 * fall on Tuesdays and Fridays, and on yesterday, so that one morning waits to be looked at.
 */
export async function tellStory(scope: Scope, em: EntityManager, person: DemoClient, now: Now): Promise<void> {
  const { today } = now;
  const clientId = demoId(person.key);
  const firstDay = dayAfter(today, -7 * person.weeks - 2);
  await firstVisit(scope, em, person, clientId, firstDay, today);
  let number = 0;
  for (let day = dayAfter(firstDay, 2); day < today; day = dayAfter(day, 1)) {
    if (isTrainingDay(person, day, today)) await trainingDay(scope, em, person, clientId, number++, day, now);
    em.clear(); // nothing is changed through the unit of work; full, it would be searched for changes at every query
  }
  if (person.trainsToday) await keepProgramme(scope, em, clientId, today);
  if (person.atHome) await tellFromHome(scope, em, person, clientId, now);
}

/** What a client has told from their own page: agreed, how the week's task went, and what was done at home yesterday. */
async function tellFromHome(
  scope: Scope,
  em: EntityManager,
  { key, atHome = [] }: DemoClient,
  clientId: string,
  { today, timeZone }: Now,
): Promise<void> {
  const at = (daysAgo: number, minute = 0): string =>
    instantAt(dayAfter(today, -daysAgo), `08:${String(minute % 60).padStart(2, "0")}`, timeZone).toISOString();
  await setPrivateLink(scope, em, clientId, "page", { secret: demoSecret(key), untilDay: null, asksYear: false });
  await setContact(scope, em, clientId, { channel: "text", address: "+00 555 010", remindAt: null });
  const items =
    homeItems(await recordOf(scope, em, clientId), today)?.items.filter(
      ({ variationId }) => variationById(variationId).often === "several-a-day",
    ) ?? [];
  const told: { daysAgo: number; told: HomeTold }[] = [
    { daysAgo: 7 * atHome.length + 1, told: { kind: "consented", version: CONSENT_VERSION } },
    ...atHome.map((level, i) => ({
      daysAgo: 7 * (atHome.length - i) + 1,
      told: { kind: "task" as const, task: "stairs" as const, level },
    })),
    ...items.flatMap(({ item }) =>
      (item.sides.length > 0 ? item.sides.map(({ side }) => side) : [null]).map((side) => ({
        daysAgo: 1,
        told: {
          kind: "set" as const,
          line: item.id,
          side,
          repetitions: item.dose.repetitionsHigh,
          workedS: isTimed(item.dose) ? repetitionS(item.dose) : null,
          painScore: 1,
          leftInTank: null,
          isSharp: false,
        },
      })),
    ),
  ];
  const entries = told.map((each, i) => ({ id: demoId(`${key} told ${i}`), at: at(each.daysAgo, i), told: each.told }));
  const { refused } = await takeHomeEntries({ ...scope, actorId: "client" }, em, clientId, entries, { today, timeZone });
  if (refused.length > 0) throw new Error(`the demo's client page was refused: ${JSON.stringify(refused)}`);
}
/** The demo's own: a real link's secret is random and known to nobody but whoever has it. */
export const demoSecret = (key: string): string => createHash("sha256").update(`demo page ${key}`).digest("base64url");
