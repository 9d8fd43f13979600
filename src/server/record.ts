import "server-only";
import { headers } from "next/headers";
import { notFound } from "next/navigation";
import { after } from "next/server";
import { cache } from "react";
import type { ClientRecord } from "../core/record/facts/record";
import { inStudio, readStudio } from "../data/orm";
import { loadRecord } from "../data/repos/record.repo";
import { noteReading, READ_NOTED_EVERY_MIN, type Reading } from "../data/scope";
import { log } from "./log";
import { requireSignedIn } from "./session";

/** A page that a tablet's worker fetches ahead, for when there is no connection, carries this. */
const AHEAD_HEADER = "x-fetched-ahead";

/** Readings that this process has noted lately: the database is not asked again for each page. */
const noted = new Map<string, number>();
const MOST_NOTED = 10_000;
function isNew(reading: string): boolean {
  const nowMs = Date.now();
  const lastMs = noted.get(reading) ?? 0;
  if (nowMs - lastMs < READ_NOTED_EVERY_MIN * 60_000) return false;
  if (noted.size >= MOST_NOTED) noted.clear();
  noted.set(reading, nowMs);
  return true;
}

/** The client of this page, of the signed-in studio; anything else is not found. Once per request, in one snapshot. */
export const requireRecord = cache(async (clientId: string, sessionCount?: number): Promise<ClientRecord> => {
  const { scope } = await requireSignedIn();
  const record = await readStudio(scope.studioId, (em) => loadRecord(scope, em, clientId, sessionCount));
  if (!record) return notFound();
  const verb: Reading = (await headers()).has(AHEAD_HEADER) ? "put-on-a-tablet" : "read";
  const reading = `${scope.actorId} ${clientId} ${verb}`;
  if (isNew(reading))
    after(() =>
      inStudio(scope.studioId, (em) => noteReading(scope, em, clientId, verb)).catch(() => {
        noted.delete(reading);
        log.warn({ step: "note-reading", outcome: "not-noted" });
      }),
    );
  return record;
});
