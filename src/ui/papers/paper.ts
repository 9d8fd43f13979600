import type { Day } from "../../core/day";
import type { ClientRecord } from "../../core/record/facts/record";
import type { UnitSystem } from "../../core/units";
import type { LetterDocument } from "../letter/letter-pdf";

/** A paper to be drawn, as plain data. */
export type Paper =
  | { kind: "letter"; letter: LetterDocument }
  | { kind: "sheet"; record: ClientRecord; today: Day; units: UnitSystem; isLarge: boolean };
