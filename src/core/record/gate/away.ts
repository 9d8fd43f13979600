import type { Day } from "../../day";
import { type Away, awaySince } from "../../progress/away";
import { isSameLine, type Line } from "../facts/line";
import type { ClientRecord, SessionFact } from "../facts/record";
import { plannedOf } from "../standing/history";

/** How long this client has not trained, as far as it takes something off today. */
export const awayToday = ({ sessions }: Pick<ClientRecord, "sessions">, today: Day): Away | null =>
  awaySince(lastTrainedDay(sessions, today), today);
const lastTrainedDay = (sessions: readonly SessionFact[], today: Day): Day | undefined =>
  sessions
    .filter(({ day, sets }) => day < today && sets.length > 0)
    .map(({ day }) => day)
    .toSorted()
    .at(-1);
/** Whether the gate has given something back for the time away already: the floor does not take it again. */
export const isAwayGiven = (record: ClientRecord, line: Line, today: Day): boolean => {
  const last = lastTrainedDay(record.sessions, today) ?? "";
  return record.decisions.some(({ itemId, rule, day }) => {
    const item = record.sessions.flatMap(({ items }) => items).find(({ id }) => id === itemId);
    const own = item && plannedOf(record, item)?.rung;
    return rule === "time-away" && day > last && own !== undefined && isSameLine(own, line);
  });
};
