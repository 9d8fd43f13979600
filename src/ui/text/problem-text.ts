import type { StepResult } from "../../actions/step";
import { refusalText } from "./decision-text";
import { issueText } from "./issue-text";

/** Why an action was not taken, for the screen. */
export const problemText = (result: Exclude<StepResult, { ok: true }>): string =>
  "issues" in result ? result.issues.map(issueText).join(" ") : refusalText(result.refusal);
