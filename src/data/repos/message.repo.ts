import type { EntityManager } from "@mikro-orm/postgresql";
import {
  LINK,
  type Contact,
  type Message,
  messageProblem,
  type OwnWords,
  type WordedTemplate,
  wordingProblem,
} from "../../core/studio/message";
import { isReadable } from "../../schemas/archived-fact.schema";
import { ContactRow, MessageRow, MessageWordsRow } from "../tables/around-entities";
import { ClientRow } from "../tables/entities";
import { refuse, type Taken } from "../../core/outcome";
import { audit, type Scope, stamp } from "../scope";

/** How a client is reached from now on. */
export async function setContact(scope: Scope, em: EntityManager, clientId: string, contact: Contact): Promise<Taken> {
  if ((await em.count(ClientRow, { studioId: scope.studioId, id: clientId })) === 0) return refuse({ code: "no-such-client" });
  const row = { ...stamp(scope), clientId, ...contact };
  await em.insert(ContactRow, row);
  await audit(scope, em, "set", "client_contact", row.id);
  return { ok: true };
}
export async function contactOf({ studioId }: Scope, em: EntityManager, clientId: string): Promise<Contact | null> {
  const [contact] = await em.execute<Contact[]>(
    `select channel, address, remind_at as "remindAt" from client_contact where studio_id = ? and client_id = ? order by created_at desc, id desc limit 1`,
    [studioId, clientId],
  );
  return contact && contact.address !== "" ? contact : null;
}

/** How the studio words its messages, where it has words of its own. */
export async function ownWords({ studioId }: Scope, em: EntityManager): Promise<OwnWords> {
  const rows = await em.execute<{ template: string; words: string }[]>(
    `select distinct on (template) template, words from message_words where studio_id = ? order by template, created_at desc, id desc`,
    [studioId],
  );
  const own = rows.filter((row) => row.words !== "" && isReadable("message_words", { ...row }));
  return Object.fromEntries(own.map(({ template, words }) => [template, words]));
}
/** Words for a template from now on; none at all: as usual. What judges, promises or lacks its link is refused now, not when it goes out. */
export async function keepWords(scope: Scope, em: EntityManager, template: WordedTemplate, words: string): Promise<Taken> {
  const wrong = wordingProblem(template, words);
  if (wrong) return refuse({ code: "message", wrong });
  const row = { ...stamp(scope), template, words };
  await em.insert(MessageWordsRow, row);
  await audit(scope, em, "worded", "message_words", row.id);
  return { ok: true };
}

/** A stand-in, or a real way: takes a message with its link in it. */
export interface MessageDriver {
  send: (message: { channel: Contact["channel"]; address: string; words: string }) => Promise<void>;
}

export const isWritten = async ({ studioId }: Scope, em: EntityManager, id: string): Promise<boolean> =>
  (await em.count(MessageRow, { studioId, id })) > 0;

type Written = Pick<Message, "id" | "clientId" | "template" | "words">;
/** A message written down before it goes out, so that what went wrong on the way is known. Once, by its id. */
export async function writeMessage(
  scope: Scope,
  em: EntityManager,
  { id, clientId, template, words }: Written,
): Promise<Taken<{ contact: Contact; isNew: boolean }>> {
  const contact = await contactOf(scope, em, clientId);
  if (!contact) return refuse({ code: "no-contact" });
  const wrong = messageProblem(words, contact.channel, template);
  if (wrong) return refuse({ code: "message", wrong });
  if (await isWritten(scope, em, id)) return { ok: true, contact, isNew: false };
  const { channel, address } = contact;
  await em.insert(MessageRow, { ...stamp(scope, id), clientId, channel, address, template, words, sentAt: null, triedAt: null });
  return { ok: true, contact, isNew: true };
}
/** It has gone out. */
export async function markSent(scope: Scope, em: EntityManager, id: string): Promise<void> {
  await em.nativeUpdate(MessageRow, { studioId: scope.studioId, id }, { sentAt: new Date() });
  await audit(scope, em, "sent", "message", id);
}

/** A message written, sent by the driver and kept as it went out, but for the private link in it. Once, by its id. */
export async function sendMessage(
  scope: Scope,
  em: EntityManager,
  driver: MessageDriver,
  { link, ...message }: Written & { link: string | null },
): Promise<Taken> {
  const written = await writeMessage(scope, em, message);
  if (!written.ok || !written.isNew) return written;
  const { channel, address } = written.contact;
  const { words } = message;
  await driver.send({ channel, address, words: link === null ? words : words.replaceAll(LINK, link) });
  await markSent(scope, em, message.id);
  return { ok: true };
}

/** Who is at a message has so long: then another takes it up, and one that nobody got out in time is too late. */
const TRY_S = 240;
const TOO_LATE_S = 2 * 3600;
type Due = Pick<Message, "id" | "clientId" | "channel" | "address" | "words">;
/** Takes up the next reminder that has not gone out, so that no other server sends it as well; null where there is none. */
export async function takeUpDue({ studioId }: Scope, em: EntityManager): Promise<Due | null> {
  const [due] = await em.execute<Due[]>(
    `update message set tried_at = now() where studio_id = ? and id = (
       select id from message where studio_id = ? and template = 'reminder' and sent_at is null and created_at > now() - interval '${TOO_LATE_S} seconds'
          and (tried_at is null or tried_at < now() - interval '${TRY_S} seconds') order by created_at limit 1 for update skip locked)
     returning id, client_id as "clientId", channel, address, words`,
    [studioId, studioId],
  );
  return due ?? null;
}

const MOST_LISTED = 200;
/** The studio's messages, or one client's, the newest first. */
export const listMessages = (
  { studioId }: Scope,
  em: EntityManager,
  clientId: string | null = null,
): Promise<(Message & { name: string })[]> =>
  em.execute(
    `select m.id, m.client_id as "clientId", m.channel, m.address, m.template, m.words, m.created_at as at, m.sent_at as "sentAt", v.name from message m
       join lateral (select v.name from client_revision v where v.studio_id = m.studio_id and v.client_id = m.client_id order by v.created_at desc, v.id desc limit 1) v on true
      where m.studio_id = ? ${clientId === null ? "" : "and m.client_id = ?"} order by m.created_at desc limit ${MOST_LISTED}`,
    clientId === null ? [studioId] : [studioId, clientId],
  );

/** Whose hour has come on this day, of those with a page that is open and agreed to. */
export const toRemind = (
  { studioId }: Scope,
  em: EntityManager,
  day: string,
  hour: string,
): Promise<{ clientId: string; name: string }[]> =>
  em.execute(
    `select c.id as "clientId", v.name from client c
       join lateral (select v.name, v.archived_day from client_revision v where v.studio_id = c.studio_id and v.client_id = c.id order by v.created_at desc, v.id desc limit 1) v on v.archived_day is null
       join lateral (select k.remind_at, k.address from client_contact k where k.studio_id = c.studio_id and k.client_id = c.id order by k.created_at desc, k.id desc limit 1) k
         on k.address <> '' and k.remind_at is not null and k.remind_at <= ?
       join lateral (select l.token_hash, l.until_day from private_link l where l.studio_id = c.studio_id and l.client_id = c.id and l.opens = 'page' order by l.created_at desc, l.id desc limit 1) l
         on l.token_hash is not null and (l.until_day is null or l.until_day >= ?::date)
      where c.studio_id = ? and exists (select 1 from home_entry h where h.studio_id = c.studio_id and h.client_id = c.id and h.kind = 'consented')`,
    [hour, day, studioId],
  );
