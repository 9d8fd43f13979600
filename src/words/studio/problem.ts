import type { UnitSystem } from "../../core/units";
import type { StepResult } from "../../core/outcome";
import { issueText } from "../basics/issue";
import { refusalText } from "./refusal";

/** Why an action was not taken, for the screen. */
export const problemText = (result: Exclude<StepResult, { ok: true }>, units: UnitSystem = "metric"): string =>
  "issues" in result ? [...new Set(result.issues.map(issueText))].join(" ") : refusalText(result.refusal, units);
