import type { ArchiveProblem, FactProblem } from "../../formats/archive";
import type { Aside } from "../../core/studio/team";
import { capital } from "../basics/words";
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
  summary_letter: "a summary",
  training_plan: "a plan",
  kit_list: "a list of equipment",
  own_row: "an exercise of your own",
  message_words: "words of a message",
  finding: "a measure",
  screen: "answers on Screen",
  complaint: "a complaint",
  body_measure: "height and weight",
  ceiling: "a ceiling",
  school_choice: "an approach",
  posture_rule: "how the shin moves",
  client_limit: "a limit",
  rung: "a set-up",
  calm_pose: "a calm pose",
  prescription: "a dose",
  training_session: "a session",
  response: "a morning after",
  decision: "a decision",
  floor_event: "something tapped on the floor",
  home_entry: "something told from home",
  home_look: "a look at what was done at home",
};
/** "a limit" */
export const factName = (table: string): string => FACT_NAMES[table] ?? "an entry";
/** Where in an archive something is, as a person says it; its id stays, for whoever has to find it in the file. */
export function whereText(where: string): string {
  const [table = "", ...rest] = where.split(" ");
  const name = FACT_NAMES[table];
  return name ? [name, ...rest].join(" ") : where;
}
/** "A visit of Runa Skov (at)" */
export const asideText = ({ tableName, path, clientName }: Pick<Aside, "tableName" | "path" | "clientName">): string =>
  capital(`${factName(tableName)}${clientName ? ` of ${clientName}` : ""}${path ? ` (${path})` : ""}`);
/** "left out, for it cannot be right: a visit (at)" */
export const leftOutText = (leftOut: readonly FactProblem[]): string =>
  `left out, for it cannot be right: ${leftOut.map(({ table, path }) => `${factName(table)}${path ? ` (${path})` : ""}`).join(", ")}`;
