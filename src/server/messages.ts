import "server-only";
import { getOrm, inStudio } from "../data/orm";
import { remindStudio, type WordsFor } from "../steps/remind";
import type { MessageDriver } from "../data/repos/message.repo";
import { log } from "./log";

/** A stand-in for mail and text: nothing leaves this machine. What would have been sent is on the page of messages. */
export const messageDriver: MessageDriver = { send: async () => undefined };

const EVERY_MS = 5 * 60_000;

/** Every client whose hour has come is reminded, once a day however many copies of the server look. */
async function remind(wordsFor: WordsFor): Promise<void> {
  const ids = await (await getOrm()).em.fork().execute<{ id: string }[]>(`select studio_ids() as id`);
  for (const { id: studioId } of ids) {
    const scope = { studioId, actorId: "reminder" };
    const { failedCount } = await remindStudio(scope, (work) => inStudio(studioId, work), messageDriver, wordsFor);
    if (failedCount > 0) log.warn({ step: "remind", studio: studioId, outcome: "failed", failedCount });
  }
}

/** Goes round for as long as this server runs, at once and then again and again. */
export function startReminding(wordsFor: WordsFor): void {
  const round = (): void => void remind(wordsFor).catch(() => log.warn({ step: "remind", outcome: "not-reached" }));
  round();
  setInterval(round, EVERY_MS).unref();
}
