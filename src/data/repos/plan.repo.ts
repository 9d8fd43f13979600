import type { EntityManager } from "@mikro-orm/postgresql";
import type { Dose, Pattern } from "../../core/catalogue/variation";
import type { Day } from "../../core/day";
import type { Demand, Side } from "../../core/mechanics/channels";
import type { Decision, DecisionMove, Next } from "../../core/progress/decide";
import { ENGINE_VERSION, type ResponseFact, type SessionFact } from "../../core/record/facts/record";
import type { Part } from "../../core/dose/part";
import type { Setting } from "../../core/templates/lever";
import { DecisionRow, DemandRow, PrescriptionRow, ResponseRow, RungRow, SessionItemRow, SessionRow } from "../tables/loop-entities";
import { audit, type Scope, stamp } from "../scope";
import { toStored } from "../tables/setting";

/** A rung as it is kept: the set-up, and what it asked on the day, of which body under which posture rule. */
export interface NewRung {
  pattern: Pattern;
  variationId: string;
  side: Side;
  /** Which place of the programme it stands in; null for what Fit keeps. */
  line: string | null;
  setting: Setting;
  day: Day;
  demands: readonly Demand[];
  useFraction: number | null;
  bodyMeasureId: string;
  postureRuleId: string | null;
}

export async function addRung(scope: Scope, em: EntityManager, clientId: string, rung: NewRung): Promise<string> {
  const { pattern, variationId, side, line, setting, day, demands, useFraction, bodyMeasureId, postureRuleId } = rung;
  const row = { ...stamp(scope), clientId, pattern, variationId, side, line, setting: toStored(setting), day };
  await em.insert(RungRow, row);
  await em.insert(DemandRow, {
    ...stamp(scope),
    rungId: row.id,
    bodyMeasureId,
    postureRuleId,
    engineVersion: ENGINE_VERSION,
    channels: [...demands],
    useFraction,
  });
  await audit(scope, em, "kept", "rung", row.id);
  return row.id;
}

export async function prescribe(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { rungId, dose, day, decisionId = null, note = "" }: { rungId: string; dose: Dose; day: Day; decisionId?: string | null; note?: string },
): Promise<string> {
  const row = { ...stamp(scope), clientId, rungId, dose, day, decisionId, note };
  await em.insert(PrescriptionRow, row);
  await audit(scope, em, "prescribed", "prescription", row.id);
  return row.id;
}

export interface NewItem {
  prescriptionId: string;
  itemId?: string;
  part?: Part | null;
  /** Its sets go in turn with those of the item after it. */
  inTurn?: boolean;
}

/** A session of prescriptions, in order. Ids may be given, so that a device or the demo can know them beforehand. */
export async function startSession(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  {
    day,
    sessionId,
    isLight = false,
    place = "studio",
    items,
  }: { day: Day; sessionId?: string; isLight?: boolean; place?: SessionFact["place"]; items: readonly NewItem[] },
): Promise<string> {
  const session = { ...stamp(scope, sessionId), clientId, day, endedAt: null, isLight, place };
  await em.insert(SessionRow, session);
  await em.insertMany(
    SessionItemRow,
    items.map(({ prescriptionId, itemId, part = null, inTurn = false }, position) => ({
      ...stamp(scope, itemId),
      sessionId: session.id,
      prescriptionId,
      position,
      part,
      inTurn,
    })),
  );
  await audit(scope, em, "started", "training_session", session.id);
  return session.id;
}

/** One more item at the end of a session. */
export async function addItem(scope: Scope, em: EntityManager, sessionId: string, { prescriptionId, itemId }: NewItem): Promise<void> {
  const position = await em.count(SessionItemRow, { studioId: scope.studioId, sessionId });
  await em.insert(SessionItemRow, { ...stamp(scope, itemId), sessionId, prescriptionId, position, part: null, inTurn: false });
}

/** A morning's answer; one that corrects another is its next revision, and the old one is kept. */
export async function recordMorning(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { id: _id, ...morning }: Omit<ResponseFact, "id"> & { id?: string },
): Promise<void> {
  const { studioId } = scope;
  const { sessionId, underRelief = false, told = {} } = morning;
  const revision = sessionId === null ? 0 : await em.count(ResponseRow, { studioId, sessionId });
  const row = {
    ...stamp(scope),
    clientId,
    revision,
    ...morning,
    underRelief,
    told,
    pains: [...morning.pains],
    warningSigns: [...morning.warningSigns],
  };
  await em.insert(ResponseRow, row);
  await audit(scope, em, revision === 0 ? "recorded" : "corrected", "response", row.id);
}

/** What was decided, by which rule, and what the trainer said instead where it was overruled. */
export interface NewDecision {
  sessionId: string;
  itemId: string;
  prescriptionId: string;
  day: Day;
  move: DecisionMove;
  overruled: DecisionMove | null;
  reasons: Decision["reasons"];
  rule: Decision["rule"];
  next: Next | null;
  nextRungId: string | null;
  note: string;
}

export async function addDecision(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { next, reasons, ...decision }: NewDecision,
): Promise<string> {
  const change = next && { ...next.change, riserFraction: next.riserFraction };
  const row = { ...stamp(scope), clientId, ...decision, reasons: [...reasons], change, engineVersion: ENGINE_VERSION };
  await em.insert(DecisionRow, row);
  await audit(scope, em, "decided", "decision", row.id);
  return row.id;
}
