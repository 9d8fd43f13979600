import { quantile, type Tolerance } from "../../core/limits/tolerance";
import type { LearntOf } from "../../core/record/standing/history";
import { percentRangeText, percentText } from "../basics/quantity";

/** What the mornings say of a ceiling, and what follows. */
export function learntText({ ceiling, doses, proposal }: LearntOf, belief: Tolerance): string {
  const [low, high] = [quantile(belief, 0.1), quantile(belief, 0.9)];
  const count = (of: string): number => doses.filter(({ response }) => response === of).length;
  const rests =
    doses.length === 0
      ? "No dose was answered yet: it rests on the calm pose alone."
      : `${doses.length} answered ${doses.length === 1 ? "dose" : "doses"}: ${count("calm")} calm, ${count("noticed")} noticed, ${count("flare")} ${count("flare") === 1 ? "flare" : "flares"}.`;
  const takes = `What it takes calmly is likely ${percentRangeText(low / ceiling.value, high / ceiling.value)} of today's ceiling.`;
  return `${rests} ${takes} ${proposalText(proposal, ceiling.value)}`;
}

function proposalText(proposal: LearntOf["proposal"], value: number): string {
  if (proposal.move !== "keep") {
    const to = percentText(proposal.value / value);
    return proposal.move === "raise" ? `Proposed: up to ${to} of it; a limit still binds.` : `Proposed: down to ${to} of it.`;
  }
  switch (proposal.why) {
    case "few-doses":
      return "Too few answered doses to move it.";
    case "as-it-is":
      return "It stands well as it is.";
    case "last-not-settled":
      return "The last morning on it was not settled: nothing is raised from there.";
    case "not-near":
      return "The settled doses did not come near it: nothing is raised from far below.";
    case "swelling":
      return "More swollen than usual this morning: nothing is raised today.";
    case "away":
      return "Two weeks or more without training: nothing is raised before it was done again.";
    case "limit":
      return "A limit keeps it where it is.";
  }
}
