import { defineEntity, p } from "@mikro-orm/core";
import type { HomeTold } from "../../core/record/facts/home-told";
import type { SummaryLetter } from "../../core/studio/letter";
import type { Channel, MessageTemplate, WordedTemplate } from "../../core/studio/message";
import type { Opens } from "../../core/studio/private-link";
import type { Role, SeenBy } from "../../core/studio/team";
import type { Visit } from "../../core/week/visit";
import { scoped } from "./columns";

/** Around the hour: visits, the team, a client's own page, messages, notes and letters. */

/** A way into the studio for one person, by a link; used once. */
export const InvitationRow = defineEntity({
  name: "InvitationRow",
  tableName: "invitation",
  properties: {
    ...scoped,
    tokenHash: p.string(),
    name: p.string(),
    email: p.string(),
    role: p.string().$type<Role>(),
    untilDay: p.date(),
    endedAt: p.datetime().nullable(),
    acceptedBy: p.string().nullable(),
  },
});

/** A note on a client as it was last written: for whoever wrote it, the team, or the client. */
export const NoteRow = defineEntity({
  name: "NoteRow",
  tableName: "client_note",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    noteId: p.uuid(),
    seenBy: p.string().$type<SeenBy>(),
    words: p.text(),
    endedDay: p.date().nullable(),
  },
});

/** A letter as it was written and kept; never changed. */
export const SummaryLetterRow = defineEntity({
  name: "SummaryLetterRow",
  tableName: "summary_letter",
  properties: { ...scoped, clientId: p.uuid(), letter: p.json<Omit<SummaryLetter, "id">>() },
});

/** For so many months after somebody was put away the studio keeps them; the latest counts. */
export const RetentionRow = defineEntity({ name: "RetentionRow", tableName: "retention", properties: { ...scoped, months: p.integer() } });

/** How the studio words a message; the latest of each counts, and empty ones are worded as usual. */
export const MessageWordsRow = defineEntity({
  name: "MessageWordsRow",
  tableName: "message_words",
  properties: { ...scoped, template: p.string().$type<WordedTemplate>(), words: p.string() },
});

/** A private link to a client's calendar or own page; none where its hash is missing. The latest of its kind counts. */
export const PrivateLinkRow = defineEntity({
  name: "PrivateLinkRow",
  tableName: "private_link",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    opens: p.string().$type<Opens>(),
    tokenHash: p.string().nullable(),
    untilDay: p.date().nullable(),
    asksYear: p.boolean(),
  },
});

/** What a client told from their own page; of a set also what stood on the sheet. */
export const HomeEntryRow = defineEntity({
  name: "HomeEntryRow",
  tableName: "home_entry",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    day: p.date(),
    occurredAt: p.datetime(),
    kind: p.string().$type<HomeTold["kind"]>(),
    told: p.json<object>(),
  },
});

/** Sets at home that a trainer has looked at, and the session they became. */
export const HomeLookRow = defineEntity({
  name: "HomeLookRow",
  tableName: "home_look",
  properties: { ...scoped, clientId: p.uuid(), day: p.date(), entryIds: p.json<string[]>(), sessionId: p.uuid().nullable() },
});

/** How a client is reached, and at which hour they are reminded; the latest counts, and an empty address is none. */
export const ContactRow = defineEntity({
  name: "ContactRow",
  tableName: "client_contact",
  properties: { ...scoped, clientId: p.uuid(), channel: p.string().$type<Channel>(), address: p.string(), remindAt: p.string().nullable() },
});

/** A message as it was written; a private link in it is never kept. */
export const MessageRow = defineEntity({
  name: "MessageRow",
  tableName: "message",
  properties: {
    ...scoped,
    clientId: p.uuid(),
    channel: p.string().$type<Channel>(),
    address: p.string(),
    template: p.string().$type<MessageTemplate>(),
    words: p.string(),
    sentAt: p.datetime().nullable(),
    triedAt: p.datetime().nullable(),
  },
});

/** A visit to the studio, whole each time it is changed; null once it takes place no more. The latest of its id counts. */
export const VisitRow = defineEntity({
  name: "VisitRow",
  tableName: "visit",
  properties: { ...scoped, clientId: p.uuid(), visitId: p.uuid(), visit: p.json<Omit<Visit, "id" | "clientId">>().nullable() },
});

export const aroundEntities = [
  InvitationRow,
  NoteRow,
  SummaryLetterRow,
  RetentionRow,
  PrivateLinkRow,
  HomeEntryRow,
  HomeLookRow,
  ContactRow,
  MessageRow,
  MessageWordsRow,
  VisitRow,
];
