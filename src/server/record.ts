import "server-only";
import { notFound } from "next/navigation";
import { after } from "next/server";
import { cache } from "react";
import type { ClientRecord } from "../core/record/record";
import { inStudio, readStudio } from "../data/orm";
import { loadRecord } from "../data/repos/record.repo";
import { noteReading } from "../data/scope";
import { log } from "./log";
import { requireSignedIn } from "./session";

/** The client of this page, of the signed-in studio; anything else is not found. Once per request, in one snapshot. */
export const requireRecord = cache(async (clientId: string, sessionCount?: number): Promise<ClientRecord> => {
  const { scope } = await requireSignedIn();
  const record = await readStudio(scope.studioId, (em) => loadRecord(scope, em, clientId, sessionCount));
  if (!record) return notFound();
  after(() =>
    inStudio(scope.studioId, (em) => noteReading(scope, em, clientId)).catch(() =>
      log.warn({ step: "note-reading", outcome: "not-noted" }),
    ),
  );
  return record;
});
