import { variationByCode, variationById } from "../catalogue/catalogue";
import type { Dose } from "../catalogue/variation";
import { type Day, dayAfter } from "../day";
import type { FitContext, Place } from "../judge/context";
import { fitVariation } from "../progressions/search";
import type { Stepped } from "../progressions/step";
import { steppedTo } from "../progress/on-floor";
import { BLOCK_WEEKS } from "../week/week";
import { blockStart, type TrainingPlan } from "./plan";
import type { SessionItem } from "./session";

/** Step-up variants that take turns, one block each, the foot-flat one first. Source: handbook B4, 3 and D5, 90. */
export const TURNS = ["L12", "L13", "L14"] as const;

/** What a decision knows of a row that takes turns, after so many weeks at it: null within its block. */
export function turnOver(context: FitContext, place: Place, dose: Dose, weeks: number): { weeks: number; step: Stepped | null } | null {
  if (!takesTurns(place.variationId) || weeks < BLOCK_WEEKS) return null;
  const to = nextTurn(context, place.variationId);
  return { weeks, step: to && steppedTo(context, place, to, dose) };
}

export interface BlockEnd {
  endsOn: Day;
  isOver: boolean;
  /** Whose turn comes next, fitted to the client; null where the next is not open here and it stays. */
  turns: { item: SessionItem; to: SessionItem | null }[];
}

export const takesTurns = (variationId: string): boolean => (TURNS as readonly string[]).includes(variationById(variationId).code);

/** The variant after this one, as this client would do it; null where it is not open here. */
export function nextTurn(context: FitContext, variationId: string): Place | null {
  const at = (TURNS as readonly string[]).indexOf(variationById(variationId).code);
  const row = variationByCode(TURNS[(at + 1) % TURNS.length] ?? "");
  if (!row) return null;
  const { state, setting } = fitVariation(context, row);
  return state === "open" || state === "try" ? { variationId: row.id, setting } : null;
}

/** What a block's last week proposes: its end, and whose turn is next. Null before that, and where nothing is laid. */
export function blockEnd(context: FitContext, plan: Pick<TrainingPlan, "laid" | "items" | "blockFrom">, today: Day): BlockEnd | null {
  const { items } = plan;
  const first = blockStart(plan);
  if (first === undefined) return null;
  const endsOn = dayAfter(first, 7 * BLOCK_WEEKS - 1);
  if (today <= dayAfter(endsOn, -7)) return null;
  const turns = items
    .filter(({ variationId }) => takesTurns(variationId))
    .map((item) => {
      const to = nextTurn(context, item.variationId);
      return { item, to: to && { ...item, ...to, id: to.variationId } };
    });
  return { endsOn, isOver: today > endsOn, turns };
}
