import type { Day } from "../day";

/** What a member of a studio may do: lead the team too, train, or only look. */
export const ROLES = ["lead", "trainer", "reader"] as const;
export type Role = (typeof ROLES)[number];
/** What is asked of a password that somebody chooses. */
export const PASSWORD_LENGTH = { min: 10, max: 128 } as const;
/** Whom a note is for: whoever wrote it, the team, or the client on their own page. */
export const SEEN_BY = ["me", "team", "client"] as const;
export type SeenBy = (typeof SEEN_BY)[number];

export interface TeamMember {
  userId: string;
  name: string;
  role: Role | "gone";
}
export interface Note {
  id: string;
  by: string;
  at: string;
  seenBy: SeenBy;
  words: string;
}
/** An invitation that still stands. */
export interface Invited {
  id: string;
  name: string;
  email: string;
  role: Role;
  untilDay: Day;
}
/** Who saw or changed what: a verb and a kind of thing, and whose it was where that is still known. Never what it said. */
export interface AuditLine {
  id: string;
  at: string;
  by: string;
  verb: string;
  tableName: string;
  clientName: string | null;
}
/** A fact that was read in and could not be right: kept aside, with where it is wrong, and drawn nowhere. */
export interface Aside {
  id: string;
  at: string;
  by: string;
  tableName: string;
  path: string;
  /** The beginning of what it says. */
  words: string;
  clientName: string | null;
}
/** What became of a client since somebody last saw them. */
export interface Since {
  kind:
    | "session"
    | "morning"
    | "decision"
    | "limit"
    | "limit-lifted"
    | "measure"
    | "school"
    | "plan"
    | "note"
    | "complaint"
    | "clearance"
    | "home"
    | "screen";
  by: string;
  at: string;
  /** The day it is about, or how many of it there were. */
  day: string | null;
}
