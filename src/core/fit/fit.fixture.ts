import { bodyFromMeasure } from "../body/body";
import { variationById } from "../catalogue/catalogue";
import { type Ceiling, ceilingsFromCalmPose, type LimitedBy } from "../limits/ceiling";
import type { Limit } from "../limits/limit";
import { DEFAULT_POSTURE } from "../mechanics/posture";
import { DEFAULT_INCREMENTS, type FitContext } from "./candidate";

/** One invented client for tests: a sore right knee, calm on a 58 cm seat. */
export const BODY = bodyFromMeasure({ heightM: 1.68, massKg: 74, sex: "female" });

export function calmCeilings(limitedBy: LimitedBy, seatHeightM: number): Ceiling[] {
  const variation = variationById("raised-sit-to-stand");
  const calibration = ceilingsFromCalmPose(
    { body: BODY, posture: DEFAULT_POSTURE },
    { id: "calm", day: "2026-10-01", side: "right", limitedBy, variation, setting: { seatHeightM }, shareFraction: 0.5 },
  );
  if (!calibration.ok) throw new Error(calibration.reason);
  return calibration.ceilings.map((ceiling, i) => ({ ...ceiling, id: `ceiling-${i}` }));
}

export const kneeLimit = (maxDeg: number, more: Partial<Limit> = {}): Limit => ({
  id: "surgeon",
  rule: { kind: "knee-bend", maxDeg },
  side: "right",
  owner: { kind: "clinician", name: "surgeon" },
  fromDay: "2026-09-01",
  untilDay: "2027-01-12",
  lift: null,
  ...more,
});

export const contextWith = (more: Partial<FitContext> = {}): FitContext => ({
  subject: { body: BODY, posture: DEFAULT_POSTURE, leadSide: "right" },
  limits: [],
  ceilings: calmCeilings("kneecap", 0.58),
  today: "2026-11-26",
  increments: DEFAULT_INCREMENTS,
  equipment: ["chair", "pads", "box", "pole", "counter", "rail", "dumbbell", "barbell"],
  targetUseFraction: 0.7,
  ...more,
});
