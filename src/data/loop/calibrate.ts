import type { EntityManager } from "@mikro-orm/postgresql";
import {
  bodyFromMeasure,
  bodyMeasureOf,
  type CalmPoseFact,
  ceilingForBody,
  ceilingProposal,
  ceilingsFromCalmPose,
  currentCeilings,
  type Day,
  DEFAULT_POSTURE,
  type MeasuredPosture,
  postureFromCalmPose,
  standsInForIt,
  standingSettingOf,
  type Subject,
  subjectOf,
  variationById,
} from "../../core";
import { addCalmPose, addCeiling, addMeasure, addPosture, type NewMeasure } from "../repos/client.repo";
import type { Scope } from "../scope";
import { refuse, type Taken, withRecord } from "./load";

/** Relative change of a ceiling that is not worth a new fact. */
const SAME_VALUE = 1e-6;

/** The posture rule that a calm pose measured, or null where its shin was not. */
function measuredPosture(subject: Subject, { shankLeanDeg, trunkLeanDeg, variationId, setting }: CalmPoseFact): MeasuredPosture | null {
  if (shankLeanDeg === null) return null;
  return postureFromCalmPose(subject.body, standingSettingOf(subject, variationById(variationId), setting), { shankLeanDeg, trunkLeanDeg });
}

/** A calm pose, the posture it measured and the ceilings it sets: kept together or not at all. */
export const recordCalmPose = (scope: Scope, em: EntityManager, clientId: string, pose: CalmPoseFact): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const subject = subjectOf(record);
    if (!subject) return refuse({ code: "no-body" });
    const variation = variationById(pose.variationId);
    const known = { ...subject, leadSide: pose.side };
    const measured = measuredPosture(known, pose);
    if (measured && !measured.ok) return refuse({ code: measured.reason });
    const posture = measured?.rule ?? record.postures.at(-1)?.rule ?? DEFAULT_POSTURE;
    const calibration = ceilingsFromCalmPose({ body: subject.body, posture }, { ...pose, variation });
    if (!calibration.ok) return refuse({ code: "pose-impossible", reason: calibration.reason });
    await addCalmPose(scope, em, clientId, pose, measured?.rule ?? null, calibration.ceilings);
    return { ok: true };
  });

/**
 * A body measured again. A new mass or belly is a body that has changed; new lengths, stature or table are the same body
 * better known: its posture rule and its ceilings are then computed anew from the calm pose they came from.
 */
export const recordMeasure = (scope: Scope, em: EntityManager, clientId: string, measure: NewMeasure): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const [old, before] = [bodyMeasureOf(record), subjectOf(record)];
    if (!old || !before) {
      await addMeasure(scope, em, clientId, measure);
      return { ok: true };
    }
    const { bellyKg: ofNewBody, ...kept } = measure.overrides ?? {};
    const belly = old.bellyKg === undefined ? {} : { bellyKg: old.bellyKg };
    const body = bodyFromMeasure({ ...kept, ...belly, heightM: measure.heightM, massKg: old.massKg, sex: old.sex });
    const measured = record.calmPoses.findLast(({ shankLeanDeg }) => shankLeanDeg !== null);
    const rule = measured && measuredPosture({ ...before, body }, measured);
    if (rule && !rule.ok) return refuse({ code: rule.reason });
    await addMeasure(scope, em, clientId, measure);
    if (measured && rule) await addPosture(scope, em, clientId, measured.id, measure.day, rule.rule);
    const after = { body, posture: rule?.rule ?? before.posture };
    for (const { id, ...ceiling } of currentCeilings(record.ceilings, measure.day)) {
      const calm = record.calmPoses.findLast(({ side }) => side === ceiling.side || ceiling.side === "both");
      const value = calm && ceilingForBody(ceiling, { ...calm, variation: variationById(calm.variationId) }, before, after);
      if (value && Math.abs(value / ceiling.value - 1) > SAME_VALUE) await addCeiling(scope, em, clientId, { ...ceiling, value });
    }
    return { ok: true };
  });

/** The trainer's yes to a ceiling that calm mornings near it have earned. */
export const raiseCeiling = (scope: Scope, em: EntityManager, clientId: string, today: Day): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const proposal = ceilingProposal(record, today);
    if (!proposal) return refuse({ code: "no-plan" });
    const { ceiling, value } = proposal;
    const rising = currentCeilings(record.ceilings, today).filter((other) => other.id === ceiling.id || standsInForIt(other, ceiling));
    for (const { id, ...each } of rising)
      await addCeiling(scope, em, clientId, {
        ...each,
        value: each.value * (value / ceiling.value),
        source: { kind: "history", id },
        fromDay: today,
      });
    return { ok: true };
  });
