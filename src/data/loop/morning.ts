import type { EntityManager } from "@mikro-orm/postgresql";
import { type Day, type Morning, morningClass, usualScoreOn } from "../../core";
import { recordMorning } from "../repos/plan.repo";
import type { Scope } from "../scope";
import { refuse, type Taken, withRecord } from "./load";

/** The morning after: classed against this client's usual, and kept with the rule's own figures. */
export const answerMorning = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { sessionId, ...morning }: Morning & { sessionId: string | null; warningSigns: string[] },
  day: Day,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const session = record.sessions.find(({ id }) => id === sessionId);
    if (sessionId !== null && !session) return refuse({ code: "no-such-session" });
    if (session && !(day > session.day)) return refuse({ code: "morning-too-early" });
    const usualScore = usualScoreOn(record, day);
    await recordMorning(scope, em, clientId, { ...morning, sessionId, day, usualScore, class: morningClass(morning, usualScore) });
    return { ok: true };
  });
