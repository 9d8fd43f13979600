import type { EntityManager } from "@mikro-orm/postgresql";
import {
  type ClientRecord,
  currentPlan,
  type Day,
  decisionFor,
  type DecisionMove,
  type Dose,
  fitContextOf,
  isSameSetting,
  isSettingOf,
  judge,
  openWarning,
  overruleRefusal,
  type Setting,
  type Step,
  type StudioKit,
  variationById,
} from "../../core";
import { addDecision, addRung, prescribe, startSession } from "../repos/plan.repo";
import type { Scope } from "../scope";
import { refuse, type Taken, withRecord } from "./load";

/** Keeps a rung with what it asks today; the one in force is kept on, so that its sessions go on counting. Judged again here: the page's own figures are not taken on trust. */
async function keepJudged(
  scope: Scope,
  em: EntityManager,
  record: ClientRecord,
  { variationId, setting, day, kit }: { variationId: string; setting: Setting; day: Day; kit: StudioKit },
): Promise<Taken<{ rungId: string; closed: boolean }>> {
  const context = fitContextOf(record, day, kit);
  const measure = record.measures.at(-1);
  if (!context || !measure) return refuse({ code: "no-body" });
  const variation = variationById(variationId);
  if (!isSettingOf(variation, setting)) return refuse({ code: "setting-out-of-range" });
  const judgement = judge(context, variation, setting);
  if (judgement.pose === null) {
    const [reason] = judgement.reasons;
    return refuse({ code: "pose-impossible", reason: reason.code === "pose-impossible" ? reason.reason : reason.code });
  }
  if (judgement.blocked) return refuse({ code: "blocked-by-limit" });
  const closed = judgement.state === "closed";
  const standing = currentPlan(record)?.rung;
  if (standing?.variationId === variationId && isSameSetting(standing.setting, setting)) return { ok: true, rungId: standing.id, closed };
  const rungId = await addRung(scope, em, record.client.id, {
    variationId,
    setting,
    day,
    side: record.client.side,
    demands: judgement.demands,
    useFraction: judgement.tightest?.head ?? null,
    bodyMeasureId: measure.id,
    postureRuleId: record.postures.at(-1)?.id ?? null,
  });
  return { ok: true, rungId, closed };
}

/** Keep: the chosen rung and dose become the plan. Past a ceiling only with a note; past a limit never. */
export const keepRung = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  choice: { variationId: string; setting: Setting; dose: Dose; note: string },
  day: Day,
  kit: StudioKit,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const warning = openWarning(record);
    if (warning) return refuse({ code: "warning-open", day: warning.day });
    const kept = await keepJudged(scope, em, record, { ...choice, day, kit });
    if (!kept.ok) return kept;
    if (kept.closed && choice.note.trim() === "") return refuse({ code: "closed-needs-note" });
    await prescribe(scope, em, clientId, { rungId: kept.rungId, dose: choice.dose, day, note: choice.note.trim() });
    return { ok: true };
  });

/** Today's session: the one under way, or a new one of the current plan. */
export const openSession = (scope: Scope, em: EntityManager, clientId: string, day: Day): Promise<Taken<{ sessionId: string }>> =>
  withRecord(scope, em, clientId, async (record) => {
    const warning = openWarning(record);
    if (warning) return refuse({ code: "warning-open", day: warning.day });
    const underWay = record.sessions.findLast((session) => session.day === day && session.endedAt === null);
    if (underWay) return { ok: true, sessionId: underWay.id };
    const plan = currentPlan(record);
    if (!plan) return refuse({ code: "no-plan" });
    const { sessionId } = await startSession(scope, em, clientId, { prescriptionId: plan.prescription.id, day });
    return { ok: true, sessionId };
  });

/** What the trainer decided about a session: the rules' own move, or another with a note. */
export interface DecisionChoice {
  sessionId: string;
  /** Null takes whatever the rules say. */
  move: DecisionMove | null;
  note: string;
}

export const decideSession = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { sessionId, move: chosen, note }: DecisionChoice,
  day: Day,
  kit: StudioKit,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const session = record.sessions.find(({ id }) => id === sessionId);
    if (!session) return refuse({ code: "no-such-session" });
    if (record.decisions.some((decision) => decision.sessionId === sessionId)) return refuse({ code: "already-decided" });
    const found = decisionFor(record, session, day, kit);
    const prescription = record.prescriptions.find(({ id }) => id === session.items[0]?.prescriptionId);
    if (!found || !prescription) return refuse({ code: "no-plan" });
    const { decision, input } = found;
    const move = chosen ?? decision.move;
    const overruled = move !== decision.move;
    let step: Step | null = decision.step;
    if (overruled) {
      if (move === "stop") return refuse({ code: "overrule-refused", reason: "no-such-step" });
      step = move === "hold" ? null : input[move];
      const refusal = overruleRefusal(decision, move, step, note);
      if (refusal) return refuse({ code: "overrule-refused", reason: refusal.code });
    }
    const rung = record.rungs.find(({ id }) => id === prescription.rungId);
    let nextRungId: string | null = null;
    if (step && rung) {
      const kept = await keepJudged(scope, em, record, { variationId: rung.variationId, setting: step.setting, day, kit });
      if (!kept.ok) return kept;
      nextRungId = kept.rungId;
    }
    const decisionId = await addDecision(scope, em, clientId, {
      sessionId,
      prescriptionId: prescription.id,
      day,
      move,
      overruled: overruled ? decision.move : null,
      rule: decision.rule,
      reasons: decision.reasons,
      step,
      nextRungId,
      note: note.trim(),
    });
    if (nextRungId) await prescribe(scope, em, clientId, { rungId: nextRungId, dose: prescription.dose, day, decisionId });
    return { ok: true };
  });
