import { rangeOf } from "../templates/form";
import type { Subject } from "../templates/template";
import { variationById } from "./catalogue";

const RAISED = "raised-sit-to-stand";
/** Rows a calm seat can be kept as: the first that has the height in its range on this body. */
const SEAT_ROWS = [RAISED, "very-high-sit-to-stand", "plain-chair-sit-to-stand"] as const;
export const calmSeatRow = (subject: Subject, heightM: number): string =>
  SEAT_ROWS.find((id) => {
    const range = rangeOf(subject, variationById(id), "seatHeightM");
    return range && heightM >= range.min - 1e-9 && heightM <= range.max + 1e-9;
  }) ?? RAISED;
