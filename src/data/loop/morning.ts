import type { EntityManager } from "@mikro-orm/postgresql";
import type { Day } from "../../core/day";
import { type Morning, morningClass, worstClass } from "../../core/progress/morning";
import { fitContextOf, usualScoreOn } from "../../core/record/derive";
import { isCeilingProvisional } from "../../core/record/history";
import type { ClientRecord, ResponseFact } from "../../core/record/record";
import { confirmCeiling } from "../repos/client.repo";
import { recordMorning } from "../repos/plan.repo";
import { loadRecord } from "../repos/record.repo";
import type { Scope } from "../scope";
import { refuse, type Taken, withRecord } from "./load";

/** Every complaint against its own usual; the one that answered worst speaks for the morning. */
function classed(
  record: ClientRecord,
  { pains, newSwelling }: Morning,
  day: Day,
): Pick<ResponseFact, "painScore" | "usualScore" | "class"> {
  const each = pains.map(({ complaintId, painScore }) => {
    const usualScore = usualScoreOn(record, complaintId, day);
    return { painScore, usualScore, class: morningClass(painScore, newSwelling, usualScore) };
  });
  const worst = each.toSorted((a, b) => b.painScore - b.usualScore - (a.painScore - a.usualScore))[0];
  if (!worst) return { painScore: 0, usualScore: 0, class: newSwelling ? "flare" : "calm" };
  return { ...worst, class: worstClass(each.map((answer) => answer.class)) };
}

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
    const answer = { ...morning, warningSigns, sessionId, day: answeredDay, ...classed(record, morning, answeredDay) };
    await recordMorning(scope, em, clientId, answer);
    if (answer.class === "calm" && !morning.underRelief) await confirmCeilings(scope, em, clientId, answeredDay);
    return { ok: true };
  });

/** Ceilings that this calm morning has taken out of being provisional. */
async function confirmCeilings(scope: Scope, em: EntityManager, clientId: string, day: Day): Promise<void> {
  const record = await loadRecord(scope, em, clientId);
  const context = record && fitContextOf(record, day);
  if (!context) return;
  for (const ceiling of context.ceilings) {
    const isNew = ceiling.source.kind !== "history" && !record.confirmedCeilingIds.includes(ceiling.id);
    if (isNew && !isCeilingProvisional(record, context.subject, ceiling)) await confirmCeiling(scope, em, clientId, ceiling.id, day);
  }
}
