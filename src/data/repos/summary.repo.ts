import type { EntityManager } from "@mikro-orm/postgresql";
import type { SummaryLetter } from "../../core/studio/letter";
import { SummaryLetterRow } from "../tables/around-entities";
import { ClientRow } from "../tables/entities";
import { refuse, type Taken } from "../../core/outcome";
import { isReadable } from "../../schemas/archived-fact.schema";
import { audit, type Scope, stamp } from "../scope";

/** A letter kept as it goes out; asked for again it reads the same. */
export async function keepSummary(scope: Scope, em: EntityManager, clientId: string, { id, ...letter }: SummaryLetter): Promise<Taken> {
  if ((await em.count(ClientRow, { studioId: scope.studioId, id: clientId })) === 0) return refuse({ code: "no-such-client" });
  await em.insert(SummaryLetterRow, { ...stamp(scope, id), clientId, letter });
  await audit(scope, em, "wrote", "summary_letter", id);
  return { ok: true };
}

/** A client's letters, the newest first. */
export const summariesOf = ({ studioId }: Scope, em: EntityManager, clientId: string): Promise<SummaryLetter[]> =>
  em
    .execute<{ id: string; letter: Omit<SummaryLetter, "id"> }[]>(
      `select id, letter from summary_letter where studio_id = ? and client_id = ? order by created_at desc`,
      [studioId, clientId],
    )
    .then((rows) => rows.filter((row) => isReadable("summary_letter", { ...row })).map(({ id, letter }) => ({ ...letter, id })));
