import { readInFrom } from "../../core/record/facts/read-in";
import { dayText } from "../basics/day";
import type { AuditLine, Role, SeenBy, Since } from "../../core/studio/team";

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
/** What is written down of each thing that is done, in words; of a client it says the name. */
const DONE: Readonly<Record<string, string>> = {
  "signed-in studio_member": "signed in",
  "signed-in-on-a-new-device studio_member": "signed in on a device not used before",
  "turned-codes-on studio_member": "turned codes on",
  "turned-codes-off studio_member": "turned codes off",
  "had-codes-ended studio_member": "had their codes ended by whoever runs the server",
  "made-recovery-codes studio_member": "made new recovery codes",
  "used-a-recovery-code studio_member": "used a recovery code",
  "added-a-passkey studio_member": "added a passkey",
  "removed-a-passkey studio_member": "removed a passkey",
  "ended-codes studio_member": "ended somebody’s codes",
  "asked-for-codes studio": "had everybody sign in with a code",
  "asked-for-no-codes studio": "let everybody sign in without a code",
  "signed-a-device-out studio_member": "signed a device out",
  "changed-the-password studio_member": "changed the password",
  "chose-a-new-password studio_member": "chose a new password by a link",
  "made-password-link studio_member": "made a link for somebody’s new password",
  "joined studio_member": "joined the team",
  "made-lead studio_member": "made somebody a lead",
  "made-trainer studio_member": "made somebody a trainer",
  "made-reader studio_member": "made somebody read only",
  "made-gone studio_member": "took somebody out of the team",
  "invited invitation": "invited somebody",
  "ended invitation": "ended an invitation",
  "changed studio": "changed the studio’s name or zone",
  "exported studio": "took the whole studio out as a file",
  "imported studio": "read in what the studio has",
  "set retention": "set how long people are kept",
  "worded message_words": "worded a message",
  "wrote own_row": "wrote an exercise of our own",
  "measured band": "measured a band",
  "measured cushion": "measured a cushion",
  "listed kit": "listed what stands in a room",
  "took-away fact_aside": "took away what was left out when read in",
  "added calm_pose": "kept a calm set-up",
  "set ceiling": "set what a joint may be asked",
  "added client_limit": "added a limit",
  "lifted client_limit": "lifted a limit",
  "entered-by-mistake client_limit": "took back a limit entered by mistake",
  "set complaint": "changed what hurts",
  "chose school": "chose a school for a client",
  "measured body_measure": "measured a body",
  "measured finding": "kept a measure",
  "set daily_height": "set a height of a client’s day",
  "recorded clearance": "recorded a clearance",
  "kept rung": "kept a setting",
  "prescribed prescription": "kept a dose",
  "kept training_plan": "kept a programme",
  "started training_session": "started a session",
  "told floor_event": "kept what was tapped on the floor",
  "recorded response": "kept the morning after",
  "corrected response": "corrected a morning after",
  "decided decision": "decided: ease, hold or build",
  "told home_entry": "told something from their own page",
  "looked home_look": "looked at what was done at home",
  "made page_link": "made a link to a client’s page",
  "stopped page_link": "stopped a link to a client’s page",
  "made calendar_link": "made a link to a calendar",
  "stopped calendar_link": "stopped a link to a calendar",
  "set client_contact": "set how a client is reached",
  "sent message": "wrote to a client",
  "kept visit": "kept a visit",
  "ended visit": "ended a visit",
  "wrote client_note": "wrote a note",
  "ended client_note": "ended a note",
  "wrote summary_letter": "wrote a letter",
  "added letter": "attached a letter",
  "added session_picture": "kept a picture",
  "erased session_picture": "erased a picture",
};
const ofClient = (verb: string): string =>
  ({ revised: "changed the details of", screened: "asked the questions of", added: "added" })[verb] ?? verb.replaceAll("-", " ");
export const auditText = ({ verb, tableName, clientName }: Pick<AuditLine, "verb" | "tableName" | "clientName">): string =>
  DONE[`${verb} ${tableName}`] ??
  `${ofClient(verb)} ${clientName ?? (tableName === "client" ? "a client" : tableName.replaceAll("_", " "))}`;

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
