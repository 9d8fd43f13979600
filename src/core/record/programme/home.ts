import type { ClientRecord, HomeSet, ResponseFact, SessionFact } from "../facts/record";
import { variationById } from "../../catalogue/catalogue";
import type { Dose } from "../../catalogue/variation";
import { type Day, dayAfter } from "../../day";
import type { FitContext, Place } from "../../judge/context";
import type { Side } from "../../mechanics/channels";
import { waiting, type SessionItem } from "../../session/session";
import { rulesOf } from "../../session/plan";
import { sheetFor, type SheetItem } from "../../session/sheet";
import { type DayRefusal, refusalOn } from "../../week/week";
import { openWarningsOf, trainedDays, usualScoreOn } from "../standing/history";
import { fitContextOf } from "../standing/context";
import { asItStands, programmeNow } from "./programme";
import type { HomeTask, HomeTold, TaskTold } from "../facts/home-told";
import { schoolIn } from "../standing/approach";

/** The line of work that an exercise of the sheet is at home. */
export const homeLine = (itemId: string): string => `home ${itemId}`;

/** The sheet as it stands: set up from what is at home, and where the gate has decided about it since, as it decided. */
export function homeItems(
  record: ClientRecord,
  today: Day,
): { context: FitContext; items: SheetItem[]; leftOut: SessionItem[]; waits: SessionItem[] } | null {
  const plan = programmeNow(record);
  const context = fitContextOf(record, today, undefined, "home");
  if (!plan || !context) return null;
  const waits = waiting(plan.items, context.calmRows);
  const open = plan.items.filter((item) => !waits.includes(item));
  const standing = asItStands(record, open, plan, ({ id }) => homeLine(id));
  return { context, ...sheetFor(context, standing), waits };
}

/** What a client may be told and asked today. */
export interface HomeDay {
  isClosed: boolean;
  /** The session that this morning answers, where there is one; null while none is asked about. */
  asked: { session: SessionFact | null; since: Day } | null;
  /** Asked again a week after it was last told. */
  task: { task: HomeTask; isDue: boolean };
  trend: TaskTold[];
}
const ASKED_FOR_DAYS = 3;
const TASK_EVERY_DAYS = 7;

const taskOf = ({ screen }: Pick<ClientRecord, "screen">): HomeTask => {
  const first = screen.goals?.find(({ task }) => task === "stairs" || task === "rise" || task === "walk")?.task;
  return first === "walk" ? "walk" : first === "rise" ? "chair" : "stairs";
};

export function homeDay(record: ClientRecord, today: Day): HomeDay {
  const { sessions, responses, homeSets, tasksTold } = record;
  const task = taskOf(record);
  const trend = tasksTold.filter((each) => each.task === task);
  const [last, lastSet] = [
    sessions.findLast(({ day, sets }) => day < today && sets.length > 0),
    homeSets.findLast(({ day }) => day < today),
  ];
  const since = [last?.day ?? "", lastSet?.day ?? ""].toSorted().at(-1) ?? "";
  const isTold = responses.some(({ day, sessionId }) => day > since || (last?.day === since && sessionId === last.id));
  const isAsked = since !== "" && since >= dayAfter(today, -ASKED_FOR_DAYS) && !isTold;
  return {
    isClosed: openWarningsOf(record).length > 0,
    asked: isAsked ? { session: last?.day === since ? last : null, since } : null,
    task: { task, isDue: !trend.some(({ day }) => day > dayAfter(today, -TASK_EVERY_DAYS)) },
    trend,
  };
}

const SMALL = ["daily", "several-a-day"];
/** Whether a row is of the small ones that are done on any day. */
const isSmall = (variationId: string): boolean => SMALL.includes(variationById(variationId).often);

/** Why today is a rest day at home, as the plan's own rest rule says it: then only the small ones are done. Null where it is none. */
export function restAtHome(record: ClientRecord, today: Day): DayRefusal | null {
  const plan = record.trainingPlan;
  if (!plan) return null;
  const atHome = record.homeSets.filter(({ day, place }) => day < today && !isSmall(place.variationId)).map(({ day }) => day);
  const rules = rulesOf({ ...plan, weekdays: EVERY_DAY }, schoolIn(record), [...new Set([...trainedDays(record), ...atHome])]);
  return refusalOn(
    today,
    { id: "at home", often: plan.often },
    plan.laid.filter(({ day }) => day > today),
    rules,
  );
}
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];

/** What of the sheet is done on a rest day: the small ones alone. */
export const onRestDay = (items: readonly SheetItem[]): SheetItem[] => items.filter(({ variationId }) => isSmall(variationId));

/** Pain in numbers from how a client says it: as far above that complaint's usual as the word stands for, at most 10. */
export const painsFrom = (
  record: ClientRecord,
  answers: Extract<HomeTold, { kind: "morning" }>["answers"],
  day: Day,
): ResponseFact["pains"] =>
  answers.map(({ complaintId, than }) => ({
    complaintId,
    painScore: Math.min(10, Math.ceil(usualScoreOn(record, complaintId, day)) + than),
  }));

const MORNING_WAITED_DAYS = 2;
/** The answer to the morning after a day, where it was told for no session: at most two days later. */
export const morningAfterHome = ({ responses }: Pick<ClientRecord, "responses">, day: Day): ResponseFact | null =>
  responses.find((each) => each.day > day && each.day <= dayAfter(day, MORNING_WAITED_DAYS)) ?? null;
/** Whether the morning after a day at home was told, or is waited for no longer. */
export const isMorningSettled = (record: Pick<ClientRecord, "responses">, day: Day, today: Day): boolean =>
  morningAfterHome(record, day) !== null || day < dayAfter(today, -MORNING_WAITED_DAYS);

/** What was done at home and is looked at now, a day at a time, and of each day one exercise and side at a time. */
export function lookedAt(homeSets: readonly HomeSet[], entryIds: readonly string[]): { day: Day; items: HomeSet[][] }[] {
  const sets = homeSets.filter(({ id, isLooked }) => !isLooked && entryIds.includes(id));
  const days = new Map<Day, Map<string, HomeSet[]>>();
  for (const set of sets.toSorted((a, b) => a.day.localeCompare(b.day))) {
    const ofDay = days.get(set.day) ?? new Map<string, HomeSet[]>();
    const key = `${set.line} ${set.side ?? ""}`;
    days.set(set.day, ofDay.set(key, [...(ofDay.get(key) ?? []), set]));
  }
  return [...days].map(([day, ofDay]) => ({ day, items: [...ofDay.values()] }));
}

/** The set the sheet has for a line and side: what a phone says of it is not taken on trust. */
export function plannedAtHome(
  record: ClientRecord,
  today: Day,
  line: string,
  side: Side | null,
): { place: Place; dose: Dose; side: Side } | null {
  const found = homeItems(record, today);
  const sheet = found?.items.find(({ item }) => item.id === line);
  if (!found || !sheet) return null;
  const { variationId, setting, item } = sheet;
  if (side === null || item.sides.length === 0)
    return { place: { variationId, setting }, dose: item.dose, side: side ?? found.context.subject.leadSide };
  const own = item.sides.find((each) => each.side === side);
  if (!own) return null;
  const dose = {
    ...item.dose,
    setCount: own.setCount,
    repetitionsHigh: own.repetitions,
    repetitionsLow: Math.min(item.dose.repetitionsLow, own.repetitions),
  };
  return { place: own.place ?? { variationId, setting }, dose, side };
}
