import type { Role, SeenBy, Since } from "../../core/record/team";

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
export const sinceKind = (kind: Since["kind"]): string => KINDS[kind];
