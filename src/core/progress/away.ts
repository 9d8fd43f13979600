import { type Day, daysBetween } from "../day";

/** Days without training after which a set, and then a rung, is given back. ◊ */
export const AWAY_DAYS = { setFewer: 14, rungLower: 28 } as const;
/** What a time away takes off today: one set fewer of everything, or one step easier and the calm pose measured again. */
export interface Away {
  days: number;
  step: "set-fewer" | "rung-lower";
}
/** Null for nobody who ever trained, and for less than two weeks. */
export function awaySince(lastDay: Day | undefined, today: Day): Away | null {
  const days = lastDay === undefined ? 0 : daysBetween(lastDay, today);
  if (days < AWAY_DAYS.setFewer) return null;
  return { days, step: days < AWAY_DAYS.rungLower ? "set-fewer" : "rung-lower" };
}
