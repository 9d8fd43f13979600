import type { EntityManager } from "@mikro-orm/postgresql";
import { addPicture, listPictures, type Picture } from "../data/repos/picture.repo";
import type { Scope } from "../data/scope";
import { withRecord } from "./with-record";
import { refuse, type Taken } from "../core/outcome";

/** More of one client are no notes any more. */
const MOST_PICTURES = 100;

/** A picture of a repetition that the client agreed to, kept once, of a session that is this client's. */
export const keepPicture = (scope: Scope, em: EntityManager, clientId: string, picture: Picture): Promise<Taken> =>
  withRecord(scope, em, clientId, async ({ sessions }) => {
    if (!sessions.some(({ id }) => id === picture.sessionId)) return refuse({ code: "no-such-session" });
    const known = await listPictures(scope, em, clientId);
    if (known.some(({ id }) => id === picture.id)) return { ok: true };
    if (known.length >= MOST_PICTURES) return refuse({ code: "too-many-pictures" });
    await addPicture(scope, em, clientId, picture);
    return { ok: true };
  });
