import type { EntityManager } from "@mikro-orm/postgresql";
import { isMeasuredSo, rangeLimits } from "../../core/assess/range-limits";
import { takeIn } from "../../core/catalogue/catalogue";
import { asVariation } from "../../core/catalogue/own";
import { type FloorEvent, floorState } from "../../core/floor/events";
import type { CalmPoseFact, ClientProfile, ClientRecord, RungFact, SessionFact } from "../../core/record/record";
import { ruleLimits, type ScreenAnswers } from "../../core/screen/screen";
import { validate as isUuid } from "uuid";
import { isReadable } from "../../schemas/archived-fact.schema";
import { executePrepared } from "../prepared";
import type { Scope } from "../scope";
import { fromStored, type StoredSetting } from "../setting";
import { RECORD_SQL } from "./record.sql";

/** How many sessions back a page or a decision looks; Review looks further. */
export const RECENT_SESSIONS = 16;
export const REVIEW_SESSIONS = 60;

type Stored<T extends { setting: unknown }> = Omit<T, "setting"> & { setting: StoredSetting };
type StoredSession = Pick<SessionFact, "id" | "day" | "items" | "isLight" | "place"> & { events: Omit<FloorEvent, "sessionId">[] };
interface StoredRecord extends Omit<ClientRecord, "client" | "screen" | "calmPoses" | "rungs" | "sessions"> {
  client: ClientProfile | null;
  screen: ScreenAnswers | null;
  calmPoses: Stored<CalmPoseFact>[];
  rungs: Stored<RungFact>[];
  sessions: StoredSession[];
}

const withSetting = <T extends { setting: unknown }>(row: Stored<T>): T => ({ ...row, setting: fromStored(row.setting) }) as unknown as T;

/** A session is what its events add up to: the one reader of sets. */
function sessionFrom({ events, ...session }: StoredSession): SessionFact {
  const state = floorState(
    events.map((event) => ({ ...event, sessionId: session.id, occurredAt: new Date(event.occurredAt).toISOString() })),
  );
  return { ...session, ...state };
}

/** Without what no form could have written: no page fails over it. What others stand on is not among these. */
function readable<T extends Pick<ClientRecord, "ownRows" | "studioKit" | "homeKit" | "trainingPlan">>(facts: T): T {
  const { ownRows, studioKit, homeKit, trainingPlan } = facts;
  const kit = (items: T["studioKit"]): T["studioKit"] => (items && isReadable("kit_list", { items }) ? items : null);
  const { keptAt: _, ...plan } = trainingPlan ?? { keptAt: "" };
  return {
    ...facts,
    ownRows: ownRows.filter((row) => isReadable("own_row", { row })),
    studioKit: kit(studioKit),
    homeKit: kit(homeKit),
    trainingPlan: trainingPlan && isReadable("training_plan", { plan }) ? trainingPlan : null,
  };
}

/** What is known of one client of this studio, oldest first, or null if the studio has no such client. */
export async function loadRecord(
  { studioId }: Scope,
  em: EntityManager,
  clientId: string,
  sessionCount = RECENT_SESSIONS,
): Promise<ClientRecord | null> {
  if (!isUuid(clientId)) return null;
  const [row] = await executePrepared<{ record: StoredRecord }>(em, "record", RECORD_SQL, [studioId, clientId, sessionCount]);
  const { client, screen, findings, limits, calmPoses, rungs, sessions, ...rest } = row?.record ?? {};
  if (!client) return null;
  const facts = readable(rest as Omit<ClientRecord, "client" | "screen" | "findings" | "limits" | "calmPoses" | "rungs" | "sessions">);
  takeIn(facts.ownRows.map(asVariation));
  return {
    ...facts,
    client,
    screen: screen ?? {},
    findings: findings ?? [],
    limits: [
      ...(limits ?? []),
      ...ruleLimits(screen ?? {}, (gate, side) => isMeasuredSo(findings ?? [], gate, side)),
      ...rangeLimits(findings ?? []),
    ],
    calmPoses: calmPoses?.map(withSetting<CalmPoseFact>) ?? [],
    rungs: rungs?.map(withSetting<RungFact>) ?? [],
    sessions: sessions?.map(sessionFrom) ?? [],
  };
}
