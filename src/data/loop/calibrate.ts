import type { EntityManager } from "@mikro-orm/postgresql";
import {
  type CalmPoseFact,
  ceilingProposal,
  ceilingsFromCalmPose,
  currentCeilings,
  type Day,
  DEFAULT_POSTURE,
  postureFromCalmPose,
  standsInForIt,
  standingSettingOf,
  subjectOf,
  variationById,
} from "../../core";
import { addCalmPose, addCeiling } from "../repos/client.repo";
import type { Scope } from "../scope";
import { refuse, type Taken, withRecord } from "./load";

/** A calm pose, the posture it measured and the ceilings it sets: kept together or not at all. */
export const recordCalmPose = (scope: Scope, em: EntityManager, clientId: string, pose: CalmPoseFact): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const subject = subjectOf(record);
    if (!subject) return refuse({ code: "no-body" });
    const variation = variationById(pose.variationId);
    const known = { ...subject, leadSide: pose.side };
    const { shankLeanDeg, trunkLeanDeg } = pose;
    const measured =
      shankLeanDeg === null
        ? null
        : postureFromCalmPose(known.body, standingSettingOf(known, variation, pose.setting), { shankLeanDeg, trunkLeanDeg });
    if (measured && !measured.ok) return refuse({ code: measured.reason });
    const posture = measured?.rule ?? record.postures.at(-1)?.rule ?? DEFAULT_POSTURE;
    const calibration = ceilingsFromCalmPose({ body: subject.body, posture }, { ...pose, variation });
    if (!calibration.ok) return refuse({ code: "pose-impossible", reason: calibration.reason });
    await addCalmPose(scope, em, clientId, pose, measured?.rule ?? null, calibration.ceilings);
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
