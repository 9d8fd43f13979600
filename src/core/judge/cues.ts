import type { Variation } from "../catalogue/variation";
import { bindingLimits } from "../limits/limit";
import { cuesOf } from "../approach/approach";
import type { FitContext } from "./context";

/** Said first where breath must not be held: counted with the tempo, out with the effort. */
export const BREATHE_OUT = "Breathe out as you push, never hold it";
/** What a client is told on a row: what their limits ask for first, then the school's words and the row's own. */
export function cuesFor({ school, limits, today }: Pick<FitContext, "school" | "limits" | "today">, row: Variation): string[] {
  const mustBreathe = bindingLimits(limits, today).some(({ rule }) => rule.kind === "never" && rule.what === "breath-holding");
  return [...(mustBreathe ? [BREATHE_OUT] : []), ...cuesOf(school, row)];
}
