import { now as nowIn, toCalendarDate, toTime, type ZonedDateTime } from "@internationalized/date";
import type { EntityManager } from "@mikro-orm/postgresql";
import { v5 as uuidFromName } from "uuid";
import { homeDay, homeItems, onRestDay, restAtHome } from "../core/record/programme/home";
import type { Day } from "../core/day";
import type { OwnWords } from "../core/studio/message";
import type { ClientRecord } from "../core/record/facts/record";
import { isWritten, markSent, type MessageDriver, ownWords, takeUpDue, toRemind, writeMessage } from "../data/repos/message.repo";
import { loadRecord } from "../data/repos/record.repo";
import { studioOf } from "../data/repos/studio.repo";
import type { Scope } from "../data/scope";

/** Words of a reminder, for a client by a studio, as the studio words it. */
export type WordsFor = (clientName: string, studioName: string, own: OwnWords) => string;
/** One piece of work in a transaction of its own. */
export type InOne = <T>(work: (em: EntityManager) => Promise<T>) => Promise<T>;
const NAMESPACE = "8d3e1f0a-6a77-4a4e-9f2b-6c3b1f2f9a10";

/** Whether there is anything to do at home: never while a sign stands open, and on a rest day only small ones. */
function hasExercises(record: ClientRecord, day: Day): boolean {
  const items = homeItems(record, day)?.items ?? [];
  const open = restAtHome(record, day) === null ? items : onRestDay(items);
  return open.length > 0 && !homeDay(record, day).isClosed;
}

/**
 * Reminds every client of a studio whose hour has come and who has something to do today: once a day, whoever looks. Each is
 * written down, then sent, then marked, in transactions of their own: one that fails holds up no other, and none goes out twice
 * because a later one failed. How many failed: they are tried again in the next round.
 */
export async function remindStudio(
  scope: Scope,
  inOne: InOne,
  driver: MessageDriver,
  wordsFor: WordsFor,
  now?: ZonedDateTime,
): Promise<{ failedCount: number }> {
  let failedCount = 0;
  const tried = async (work: () => Promise<unknown>): Promise<void> => void (await work().catch(() => failedCount++));
  const { day, due } = await inOne(async (em) => {
    const { timeZone, name: studioName } = await studioOf(scope, em);
    const at = now ?? nowIn(timeZone);
    const today = toCalendarDate(at).toString();
    const own = await ownWords(scope, em);
    const clients = await toRemind(scope, em, today, toTime(at).toString().slice(0, 5));
    return { day: today, due: clients.map(({ clientId, name }) => ({ clientId, day: today, words: wordsFor(name, studioName, own) })) };
  });
  const written = new Set<string>();
  for (const each of due) await tried(async () => void written.add((await inOne((em) => writeDue(scope, em, each))) ?? ""));
  for (let next = await inOne((em) => takeUpDue(scope, em)); next; next = await inOne((em) => takeUpDue(scope, em))) {
    const { id, clientId, channel, address, words } = next;
    await tried(async () => {
      // of an earlier round: a sign may have been said since
      if (!written.has(id) && !(await inOne((em) => isAsked(scope, em, clientId, day)))) return;
      await driver.send({ channel, address, words });
      await inOne((em) => markSent(scope, em, id));
    });
  }
  return { failedCount };
}

const isAsked = async (scope: Scope, em: EntityManager, clientId: string, day: Day): Promise<boolean> => {
  const record = await loadRecord(scope, em, clientId);
  return record !== null && hasExercises(record, day);
};

/** The id of what was written now; null where it was before, or there is nothing to remind of. */
async function writeDue(
  scope: Scope,
  em: EntityManager,
  { clientId, day, words }: { clientId: string; day: Day; words: string },
): Promise<string | null> {
  const id = uuidFromName(`${clientId} ${day}`, NAMESPACE);
  if ((await isWritten(scope, em, id)) || !(await isAsked(scope, em, clientId, day))) return null;
  await writeMessage(scope, em, { id, clientId, template: "reminder", words });
  return id;
}
