import { variationById } from "../../core/catalogue/catalogue";
import { plannedOf, responseTo } from "../../core/record/standing/history";
import type { ClientRecord } from "../../core/record/facts/record";
import { LEVER_IDS, LEVERS } from "../../core/templates/lever";

/** Columns of the session log: SI units, in their names. */
const LEVER_COLUMNS = LEVER_IDS.filter((lever) => ["range", "support", "load"].includes(LEVERS[lever].kind));
export const LOG_HEADER = [
  "day",
  "place",
  "exercise",
  "code",
  "side",
  "set",
  "repetitions",
  "workedS",
  "pain",
  "leftInTank",
  "faults",
  "endedBy",
  ...LEVER_COLUMNS,
  "morning",
  "morningPain",
  "decision",
] as const;

/** One line for each set, the oldest first. */
export const logRows = (record: ClientRecord): (string | number | null)[][] =>
  record.sessions.flatMap((session) => {
    const answer = responseTo(record, session);
    return session.sets.map((set) => {
      const item = session.items.find(({ id }) => id === set.itemId);
      const rung = item && plannedOf(record, item)?.rung;
      const row = rung && variationById(rung.variationId);
      const number = session.sets.filter((each) => each.itemId === set.itemId).indexOf(set) + 1;
      return [
        session.day,
        session.place,
        row?.name ?? "",
        row?.code ?? "",
        rung?.side ?? "",
        number,
        set.repetitions,
        set.workedS,
        set.painScore,
        set.leftInTank,
        set.faults.join("; "),
        set.endedBy,
        ...LEVER_COLUMNS.map((lever) => set.setting[lever] ?? null),
        answer?.class ?? "",
        answer?.painScore ?? null,
        record.decisions.find(({ itemId }) => itemId === set.itemId)?.move ?? "",
      ];
    });
  });
