import type { EntityManager } from "@mikro-orm/postgresql";
import type { Day } from "../core/day";
import { classedMorning, type Morning } from "../core/progress/morning";
import { ceilingsConfirmed, usualScoreOn } from "../core/record/standing/history";
import { fitContextOf } from "../core/record/standing/context";
import { confirmCeiling } from "../data/repos/client.repo";
import { recordMorning } from "../data/repos/plan.repo";
import { loadRecord } from "../data/repos/record.repo";
import type { Scope } from "../data/scope";
import { withRecord } from "./with-record";
import { refuse, type Taken } from "../core/outcome";

/** The morning after: classed against this client's usual, and kept with the rule's own figures. Answered again, it is corrected. */
export const answerMorning = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { sessionId, warningSigns, ...morning }: Morning & { sessionId: string | null; warningSigns: readonly string[] },
  day: Day,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const session = record.sessions.find(({ id }) => id === sessionId);
    if (sessionId !== null && !session) return refuse({ code: "no-such-session" });
    if (session && !(day > session.day)) return refuse({ code: "morning-too-early" });
    const isSaid = record.complaints.every(({ id }) => morning.pains.some(({ complaintId }) => complaintId === id));
    if (!isSaid) return refuse({ code: "pain-missing" });
    const answeredDay = record.responses.findLast((response) => sessionId !== null && response.sessionId === sessionId)?.day ?? day;
    const answers = morning.pains.map(({ complaintId, painScore }) => ({
      painScore,
      usualScore: usualScoreOn(record, complaintId, answeredDay),
    }));
    const classed = classedMorning(answers, { newSwelling: morning.newSwelling, hasSign: warningSigns.length > 0 });
    await recordMorning(scope, em, clientId, { ...morning, warningSigns, sessionId, day: answeredDay, ...classed });
    await confirmCeilings(scope, em, clientId, answeredDay);
    return { ok: true };
  });

/** Ceilings that what is known now has taken out of being provisional are written down as confirmed. */
async function confirmCeilings(scope: Scope, em: EntityManager, clientId: string, day: Day): Promise<void> {
  const record = await loadRecord(scope, em, clientId);
  const context = record && fitContextOf(record, day);
  if (!context) return;
  for (const { id } of ceilingsConfirmed(record, context)) await confirmCeiling(scope, em, clientId, id, day);
}
