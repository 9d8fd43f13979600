import { createHash } from "node:crypto";
import type { EntityManager } from "@mikro-orm/postgresql";
import { validate as isUuid } from "uuid";
import type { Day } from "../../core/day";
import { refuse, type Taken } from "../loop/load";
import { CalendarLinkRow, ClientRow } from "../entities";
import { audit, type Scope, stamp } from "../scope";

const hashOf = (secret: string): string => createHash("sha256").update(secret).digest("hex");

/** A client's link from now on: whoever has an older one reads nothing more. No secret, and there is none. */
export async function setCalendarLink(scope: Scope, em: EntityManager, clientId: string, secret: string | null): Promise<Taken> {
  if (!isUuid(clientId) || (await em.count(ClientRow, { studioId: scope.studioId, id: clientId })) === 0)
    return refuse({ code: "no-such-client" });
  const row = { ...stamp(scope), clientId, tokenHash: secret === null ? null : hashOf(secret) };
  await em.insert(CalendarLinkRow, row);
  await audit(scope, em, secret === null ? "stopped" : "made", "calendar_link", row.id);
  return { ok: true };
}

/** The day since which a client's calendar can be followed; null where it cannot. */
export async function calendarLinkSince({ studioId }: Scope, em: EntityManager, clientId: string): Promise<Day | null> {
  const [latest] = await em.execute<{ day: Day; isOpen: boolean }[]>(
    `select created_at::date::text as day, token_hash is not null as "isOpen" from calendar_link
      where studio_id = ? and client_id = ? order by created_at desc, id desc limit 1`,
    [studioId, clientId],
  );
  return latest?.isOpen ? latest.day : null;
}

/** Whose calendar a secret opens, and the studio's time zone; null for one that opens none, or does no longer. */
export async function calendarBehind(
  studioId: string,
  em: EntityManager,
  secret: string,
): Promise<{ clientId: string; timeZone: string } | null> {
  const [row] = await em.execute<{ clientId: string; timeZone: string }[]>(
    `select l.client_id as "clientId", s.time_zone as "timeZone" from calendar_link l join studio s on s.id = l.studio_id
      where l.studio_id = ? and l.token_hash = ? and not exists (
        select 1 from calendar_link n where n.studio_id = l.studio_id and n.client_id = l.client_id and (n.created_at, n.id) > (l.created_at, l.id))`,
    [studioId, hashOf(secret)],
  );
  return row ?? null;
}
