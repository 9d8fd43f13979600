import { readInFrom } from "../../core/record/read-in";
import { dayText } from "./day-text";
import type { AuditLine, Role, SeenBy, Since } from "../../core/record/team";

export const roleName: Readonly<Record<Role | "gone", string>> = { lead: "Lead", trainer: "Trainer", reader: "Read only", gone: "Left" };
export const roleText = (role: Role): string =>
  ({ lead: "to lead the studio, its team too", trainer: "to train its clients", reader: "to look, and change nothing" })[role];
export const seenByText: Readonly<Record<SeenBy, string>> = { me: "only me", team: "the team", client: "the client, on their page" };

const KINDS: Readonly<Record<Since["kind"], string>> = {
  session: "a session",
  morning: "the morning after",
  decision: "decisions",
  limit: "a limit",
  "limit-lifted": "a limit lifted",
  measure: "measures",
  screen: "answers before training",
  school: "the school",
  plan: "the programme",
  note: "a note",
  complaint: "what hurts",
  clearance: "a clinician’s clearance",
  home: "told from their own page",
};
/** What is done with the team and at the door, in words; everything else says its verb and its kind of thing. */
const AUDITED: Readonly<Record<string, string>> = {
  "signed-in": "signed in",
  "signed-a-device-out": "signed a device out",
  "changed-the-password": "changed the password",
  "chose-a-new-password": "chose a new password by a link",
  "made-password-link": "made a link for somebody’s new password",
  joined: "joined the team",
  "made-lead": "made somebody a lead",
  "made-trainer": "made somebody a trainer",
  "made-reader": "made somebody read only",
  "made-gone": "took somebody out of the team",
};
export const auditText = ({ verb, tableName, clientName }: Pick<AuditLine, "verb" | "tableName" | "clientName">): string =>
  (tableName === "studio_member" && AUDITED[verb]) || `${verb.replaceAll("-", " ")} ${clientName ?? tableName.replaceAll("_", " ")}`;

/** The same behind what was made: "by Tove Lind", "read in by …". */
export const byText = (madeBy: string, names: Readonly<Record<string, string>>): string =>
  `${readInFrom(madeBy) ? "" : "by "}${makerText(madeBy, names)}`;
/** Who made something, in words: a member, or whoever read it in and whose it is said to be. */
export function makerText(madeBy: string, names: Readonly<Record<string, string>>): string {
  const found = readInFrom(madeBy);
  if (!found) return names[madeBy] ?? "somebody";
  return `read in by ${names[found.by] ?? "somebody"} on ${dayText(found.day)}, said to be by ${names[found.saidBy] ?? "somebody elsewhere"}`;
}

export const sinceKind = (kind: Since["kind"]): string => KINDS[kind];
