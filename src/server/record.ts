import "server-only";
import { notFound } from "next/navigation";
import { cache } from "react";
import { validate as isUuid } from "uuid";
import type { ClientRecord } from "../core";
import { getOrm } from "../data/orm";
import { loadRecord } from "../data/repos/record.repo";
import { requireSignedIn } from "./session";

/** The client of this page, of the signed-in studio; anything else is not found. Once per request. */
export const requireRecord = cache(async (clientId: string): Promise<ClientRecord> => {
  const { scope } = await requireSignedIn();
  const record = isUuid(clientId) ? await loadRecord(scope, (await getOrm()).em.fork(), clientId) : null;
  return record ?? notFound();
});
