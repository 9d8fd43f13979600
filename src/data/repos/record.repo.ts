import type { EntityManager } from "@mikro-orm/postgresql";
import type { Ceiling, ClientRecord, DailyTask, FloorSet, Limit, SessionFact } from "../../core";
import { floorState } from "../../core";
import {
  BodyMeasureRow,
  CalmPoseRow,
  CeilingRow,
  ClearanceRow,
  ClientRow,
  DailyHeightRow,
  DecisionRow,
  DemandRow,
  FloorEventRow,
  LimitLiftRow,
  LimitRow,
  PerformedSetRow,
  PostureRuleRow,
  PrescriptionRow,
  ResponseRow,
  RungRow,
  SessionItemRow,
  SessionRow,
} from "../entities";
import type { Scope } from "../scope";

/** Read only: nothing is tracked for changes. */
const READ = { disableIdentityMap: true } as const;
const OLDEST_FIRST = { ...READ, orderBy: { createdAt: "asc" as const, id: "asc" as const } };

async function limitsOf({ studioId }: Scope, em: EntityManager, clientId: string): Promise<Limit[]> {
  const rows = await em.find(LimitRow, { studioId, clientId }, OLDEST_FIRST);
  const lifts = await em.find(LimitLiftRow, { studioId, limitId: { $in: rows.map(({ id }) => id) } }, OLDEST_FIRST);
  return rows.map(({ id, rule, side, ownerKind, ownerName, fromDay, untilDay }) => {
    const lift = lifts.find(({ limitId }) => limitId === id);
    return {
      id,
      rule,
      side,
      owner: { kind: ownerKind, name: ownerName },
      fromDay,
      untilDay: untilDay ?? null,
      lift: lift ? { by: lift.by, role: lift.role, day: lift.day, reason: lift.reason } : null,
    };
  });
}

async function ceilingsOf({ studioId }: Scope, em: EntityManager, clientId: string): Promise<Ceiling[]> {
  const rows = await em.find(CeilingRow, { studioId, clientId }, OLDEST_FIRST);
  return rows.map((row) => ({
    id: row.id,
    channel: row.channel,
    side: row.side,
    value: row.value,
    source: { kind: row.sourceKind, id: row.sourceId },
    standsInFor: row.standsInFor ?? null,
    fromDay: row.fromDay,
    share: { fraction: row.shareFraction, measured: row.shareMeasured },
  }));
}

/** Sets come from their projection; what else happened on the floor, from its events. */
async function sessionsOf({ studioId }: Scope, em: EntityManager, clientId: string): Promise<SessionFact[]> {
  const sessions = await em.find(SessionRow, { studioId, clientId }, { ...READ, orderBy: { day: "asc", createdAt: "asc" } });
  const mine = { studioId, sessionId: { $in: sessions.map(({ id }) => id) } };
  const items = await em.find(SessionItemRow, mine, { ...READ, orderBy: { position: "asc" } });
  const sets = await em.find(PerformedSetRow, { ...mine, voided: false }, { ...READ, orderBy: { position: "asc" } });
  const events = await em.find(FloorEventRow, { ...mine, kind: { $nin: ["set-ended", "set-corrected", "set-voided"] } }, READ);
  return sessions.map(({ id, day }) => {
    const of = <T extends { sessionId: string }>(rows: T[]): T[] => rows.filter(({ sessionId }) => sessionId === id);
    const { checkIn, eases, warningSigns, endedAt } = floorState(
      of(events).map((row) => ({
        id: row.id,
        deviceId: row.deviceId,
        sessionId: id,
        occurredAt: row.occurredAt.toISOString(),
        body: row.payload,
      })),
    );
    return {
      id,
      day,
      checkIn,
      eases,
      warningSigns,
      endedAt,
      items: of(items).map((item) => ({ id: item.id, prescriptionId: item.prescriptionId })),
      sets: of(sets).map((row): FloorSet => ({
        id: row.id,
        itemId: row.itemId,
        setting: row.setting,
        repetitions: row.repetitions,
        painScore: row.painScore ?? null,
        leftInTank: row.leftInTank ?? null,
        faults: row.faults,
        endedBy: row.endedBy,
        endedAt: row.endedAt.toISOString(),
      })),
    };
  });
}

