import type { Day } from "../../core/day";
import type { FloorEvent } from "../../core/floor/events";
import { UNREAD_FACT, type Warning } from "../../core/progress/warning";
import type { TaskTold } from "../../core/record/facts/home-told";
import type { CalmPoseFact, ClientProfile, ClientRecord, RungFact, SessionFact } from "../../core/record/facts/record";
import type { ScreenAnswers } from "../../core/screen/screen";
import type { Fact } from "../../formats/archive";
import { isReadable } from "../../schemas/archived-fact.schema";
import type { StoredSetting } from "../tables/setting";

export type Stored<T extends { setting: unknown }> = Omit<T, "setting"> & { setting: StoredSetting };
export type StoredSession = Pick<SessionFact, "id" | "day" | "items" | "isLight" | "place"> & { events: Omit<FloorEvent, "sessionId">[] };
/** A record as the database puts it together (record.sql.ts). */
export interface StoredRecord extends Omit<ClientRecord, "client" | "screen" | "calmPoses" | "rungs" | "sessions" | "tasksTold"> {
  client: ClientProfile;
  screen: { id: string; day: Day; answers: ScreenAnswers } | null;
  calmPoses: readonly Stored<CalmPoseFact>[];
  rungs: readonly Stored<RungFact>[];
  sessions: readonly StoredSession[];
  tasksTold: readonly (TaskTold & { id: string; at: string })[];
}

/**
 * What stands in the tables and no form could have written is left out of every page, and no page fails over it. What nobody is
 * less safe without is only said under Studio. Of the rest nobody can say what it asked for: each is a warning that holds the
 * client until a lead says that it may be left out.
 */

/** A fact as its table has it: kept_at, not keptAt. */
const asKept = (fact: object): Fact =>
  Object.fromEntries(Object.entries(fact).map(([key, value]) => [key.replaceAll(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`), value]));

/** Of a complaint nobody keeps the day beside it. */
const EVER: Day = "1970-01-01";
const asInstant = (at: unknown): string => new Date(String(at)).toISOString();
/** What a client told from their own page. */
const asTold = (kind: string, { id, at, day: _, ...told }: Record<string, unknown>): Fact => ({
  id,
  occurred_at: asInstant(at),
  kind,
  told,
});

/** The parts of a record that are read one by one, and the table each is kept in. */
const KEPT = {
  complaints: ["complaint", ({ id, ...told }) => ({ ...asKept(told), complaint_id: id })],
  measures: ["body_measure", asKept],
  calmPoses: ["calm_pose", asKept],
  postures: ["posture_rule", asKept],
  findings: ["finding", asKept],
  limits: ["client_limit", asKept],
  ceilings: ["ceiling", asKept],
  rungs: ["rung", asKept],
  prescriptions: ["prescription", asKept],
  responses: ["response", asKept],
  decisions: ["decision", asKept],
  homeSets: ["home_entry", ({ isLooked: _, ...told }) => asTold("set", told)],
} as const satisfies Partial<Record<keyof StoredRecord, readonly [table: string, asFact: (fact: Record<string, unknown>) => Fact]>>;

export interface ReadRecord {
  stored: StoredRecord;
  /** What could not be read and may have been what closes. */
  unread: readonly Warning[];
}

/** A record without what cannot be read, and without what stands on that alone. */
export function readable(stored: StoredRecord): ReadRecord {
  const unread: Warning[] = [];
  const hold = (table: string, fact: object): void => {
    const { id, day, fromDay = day } = { day: EVER, ...fact } as { id: string; day: Day; fromDay?: Day };
    unread.push({ sourceId: id, sign: UNREAD_FACT, day: fromDay, at: `${fromDay}T00:00:00.000Z`, table });
  };
  const kept = Object.fromEntries(
    Object.entries(KEPT).map(([part, [table, asFact]]) => {
      const facts = stored[part as keyof typeof KEPT] as readonly object[];
      return [
        part,
        facts.filter((fact) => {
          const reads = isReadable(table, fact as Record<string, unknown>, asFact);
          if (!reads) hold(table, fact);
          return reads;
        }),
      ];
    }),
  ) as unknown as Pick<StoredRecord, keyof typeof KEPT>;
  const of = <T extends string>(ids: readonly { id: T }[]) => new Set<string>(ids.map(({ id }) => id));
  const [rungIds, calmPoseIds] = [of(kept.rungs), of(kept.calmPoses)];
  const prescriptions = kept.prescriptions.filter(({ rungId }) => rungIds.has(rungId));
  const prescriptionIds = of(prescriptions);
  const { screen, school, trainingPlan, ownRows, studioKit, homeKit } = stored;
  const isScreenRead = screen === null || isReadable("screen", { answers: screen.answers });
  const isSchoolRead = school === null || isReadable("school_choice", { ...school });
  if (!isScreenRead) hold("screen", screen);
  if (!isSchoolRead) hold("school_choice", school);
  const { keptAt: _, ...plan } = trainingPlan ?? { keptAt: "" };
  const kit = (items: StoredRecord["studioKit"]): StoredRecord["studioKit"] => (items && isReadable("kit_list", { items }) ? items : null);
  return {
    unread,
    stored: {
      ...stored,
      ...kept,
      prescriptions,
      ceilings: kept.ceilings.filter(({ calmPoseId }) => calmPoseIds.has(calmPoseId)),
      sessions: stored.sessions.map((session) => ({
        ...session,
        items: session.items.filter(({ prescriptionId }) => prescriptionIds.has(prescriptionId)),
        events: session.events.filter((event) => {
          const reads = isReadable("floor_event", event, ({ body, receipt: _, ...tapped }) => ({
            ...asKept({ ...tapped, occurredAt: asInstant(tapped.occurredAt) }),
            session_id: session.id,
            payload: body,
          }));
          if (!reads) hold("floor_event", { id: event.id, day: session.day });
          return reads;
        }),
      })),
      screen: isScreenRead ? screen : null,
      school: isSchoolRead ? school : null,
      ownRows: ownRows.filter((row) => isReadable("own_row", { row })),
      studioKit: kit(studioKit),
      homeKit: kit(homeKit),
      trainingPlan: trainingPlan && isReadable("training_plan", { plan }) ? trainingPlan : null,
      tasksTold: stored.tasksTold.filter((told) => isReadable("home_entry", asTold("task", { ...told }))),
    },
  };
}
