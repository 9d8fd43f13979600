import type { ArchiveProblem } from "../../formats/archive";
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
