import type { EntityManager } from "@mikro-orm/postgresql";
import type { ChannelDemand, Day, Decision, DecisionMove, Dose, Morning, MorningClass, Setting, Side, Step } from "../../core";
import { ENGINE_VERSION } from "../../core";
import { DecisionRow, DemandRow, PrescriptionRow, ResponseRow, RungRow, SessionItemRow, SessionRow } from "../entities";
import { audit, type Scope, stamp } from "../scope";

/** A rung as it is kept: the set-up, and what it asked on the day, of which body under which posture rule. */
export interface NewRung {
  variationId: string;
  side: Side;
  setting: Setting;
  day: Day;
  demands: readonly ChannelDemand[];
  useFraction: number | null;
  bodyMeasureId: string;
  postureRuleId: string | null;
}

export async function addRung(scope: Scope, em: EntityManager, clientId: string, rung: NewRung): Promise<string> {
  const { variationId, side, setting, day, demands, useFraction, bodyMeasureId, postureRuleId } = rung;
  const row = { ...stamp(scope), clientId, pattern: "squat" as const, variationId, side, setting, day };
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
  return row.id;
}

/** A session of one prescription. Ids may be given, so that a device or the demo can know them beforehand. */
export async function startSession(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { prescriptionId, day, sessionId, itemId }: { prescriptionId: string; day: Day; sessionId?: string; itemId?: string },
): Promise<{ sessionId: string; itemId: string }> {
  const session = { ...stamp(scope, sessionId), clientId, day };
  const item = { ...stamp(scope, itemId), sessionId: session.id, prescriptionId, position: 0 };
  await em.insert(SessionRow, session);
  await em.insert(SessionItemRow, item);
  await audit(scope, em, "started", "training_session", session.id);
  return { sessionId: session.id, itemId: item.id };
}

export async function recordMorning(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  morning: Morning & { sessionId: string | null; day: Day; warningSigns: string[]; usualScore: number; class: MorningClass },
): Promise<void> {
  const row = { ...stamp(scope), clientId, ...morning };
  await em.insert(ResponseRow, row);
  await audit(scope, em, "recorded", "response", row.id);
}

/** What was decided, by which rule, and what the trainer said instead where it was overruled. */
export interface NewDecision {
  sessionId: string;
  prescriptionId: string;
  day: Day;
  move: DecisionMove;
  overruled: DecisionMove | null;
  reasons: Decision["reasons"];
  rule: Decision["rule"];
  step: Step | null;
  nextRungId: string | null;
  note: string;
}

export async function addDecision(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { step, reasons, ...decision }: NewDecision,
): Promise<string> {
  const row = {
    ...stamp(scope),
    clientId,
    ...decision,
    reasons: [...reasons],
    step: step && { lever: step.lever, from: step.from, to: step.to, riserFraction: step.riserFraction },
    engineVersion: ENGINE_VERSION,
  };
  await em.insert(DecisionRow, row);
  await audit(scope, em, "decided", "decision", row.id);
  return row.id;
}
