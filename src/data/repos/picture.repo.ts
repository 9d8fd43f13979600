import type { EntityManager } from "@mikro-orm/postgresql";
import { validate as isUuid } from "uuid";
import type { PictureSaid } from "../../core/floor/picture";
import { PictureRow } from "../tables/entities";
import { audit, type Scope, stamp } from "../scope";

export interface Picture extends PictureSaid {
  /** A JPEG without place, time or camera. */
  bytes: Uint8Array;
}

export async function addPicture(scope: Scope, em: EntityManager, clientId: string, { id, ...picture }: Picture): Promise<void> {
  await em.insert(PictureRow, { ...stamp(scope, id), clientId, ...picture });
  await audit(scope, em, "added", "session_picture", id);
}

/** The pictures of one client without their bytes, the latest first. */
export const listPictures = ({ studioId }: Scope, em: EntityManager, clientId: string): Promise<PictureSaid[]> =>
  em.execute<PictureSaid[]>(
    `select id, session_id as "sessionId", item_id as "itemId", day::text as day, view, words from session_picture
      where studio_id = ? and client_id = ? order by day desc, created_at desc`,
    [studioId, clientId],
  );

export const readPicture = ({ studioId }: Scope, em: EntityManager, clientId: string, id: string): Promise<Pick<Picture, "bytes"> | null> =>
  isUuid(id) && isUuid(clientId) ? em.findOne(PictureRow, { studioId, clientId, id }) : Promise.resolve(null);

/** A picture taken back: the client's to ask for at any time. Whether there was one. */
export async function dropPicture(scope: Scope, em: EntityManager, clientId: string, id: string): Promise<boolean> {
  if (!isUuid(id) || !isUuid(clientId)) return false;
  const gone = await em.nativeDelete(PictureRow, { studioId: scope.studioId, clientId, id });
  if (gone > 0) await audit(scope, em, "erased", "session_picture", id);
  return gone > 0;
}
