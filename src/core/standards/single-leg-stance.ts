import type { Sex } from "../body/body";
import { STANCE_AGES, STANCE_ROWS } from "./single-leg-stance.data";

export interface StanceAsked {
  age: number;
  /** Without it the table of all is read. */
  sex?: Sex;
  eyes: "open" | "closed";
  /** Best or mean of three. */
  measure: "best" | "mean";
}
/** Seconds on one leg by age; null where no cell is published: under 18 and over 99. */
export function singleLegStance({ age, sex, eyes, measure }: StanceAsked): { meanS: number; sdS: number } | null {
  const [from, to] = STANCE_AGES;
  const row = age >= from && age < to + 1 ? STANCE_ROWS.findLast(({ fromAge }) => age >= fromAge) : undefined;
  if (!row) return null;
  const [openBest, openMean, closedBest, closedMean] = row.cells[sex ?? "all"];
  const [best, mean] = eyes === "open" ? [openBest, openMean] : [closedBest, closedMean];
  const [meanS, sdS] = measure === "best" ? best : mean;
  return { meanS, sdS };
}
