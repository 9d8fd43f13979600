import type { EntityManager } from "@mikro-orm/postgresql";
import { validate as isUuid } from "uuid";
import type { Day } from "../../core/day";
import { LetterRow } from "../tables/entities";
import { audit, type Scope, stamp } from "../scope";

/** A letter without its bytes, as a list shows it. */
export interface LetterLine {
  id: string;
  day: Day;
  by: string;
  mediaType: "image/jpeg" | "application/pdf";
}
export interface Letter extends LetterLine {
  bytes: Uint8Array;
}

export async function addLetter(scope: Scope, em: EntityManager, clientId: string, { id, ...letter }: Letter): Promise<void> {
  await em.insert(LetterRow, { ...stamp(scope, id), clientId, ...letter });
  await audit(scope, em, "added", "letter", id);
}

/** The letters of one client, the latest first. */
export const listLetters = ({ studioId }: Scope, em: EntityManager, clientId: string): Promise<LetterLine[]> =>
  em.execute<LetterLine[]>(
    `select id, day::text as day, by, media_type as "mediaType" from letter where studio_id = ? and client_id = ? order by day desc, created_at desc`,
    [studioId, clientId],
  );

export const readLetter = (
  { studioId }: Scope,
  em: EntityManager,
  clientId: string,
  id: string,
): Promise<Pick<Letter, "mediaType" | "bytes"> | null> =>
  isUuid(id) && isUuid(clientId) ? em.findOne(LetterRow, { studioId, clientId, id }) : Promise.resolve(null);
