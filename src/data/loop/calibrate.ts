import type { EntityManager } from "@mikro-orm/postgresql";
import {
  bodyFromMeasure,
  bodyMeasureOf,
  type CalmPoseFact,
  ceilingForBody,
  ceilingProposal,
  ceilingsFromCalmPose,
  type ClientRecord,
  currentCeilings,
  type Day,
  DEFAULT_POSTURE,
  type MeasuredPosture,
  type PostureChoice,
  type PostureRule,
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
    await carryCeilings(scope, em, record, before, { body, posture: rule?.rule ?? before.posture }, measure.day);
    return { ok: true };
  });

/** What the ceilings are when the same calm poses are computed another way: kept as new facts where they differ. */
async function carryCeilings(
  scope: Scope,
  em: EntityManager,
  { client, calmPoses, ceilings }: ClientRecord,
  before: Pick<Subject, "body" | "posture">,
  after: Pick<Subject, "body" | "posture">,
  day: Day,
): Promise<void> {
  for (const { id, ...ceiling } of currentCeilings(ceilings, day)) {
    const calm = calmPoses.findLast(({ side }) => side === ceiling.side || ceiling.side === "both");
    const value = calm && ceilingForBody(ceiling, { ...calm, variation: variationById(calm.variationId) }, before, after);
    if (value && Math.abs(value / ceiling.value - 1) > SAME_VALUE) await addCeiling(scope, em, client.id, { ...ceiling, value });
  }
}

/** How the shin is taken to move: by a named rule, or as the calm pose measured it. Uses stay ratios to that pose, so its ceilings are computed anew. */
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
    await carryCeilings(scope, em, record, before, { body: before.body, posture }, day);
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
