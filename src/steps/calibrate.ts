import type { EntityManager } from "@mikro-orm/postgresql";
import { bodyFromMeasure } from "../core/body/body";
import { variationById } from "../core/catalogue/catalogue";
import { ceilingsFromCalmPose } from "../core/limits/ceiling";
import type { Day } from "../core/day";
import {
  DEFAULT_POSTURE,
  type MeasuredPosture,
  type PostureChoice,
  postureFromCalmPose,
  type PostureRule,
} from "../core/mechanics/posture";
import { fitContextOf } from "../core/record/standing/context";
import { ceilingProposal, isCeilingProvisional } from "../core/record/standing/history";
import type { CalmPoseFact } from "../core/record/facts/record";
import { bodyMeasureOf, subjectOf } from "../core/record/standing/subject";
import { settingProblems } from "../core/templates/form";
import { standingOf } from "../core/templates/pose";
import type { Subject } from "../core/templates/template";
import { addCalmPose, addCeiling, confirmCeiling, addMeasure, addPosture, type NewMeasure } from "../data/repos/client.repo";
import type { Scope } from "../data/scope";
import { withRecord } from "./with-record";
import { refuse, type Taken } from "../core/outcome";

/** The posture rule that a calm pose measured, or null where its shin was not. */
function measuredPosture(
  subject: Subject,
  { shankLeanDeg, trunkLeanDeg, variationId, setting }: Pick<CalmPoseFact, "shankLeanDeg" | "trunkLeanDeg" | "variationId" | "setting">,
): MeasuredPosture | null {
  if (shankLeanDeg === null) return null;
  const standing = standingOf(subject, variationById(variationId), setting);
  if (!standing) return { ok: false, reason: "seat-out-of-reach" };
  return postureFromCalmPose(standing.body, standing.setting, { shankLeanDeg, trunkLeanDeg });
}

/** A calm pose, the posture it measured and the ceilings it sets: kept together or not at all. */
export const recordCalmPose = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  pose: Omit<CalmPoseFact, "massKg" | "bellyKg">,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const [subject, measure] = [subjectOf(record), bodyMeasureOf(record)];
    if (!subject || !measure) return refuse({ code: "no-body" });
    const variation = variationById(pose.variationId);
    const known = { ...subject, leadSide: pose.side };
    const unknown = settingProblems(known, variation, pose.setting).find(({ code }) => code === "unknown-lever");
    if (unknown) return refuse({ code: "unknown-lever", lever: unknown.lever });
    const measured = measuredPosture(known, pose);
    if (measured && !measured.ok) return refuse({ code: measured.reason });
    const posture = measured?.rule ?? record.postures.at(-1)?.rule ?? DEFAULT_POSTURE;
    const calibration = ceilingsFromCalmPose({ body: subject.body, posture }, { ...pose, form: variation });
    if (!calibration.ok) {
      const { reason, channel } = calibration;
      return refuse(channel === null ? { code: "pose-impossible", reason } : { code: "nothing-asked", channel });
    }
    const fact: CalmPoseFact = { ...pose, massKg: measure.massKg, bellyKg: measure.bellyKg ?? 0 };
    await addCalmPose(scope, em, clientId, fact, measured?.rule ?? null, calibration.ceilings);
    return { ok: true };
  });

/**
 * A body measured again. A new mass or belly is a body that has changed; new lengths, stature or table are the same body
 * better known: its posture rule is then computed anew from the calm pose it came from, and ceilings follow by themselves.
 */
export const recordMeasure = (scope: Scope, em: EntityManager, clientId: string, measure: NewMeasure): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const [old, before] = [bodyMeasureOf(record), subjectOf(record)];
    const measured = record.calmPoses.findLast(({ shankLeanDeg }) => shankLeanDeg !== null);
    if (!old || !before || !measured) {
      await addMeasure(scope, em, clientId, measure);
      return { ok: true };
    }
    const { bellyKg: _ofNewBody, ...kept } = measure.overrides ?? {};
    const body = bodyFromMeasure({ ...kept, bellyKg: measured.bellyKg, heightM: measure.heightM, massKg: measured.massKg, sex: old.sex });
    const rule = measuredPosture({ ...before, body }, measured);
    if (rule && !rule.ok) return refuse({ code: rule.reason });
    await addMeasure(scope, em, clientId, measure);
    if (rule && record.postures.at(-1)?.rule.kind === "measured")
      await addPosture(scope, em, clientId, measured.id, measure.day, rule.rule);
    return { ok: true };
  });

/** How the shin is taken to move: by a named rule, or as the calm pose measured it. Ceilings are computed anew under it. */
export const choosePosture = (scope: Scope, em: EntityManager, clientId: string, choice: PostureChoice, day: Day): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const before = subjectOf(record);
    if (!before) return refuse({ code: "no-body" });
    const measured = record.calmPoses.findLast(({ shankLeanDeg }) => shankLeanDeg !== null);
    let posture: PostureRule;
    if (choice === "measured") {
      const rule = measured && measuredPosture(before, measured);
      if (!rule?.ok) return refuse({ code: rule ? rule.reason : "measure-again" });
      posture = rule.rule;
    } else posture = { kind: "named", name: choice };
    await addPosture(scope, em, clientId, choice === "measured" ? (measured?.id ?? null) : null, day, posture);
    return { ok: true };
  });

/** A ceiling as the trainer sets it, by a factor of what it is today: tighter at will, looser with a reason, and then provisional again. */
export const adjustCeiling = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { ceilingId, factor, reason }: { ceilingId: string; factor: number; reason: string },
  today: Day,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const kept = record.ceilings.find(({ id }) => id === ceilingId);
    const context = fitContextOf(record, today);
    const now = context?.ceilings.find(({ id }) => id === ceilingId);
    if (!kept || !context || !now) return refuse({ code: "no-such-ceiling" });
    if (factor > 1 && reason === "") return refuse({ code: "loosening-needs-reason" });
    const id = await addCeiling(scope, em, clientId, {
      ...kept,
      value: now.value * factor,
      raisedBy: kept.raisedBy * factor,
      source: { kind: "trainer", id: kept.id },
      fromDay: today,
      reason,
    });
    const isConfirmed = factor < 1 && !isCeilingProvisional(record, context.subject, now); // what held for more holds for less
    if (isConfirmed) await confirmCeiling(scope, em, clientId, id, today);
    return { ok: true };
  });

/** The trainer's yes to a ceiling that its mornings say should move, up or down. */
export const takeProposedCeiling = (scope: Scope, em: EntityManager, clientId: string, today: Day): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const context = fitContextOf(record, today);
    const proposal = context && ceilingProposal(record, context);
    const kept = record.ceilings.find(({ id }) => id === proposal?.ceiling.id);
    if (!proposal || !kept) return refuse({ code: "no-proposal" });
    const { value, ceiling } = proposal;
    await addCeiling(scope, em, clientId, {
      ...kept,
      value,
      raisedBy: kept.raisedBy * (value / ceiling.value),
      source: { kind: "history", id: kept.id },
      fromDay: today,
      reason: "",
    });
    return { ok: true };
  });
