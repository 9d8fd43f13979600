import { createHash } from "node:crypto";
import type { EntityManager } from "@mikro-orm/postgresql";
import { validate as isUuid } from "uuid";
import type { Day } from "../../core/day";
import type { NewLink, Opens, StandingLink } from "../../core/studio/private-link";
import { refuse, type Taken } from "../../core/outcome";
import { PrivateLinkRow } from "../tables/around-entities";
import { ClientRow } from "../tables/entities";
import { audit, type Scope, stamp } from "../scope";

export const hashOf = (secret: string): string => createHash("sha256").update(secret).digest("hex");

/** A client's link from now on: whoever has an older one reads nothing more. None, and there is none. */
export async function setPrivateLink(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  opens: Opens,
  link: NewLink | null,
): Promise<Taken> {
  if (!isUuid(clientId) || (await em.count(ClientRow, { studioId: scope.studioId, id: clientId })) === 0)
    return refuse({ code: "no-such-client" });
  const { untilDay = null, asksYear = false } = link ?? {};
  const row = { ...stamp(scope), clientId, opens, untilDay, asksYear, tokenHash: link === null ? null : hashOf(link.secret) };
  await em.insert(PrivateLinkRow, row);
  await audit(scope, em, link === null ? "stopped" : "made", `${opens}_link`, row.id);
  return { ok: true };
}

/** The link in force of its kind, and since when; null where there is none, or its last day is over. */
export async function standingLink(
  { studioId }: Scope,
  em: EntityManager,
  clientId: string,
  opens: Opens,
  today: Day,
): Promise<StandingLink | null> {
  const [latest] = await em.execute<(Omit<StandingLink, "linkHash"> & { linkHash: string | null })[]>(
    `select (l.created_at at time zone s.time_zone)::date::text as since, l.until_day::text as "untilDay", l.asks_year as "asksYear",
            l.token_hash as "linkHash"
       from private_link l join studio s on s.id = l.studio_id
      where l.studio_id = ? and l.client_id = ? and l.opens = ? order by l.created_at desc, l.id desc limit 1`,
    [studioId, clientId, opens],
  );
  if (!latest || latest.linkHash === null || (latest.untilDay !== null && latest.untilDay < today)) return null;
  return { ...latest, linkHash: latest.linkHash };
}

/** What a secret opens: whose it is, and the studio's time zone. */
export interface Behind {
  clientId: string;
  timeZone: string;
  untilDay: Day | null;
  asksYear: boolean;
}
/** Null for a secret that opens nothing of this kind, or does no longer, or is of somebody who was put away; its last day is for whoever knows what day it is there. */
export async function behindLink(studioId: string, em: EntityManager, opens: Opens, secret: string): Promise<Behind | null> {
  const [row] = await em.execute<Behind[]>(
    `select l.client_id as "clientId", s.time_zone as "timeZone", l.until_day::text as "untilDay", l.asks_year as "asksYear"
       from private_link l join studio s on s.id = l.studio_id
      where l.studio_id = ? and l.opens = ? and l.token_hash = ? and not exists (
        select 1 from private_link n where n.studio_id = l.studio_id and n.client_id = l.client_id and n.opens = l.opens and (n.created_at, n.id) > (l.created_at, l.id))
        and (select r.archived_day from client_revision r where r.studio_id = l.studio_id and r.client_id = l.client_id order by r.created_at desc, r.id desc limit 1) is null`,
    [studioId, opens, hashOf(secret)],
  );
  return row ?? null;
}
