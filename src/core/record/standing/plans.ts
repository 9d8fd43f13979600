import type { Pattern } from "../../catalogue/variation";
import type { Side } from "../../mechanics/channels";
import { oncePer } from "../../once";
import { type Line, lineKey } from "../facts/line";
import type { ClientRecord, PrescriptionFact, RungFact } from "../facts/record";
import { plannedOf } from "./history";

/** A prescription in force, and the rung it is for. */
export interface Plan {
  prescription: PrescriptionFact;
  rung: RungFact;
}
const latestByLine = oncePer((record: ClientRecord): ReadonlyMap<string, Plan> => {
  const latest = new Map<string, Plan>();
  for (const prescription of record.prescriptions) {
    const planned = plannedOf(record, { prescriptionId: prescription.id });
    if (planned) latest.set(lineKey(planned.rung), planned);
  }
  return latest;
});
/** The plans in force: the latest of each pattern and side, so that keeping a hinge does not erase the squat. */
export const currentPlans = (record: ClientRecord): Plan[] => [...latestByLine(record).values()].filter(({ rung }) => rung.line === null);
/** The plan in force of one line of work. */
export const planInLine = (record: ClientRecord, line: Line): Plan | null => latestByLine(record).get(lineKey(line)) ?? null;
export const planOf = (record: ClientRecord, pattern: Pattern, side?: Side): Plan | null =>
  currentPlans(record).findLast(({ rung }) => rung.pattern === pattern && (side === undefined || rung.side === side)) ?? null;