/** The latest of each name; one whose height was taken away is gone. */
async function dailyTasksOf({ studioId }: Scope, em: EntityManager, clientId: string): Promise<DailyTask[]> {
  const rows = await em.find(DailyHeightRow, { studioId, clientId }, OLDEST_FIRST);
  const latest = new Map(rows.map((row) => [row.name, row]));
  return [...latest.values()].flatMap(({ name, kind, heightM }) => (heightM == null ? [] : [{ name, kind, heightM }]));
}

/** Everything known of one client of this studio, oldest first, or null if the studio has no such client. */
export async function loadRecord(scope: Scope, em: EntityManager, clientId: string): Promise<ClientRecord | null> {
  const { studioId } = scope;
  const row = await em.findOne(ClientRow, { studioId, id: clientId }, READ);
  if (!row) return null;
  const mine = { studioId, clientId };
  const byDay = { ...READ, orderBy: { day: "asc" as const, createdAt: "asc" as const } };
  const rungs = await em.find(RungRow, mine, byDay);
  const demands = await em.find(DemandRow, { studioId, rungId: { $in: rungs.map(({ id }) => id) } }, READ);
  const { id, name, birthYear, sex, goal, complaint, side, baselinePainScore, painLimitScore } = row;
  return {
    client: { id, name, birthYear, sex, goal, complaint, side, baselinePainScore, painLimitScore },
    measures: (await em.find(BodyMeasureRow, mine, byDay)).map(({ id: key, day, heightM, massKg, overrides }) => ({
      id: key,
      day,
      heightM,
      massKg,
      overrides,
    })),
    dailyTasks: await dailyTasksOf(scope, em, clientId),
    calmPoses: (await em.find(CalmPoseRow, mine, byDay)).map((pose) => ({
      id: pose.id,
      day: pose.day,
      side: pose.side,
      limitedBy: pose.limitedBy,
      variationId: pose.variationId,
      setting: pose.setting,
      shareFraction: pose.shareFraction ?? null,
      shankLeanDeg: pose.shankLeanDeg ?? null,
      trunkLeanDeg: pose.trunkLeanDeg ?? null,
    })),
    postures: (await em.find(PostureRuleRow, mine, byDay)).map((rule) => ({ id: rule.id, day: rule.day, rule: rule.rule })),
    limits: await limitsOf(scope, em, clientId),
    ceilings: await ceilingsOf(scope, em, clientId),
    rungs: rungs.map((rung) => {
      const demand = demands.find(({ rungId }) => rungId === rung.id);
      const { variationId, setting, day } = rung;
      return { id: rung.id, day, variationId, setting, demands: demand?.channels ?? [], useFraction: demand?.useFraction ?? null };
    }),
    prescriptions: (await em.find(PrescriptionRow, mine, byDay)).map((p) => ({ id: p.id, day: p.day, rungId: p.rungId, dose: p.dose })),
    sessions: await sessionsOf(scope, em, clientId),
    responses: (await em.find(ResponseRow, mine, byDay)).map((r) => ({
      id: r.id,
      sessionId: r.sessionId ?? null,
      day: r.day,
      painScore: r.painScore,
      newSwelling: r.newSwelling,
      warningSigns: r.warningSigns,
      usualScore: r.usualScore,
      class: r.class,
    })),
    decisions: (await em.find(DecisionRow, mine, byDay)).map((d) => ({
      id: d.id,
      sessionId: d.sessionId,
      day: d.day,
      move: d.move,
      overruled: d.overruled ?? null,
      rule: d.rule,
      reasons: d.reasons,
      step: d.step ?? null,
      note: d.note,
    })),
    clearances: (await em.find(ClearanceRow, mine, byDay)).map((c) => ({ id: c.id, day: c.day, by: c.by, role: c.role, note: c.note })),
  };
}
