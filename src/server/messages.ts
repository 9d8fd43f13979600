import "server-only";
import { today as todayIn, now as nowIn } from "@internationalized/date";
import { v5 as uuidFromName } from "uuid";
import { getOrm, inStudio } from "../data/orm";
import { type MessageDriver, sendMessage, toRemind } from "../data/repos/message.repo";
import { studioOf } from "../data/repos/studio.repo";
import { log } from "./log";

/** A stand-in for mail and text: nothing leaves this machine. What would have been sent is on the page of messages. */
export const messageDriver: MessageDriver = { send: async () => undefined };

const EVERY_MS = 5 * 60_000;
const NAMESPACE = "8d3e1f0a-6a77-4a4e-9f2b-6c3b1f2f9a10";

/** Words of a reminder, for a client by a studio. */
type WordsFor = (clientName: string, studioName: string) => string;

/** Every client whose hour has come is reminded, once a day however many copies of the server look. */
export async function remind(wordsFor: WordsFor): Promise<number> {
  const ids = await (await getOrm()).em.fork().execute<{ id: string }[]>(`select studio_ids() as id`);
  let sent = 0;
  for (const { id: studioId } of ids) {
    const scope = { studioId, actorId: "reminder" };
    await inStudio(studioId, async (em) => {
      const [lock] = await em.execute<{ is: boolean }[]>(`select pg_try_advisory_xact_lock(hashtextextended(?, 3)) as is`, [studioId]);
      if (!lock?.is) return;
      const { timeZone, name: studioName } = await studioOf(scope, em);
      const day = todayIn(timeZone).toString();
      const hour = nowIn(timeZone).toString().slice(11, 16);
      for (const { clientId, name } of await toRemind(scope, em, day, hour)) {
        const words = wordsFor(name, studioName);
        const taken = await sendMessage(scope, em, messageDriver, {
          id: uuidFromName(`${clientId} ${day}`, NAMESPACE),
          clientId,
          template: "reminder",
          words,
          link: null,
        });
        if (taken.ok) sent++;
      }
    });
  }
  return sent;
}

/** Goes round for as long as this server runs. */
export function startReminding(wordsFor: WordsFor): void {
  const round = (): void => void remind(wordsFor).catch(() => log.warn({ step: "remind", outcome: "not-reached" }));
  setInterval(round, EVERY_MS).unref();
}
