import { bodyFromMeasure } from "../body/body";
import { variationByCode, variationById } from "../catalogue/catalogue";
import { type Ceiling, ceilingsFromCalmPose } from "../limits/ceiling";
import type { Complaint, LimitedBy } from "../limits/complaint";
import type { Limit } from "../limits/limit";
import { DEFAULT_POSTURE } from "../mechanics/posture";
import type { FitContext } from "./context";
import { DEFAULT_KIT } from "../kit/kit";
import { DEFAULT_SCHOOL } from "../approach/approach";

/** One invented client for tests: a sore right knee, calm on a 58 cm seat. */
export const BODY = bodyFromMeasure({ heightM: 1.68, massKg: 74, sex: "female" });
export const SUBJECT = { body: BODY, posture: DEFAULT_POSTURE, leadSide: "right" } as const;

export function calmCeilings(limitedBy: LimitedBy, seatHeightM: number): Ceiling[] {
  const calibration = ceilingsFromCalmPose(
    { body: BODY, posture: DEFAULT_POSTURE },
    {
      id: "calm",
      day: "2026-10-01",
      side: "right",
      limitedBy,
      form: variationById("raised-sit-to-stand"),
      setting: { seatHeightM },
      shareFraction: 0.5,
    },
  );
  if (!calibration.ok) throw new Error(calibration.reason);
  return calibration.ceilings.map((ceiling, i) => ({ ...ceiling, id: `ceiling-${i}` }));
}

export const complaint = (more: Partial<Complaint> = {}): Complaint => ({
  id: "sore",
  site: "kneecap",
  side: "right",
  words: "front of the right knee",
  usualPainScore: 1,
  painLimitScore: 3,
  ...more,
});

export const limit = (rule: Limit["rule"], more: Partial<Limit> = {}): Limit => ({
  id: "surgeon",
  rule,
  side: "right",
  owner: { kind: "clinician", name: "surgeon" },
  fromDay: "2026-09-01",
  untilDay: "2027-01-12",
  lift: null,
  ...more,
});
export const kneeLimit = (mostDeg: number, more: Partial<Limit> = {}): Limit =>
  limit({ kind: "most", channel: "kneeFlexion", most: mostDeg }, more);

export const contextWith = (more: Partial<FitContext> = {}): FitContext => ({
  subject: SUBJECT,
  complaints: [complaint()],
  conditions: [],
  nothingHurts: false,
  careful: [],
  limits: [],
  ceilings: calmCeilings("kneecap", 0.58),
  unusable: [],
  calmLoads: {},
  calmRows: [],
  ownRange: {},
  today: "2026-11-26",
  kit: DEFAULT_KIT,
  school: DEFAULT_SCHOOL,
  targetUseFraction: DEFAULT_SCHOOL.targetUseFraction,
  ...more,
});
/** The row of a code; a code that is none fails the test that uses it. */
export function idOf(code: string): string {
  const row = variationByCode(code);
  if (!row) throw new Error(`no row ${code}`);
  return row.id;
}
