import { closeSync, openSync, readSync, statSync } from "node:fs";

/** What the database did: how long, and the plan it followed, as its log tells (auto_explain). */
export interface Done {
  ms: number;
  plan: PlanNode;
  statement: string;
}
interface PlanNode {
  "Node Type": string;
  "Relation Name"?: string;
  "Actual Rows"?: number;
  "Actual Loops"?: number;
  "Rows Removed by Filter"?: number;
  Plans?: readonly PlanNode[];
}
const ENTRY = /LOG: {2}duration: ([\d.]+) ms {2}plan:\n((?:\t.*\n)+)/g;

/** Everything that the log has had since a place in it. */
export function doneSince(logFile: string, from: number): Done[] {
  const file = openSync(logFile, "r");
  const bytes = Buffer.alloc(statSync(logFile).size - from);
  readSync(file, bytes, 0, bytes.length, from);
  closeSync(file);
  const text = bytes.toString("utf8");
  return [...text.matchAll(ENTRY)].flatMap(([, ms, json = ""]): Done[] => {
    try {
      const read = JSON.parse(json) as { "Query Text": string; Plan: PlanNode };
      return [{ ms: Number(ms), plan: read.Plan, statement: read["Query Text"].replaceAll(/\s+/g, " ").trim() }];
    } catch {
      return []; // what is not yet written down whole is of the next look
    }
  });
}
export const endOf = (logFile: string): number => statSync(logFile).size;

/** Tables that were read from one end to the other, and how many rows that were, in one go. */
export function scansOf(node: PlanNode): { table: string; rows: number }[] {
  const own =
    node["Node Type"] === "Seq Scan"
      ? [{ table: node["Relation Name"] ?? "", rows: (node["Actual Rows"] ?? 0) + (node["Rows Removed by Filter"] ?? 0) }]
      : [];
  return [...own, ...(node.Plans ?? []).flatMap(scansOf)];
}
