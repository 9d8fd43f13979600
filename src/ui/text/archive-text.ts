import type { ArchiveProblem, FactProblem } from "../../formats/archive";
import { unreachable } from "../../core/reasons";

export function archiveProblemText(problem: ArchiveProblem): string {
  switch (problem.code) {
    case "not-json":
      return "This file cannot be read: it is cut short, or no JSON at all. Nothing was taken.";
    case "not-ours":
      return "This is JSON, and no archive of Ponderis. Nothing was taken.";
    case "newer":
      return `This archive is of version ${problem.version}, which is not known here. Update this studio first. Nothing was taken.`;
    case "broken":
      return `This archive is broken (${problem.where}). Nothing was taken.`;
    default:
      return unreachable(problem);
  }
}

const FACT_NAMES: Readonly<Record<string, string>> = {
  visit: "a visit",
  training_plan: "a plan",
  school_choice: "an approach",
  kit_list: "a list of equipment",
  own_row: "an exercise of your own",
  message_words: "words of a message",
};
/** "left out, for it cannot be right: a visit (at)" */
export const leftOutText = (leftOut: readonly FactProblem[]): string =>
  `left out, for it cannot be right: ${leftOut.map(({ table, path }) => `${FACT_NAMES[table] ?? "an entry"}${path ? ` (${path})` : ""}`).join(", ")}`;
