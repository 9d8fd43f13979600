import { now as nowIn, toCalendarDate, toTime, type ZonedDateTime } from "@internationalized/date";
import type { EntityManager } from "@mikro-orm/postgresql";
import { v5 as uuidFromName } from "uuid";
import { homeDay, homeItems, onRestDay, restAtHome } from "../core/record/programme/home";
import type { Day } from "../core/day";
import type { OwnWords } from "../core/studio/message";
import type { ClientRecord } from "../core/record/facts/record";
import { type MessageDriver, ownWords, sendMessage, toRemind, wasSent } from "../data/repos/message.repo";
import { loadRecord } from "../data/repos/record.repo";
import { studioOf } from "../data/repos/studio.repo";
import type { Scope } from "../data/scope";

/** Words of a reminder, for a client by a studio, as the studio words it. */
export type WordsFor = (clientName: string, studioName: string, own: OwnWords) => string;
const NAMESPACE = "8d3e1f0a-6a77-4a4e-9f2b-6c3b1f2f9a10";

/** Whether there is anything to do at home: never while a sign stands open, and on a rest day only small ones. */
function hasExercises(record: ClientRecord, day: Day): boolean {
  const items = homeItems(record, day)?.items ?? [];
  const open = restAtHome(record, day) === null ? items : onRestDay(items);
  return open.length > 0 && !homeDay(record, day).isClosed;
}

/** Reminds every client of a studio whose hour has come and who has something to do today: once a day, whoever looks. */
export async function remindStudio(
  scope: Scope,
  em: EntityManager,
  driver: MessageDriver,
  wordsFor: WordsFor,
  now?: ZonedDateTime,
): Promise<void> {
  const { studioId } = scope;
  await em.execute(`select pg_advisory_xact_lock(hashtextextended(?, 3))`, [studioId]);
  const { timeZone, name: studioName } = await studioOf(scope, em);
  const at = now ?? nowIn(timeZone);
  const day = toCalendarDate(at).toString();
  const own = await ownWords(scope, em);
  for (const { clientId, name } of await toRemind(scope, em, day, toTime(at).toString().slice(0, 5))) {
    const id = uuidFromName(`${clientId} ${day}`, NAMESPACE);
    const record = (await wasSent(scope, em, id)) ? null : await loadRecord(scope, em, clientId);
    if (!record || !hasExercises(record, day)) continue;
    const message = {
      id,
      clientId,
      template: "reminder" as const,
      words: wordsFor(name, studioName, own),
      link: null,
    };
    await sendMessage(scope, em, driver, message);
  }
}
