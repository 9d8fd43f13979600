import type { Day } from "../../day";

/**
 * Who made a fact that came from a file: nobody here can vouch for it, so it is never a colleague's own. Kept as text in the
 * place of a member's id; of something read in again, the first who was said to have made it stays.
 */
const READ_IN = /^read-in (\S+) (\d{4}-\d{2}-\d{2}) (.*)$/s;

export interface ReadIn {
  /** Member's id of whoever read it in. */
  by: string;
  day: Day;
  /** Whose it is said to be, as the file says it. */
  saidBy: string;
}
export function readInFrom(madeBy: string): ReadIn | null {
  const found = READ_IN.exec(madeBy);
  if (!found) return null;
  const [, by = "", day = "", saidBy = ""] = found; // a match has all three
  return { by, day, saidBy };
}
/** Whose something is said to be: its own maker's, or whom the file named. */
export const saidToBeBy = (madeBy: string): string => readInFrom(madeBy)?.saidBy ?? madeBy;
export const asReadIn = (by: string, day: Day, madeBy: string): string => `read-in ${by} ${day} ${saidToBeBy(madeBy)}`;
