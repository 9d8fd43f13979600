import type { EntityManager } from "@mikro-orm/postgresql";
import { isMeasuredSo, rangeLimits } from "../../core/assess/range-limits";
import { takeIn } from "../../core/catalogue/catalogue";
import { asVariation } from "../../core/catalogue/own";
import { floorState } from "../../core/floor/events";
import type { CalmPoseFact, ClientRecord, RungFact, SessionFact } from "../../core/record/facts/record";
import { ruleLimits } from "../../core/screen/screen";
import { validate as isUuid } from "uuid";
import { executePrepared } from "../prepared";
import type { Scope } from "../scope";
import { fromStored } from "../tables/setting";
import { readable, type Stored, type StoredRecord, type StoredSession } from "./readable";
import { RECORD_SQL } from "./record.sql";

/** How many sessions back a page or a decision looks; Review looks further. */
export const RECENT_SESSIONS = 16;
export const REVIEW_SESSIONS = 60;

const withSetting = <T extends { setting: unknown }>(row: Stored<T>): T => ({ ...row, setting: fromStored(row.setting) }) as unknown as T;

/** A session is what its events add up to: the one reader of sets. */
function sessionFrom({ events, ...session }: StoredSession): SessionFact {
  const state = floorState(
    events.map((event) => ({ ...event, sessionId: session.id, occurredAt: new Date(event.occurredAt).toISOString() })),
  );
  return { ...session, ...state };
}

/** What is known of one client of this studio, oldest first, or null if the studio has no such client. */
export async function loadRecord(
  { studioId }: Scope,
  em: EntityManager,
  clientId: string,
  sessionCount = RECENT_SESSIONS,
): Promise<ClientRecord | null> {
  if (!isUuid(clientId)) return null;
  const [row] = await executePrepared<{ record: StoredRecord | { client: null } }>(em, "record", RECORD_SQL, [
    studioId,
    clientId,
    sessionCount,
  ]);
  if (!row?.record.client) return null;
  const { stored, unread } = readable(row.record);
  const { screen: asked, findings, limits, calmPoses, rungs, sessions, tasksTold, warnings, ...facts } = stored;
  const screen = asked?.answers ?? {};
  takeIn(facts.ownRows.map(asVariation));
  return {
    ...facts,
    screen,
    findings,
    limits: [...limits, ...ruleLimits(screen, (gate, side) => isMeasuredSo(findings, gate, side)), ...rangeLimits(findings)],
    warnings: [...warnings, ...unread],
    calmPoses: calmPoses.map(withSetting<CalmPoseFact>),
    rungs: rungs.map(withSetting<RungFact>),
    sessions: sessions.map(sessionFrom),
    tasksTold: tasksTold.map(({ day, task, level }) => ({ day, task, level })),
  };
}
