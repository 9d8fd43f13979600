import { cosDeg } from "../units";
import {
  ARMS_COM_FRACTION,
  BELLY_ALONG_FRACTION,
  L5_TRUNK_FRACTION,
  LENGTH_FRACTIONS as F,
  SEGMENT_TABLES,
  type SegmentTable,
} from "./segments.data";

export type Sex = "female" | "male";

/** What is known of one client's body. Measured lengths replace the published fractions one by one. */
export interface BodyMeasure {
  heightM: number;
  /** Everything, belly included. */
  massKg: number;
  sex: Sex;
  bellyKg?: number;
  /** How far in front of the trunk line the belly's mass sits. */
  bellyForwardM?: number;
  thighM?: number;
  shankM?: number;
  trunkM?: number;
  segmentTable?: "de-leva" | "winter";
}

/** What replaces the defaults drawn from stature and mass. */
export type BodyOverrides = Omit<BodyMeasure, "heightM" | "massKg" | "sex">;

/** Widest values the model takes; outside them a number is a slip of the pen, not a client. */
export const BODY_LIMITS = {
  heightM: { min: 1.2, max: 2.2 },
  massKg: { min: 30, max: 250 },
  bellyKg: { min: 0, max: 40 },
  bellyForwardM: { min: 0, max: 0.5 },
  thighM: { min: 0.25, max: 0.65 },
  shankM: { min: 0.25, max: 0.65 },
  trunkM: { min: 0.3, max: 0.8 },
} as const;

/** The linked-segment body. Metres and kilograms; leg masses are for one leg, `armsKg` for both arms. */
export interface Body {
  sex: Sex;
  heightM: number;
  massKg: number;
  ankleHeightM: number;
  shankM: number;
  thighM: number;
  trunkM: number;
  armReachM: number;
  footM: number;
  heelBehindAnkleM: number;
  l5M: number;
  hipAboveSeatM: number;
  pelvisComM: number;
  upperComM: number;
  bellyAlongM: number;
  bellyForwardM: number;
  footKg: number;
  shankKg: number;
  thighKg: number;
  pelvisKg: number;
  upperKg: number;
  armsKg: number;
  bellyKg: number;
  footComFraction: number;
  shankComFraction: number;
  thighComFraction: number;
  armsComFraction: number;
}

function segmentTable({ sex, segmentTable: name = "de-leva" }: BodyMeasure): SegmentTable {
  if (name === "winter") return SEGMENT_TABLES.winter;
  return sex === "female" ? SEGMENT_TABLES.deLevaFemale : SEGMENT_TABLES.deLevaMale;
}

/**
 * Segments from stature, mass and sex (docs/equations.md E1). Published shares are divided by their sum, so the
 * segments weigh exactly what the client does.
 * @throws RangeError if stature or mass is not a positive number
 */
export function bodyFromMeasure(measure: BodyMeasure): Body {
  const { heightM, massKg, sex, bellyKg = 0, bellyForwardM = 0.15 } = measure;
  if (!(heightM > 0) || !(massKg > bellyKg)) throw new RangeError(`stature ${heightM} m, mass ${massKg} kg, belly ${bellyKg} kg`);
  const { mass, com, heightAboveHip } = segmentTable(measure);
  const shareSum = 2 * (mass.foot + mass.shank + mass.thigh) + mass.pelvis + mass.upper + mass.arms;
  const kg = (share: number): number => ((massKg - bellyKg) * share) / shareSum;
  const trunkM = measure.trunkM ?? F.trunk * heightM;
  return {
    sex,
    heightM,
    massKg,
    ankleHeightM: F.ankleHeight * heightM,
    shankM: measure.shankM ?? F.shank * heightM,
    thighM: measure.thighM ?? F.thigh * heightM,
    trunkM,
    armReachM: F.armReach * heightM,
    footM: F.foot * heightM,
    heelBehindAnkleM: F.heelBehindAnkle * heightM,
    l5M: L5_TRUNK_FRACTION * trunkM,
    hipAboveSeatM: F.hipAboveSeat * heightM,
    pelvisComM: heightAboveHip.pelvis * heightM,
    upperComM: (heightAboveHip.upper * trunkM) / F.trunk, // the published height, scaled by the measured trunk
    bellyAlongM: BELLY_ALONG_FRACTION * heightM,
    bellyForwardM,
    footKg: kg(mass.foot),
    shankKg: kg(mass.shank),
    thighKg: kg(mass.thigh),
    pelvisKg: kg(mass.pelvis),
    upperKg: kg(mass.upper),
    armsKg: kg(mass.arms),
    bellyKg,
    footComFraction: com.foot,
    shankComFraction: com.shank,
    thighComFraction: com.thigh,
    armsComFraction: ARMS_COM_FRACTION,
  };
}

/**
 * The body as the side view sees it with the legs apart (docs/equations.md E22): thigh and shank are shortened by the
 * cosine of how far each leg leans outward. An assumption of ours: both segments lean alike.
 */
export function withLegsApart(body: Body, apartDeg: number): Body {
  const seen = cosDeg(apartDeg);
  return { ...body, thighM: body.thighM * seen, shankM: body.shankM * seen };
}
