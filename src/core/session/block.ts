import { variationByCode, variationById } from "../catalogue/catalogue";
import { type Day, dayAfter } from "../day";
import type { FitContext } from "../fit/context";
import { fitVariation } from "../fit/search";
import { BLOCK_WEEKS } from "../week/week";
import { blockStart, type TrainingPlan } from "./plan";
import type { SessionItem } from "./session";

/** Step-up variants that take turns, one block each, the foot-flat one first. Source: handbook B4, 3 and D5, 90. */
export const TURNS = ["L12", "L13", "L14"] as const;

export interface BlockEnd {
  endsOn: Day;
  isOver: boolean;
  /** Whose turn comes next, fitted to the client; null where the next is not open here and it stays. */
  turns: { item: SessionItem; to: SessionItem | null }[];
}

/** The variant after this one, as this client would do it. */
function nextTurn(context: FitContext, item: SessionItem): SessionItem | null {
  const at = (TURNS as readonly string[]).indexOf(variationById(item.variationId).code);
  const row = variationByCode(TURNS[(at + 1) % TURNS.length] ?? "");
  if (!row) return null;
  const { state, setting } = fitVariation(context, row);
  return state === "open" || state === "try" ? { ...item, id: row.id, variationId: row.id, setting } : null;
}

/** What a block's last week proposes: its end, and whose turn is next. Null before that, and where nothing is laid. */
export function blockEnd(context: FitContext, plan: Pick<TrainingPlan, "laid" | "items" | "blockFrom">, today: Day): BlockEnd | null {
  const { items } = plan;
  const first = blockStart(plan);
  if (first === undefined) return null;
  const endsOn = dayAfter(first, 7 * BLOCK_WEEKS - 1);
  if (today <= dayAfter(endsOn, -7)) return null;
  const turning = items.filter(({ variationId }) => (TURNS as readonly string[]).includes(variationById(variationId).code));
  return { endsOn, isOver: today > endsOn, turns: turning.map((item) => ({ item, to: nextTurn(context, item) })) };
}
