import type { CheckInChoice } from "../floor/events";

/** What is said at the start of a session. */
export interface CheckIn {
  painScore: number;
  newSwelling: boolean;
}

export type CheckInReason =
  | { code: "swollen" }
  | { code: "pain-over-number"; painScore: number; limitScore: number }
  | { code: "pain-above-usual"; painScore: number; usualScore: number }
  | { code: "as-usual" };

const ABOVE_USUAL = 2;

/** What to do with today's session. Swelling outranks pain; NaN falls on the safe side. */
export function checkInAdvice(checkIn: CheckIn, usualScore: number, limitScore: number): { value: CheckInChoice; reason: CheckInReason } {
  const { painScore, newSwelling } = checkIn;
  if (newSwelling) return { value: "ease-all", reason: { code: "swollen" } };
  if (!(painScore <= limitScore)) return { value: "ease-all", reason: { code: "pain-over-number", painScore, limitScore } };
  if (!(painScore < usualScore + ABOVE_USUAL)) return { value: "ease-all", reason: { code: "pain-above-usual", painScore, usualScore } };
  return { value: "as-planned", reason: { code: "as-usual" } };
}
