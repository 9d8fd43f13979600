import { KNEECAP_VALID_TO_DEG } from "./channels";

/** Contact area of the kneecap at 0, 15 ... 90 degrees of knee bend, mm² (Powers 1998; docs/sources.md). */
const CONTACT_AREA_MM2 = [83, 140, 227, 236, 235, 211, 199] as const;
const AREA_STEP_DEG = 15;

const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

/** Lever arm of the quadriceps about the knee, mm (van Eijden 1986 as used by Brechter & Powers 2002; E9). */
export function quadricepsArmMm(kneeFlexionDeg: number): number {
  const x = clamp(kneeFlexionDeg, 0, 120);
  return ((8e-5 * x - 0.013) * x + 0.28) * x + 46;
}

/** Kneecap contact force over quadriceps force. Clamped at 110 degrees: the denominator nears zero at 127 (E10). */
export function contactRatio(kneeFlexionDeg: number): number {
  const x = clamp(kneeFlexionDeg, 0, 110);
  return (0.462 + (1.47e-3 - 3.84e-5 * x) * x) / (1 - (1.62e-2 - (1.55e-4 - 6.98e-7 * x) * x) * x);
}

/** Kneecap contact area, mm², linear between the published angles and held outside them. */
export function contactAreaMm2(kneeFlexionDeg: number): number {
  const x = clamp(kneeFlexionDeg, 0, KNEECAP_VALID_TO_DEG) / AREA_STEP_DEG;
  const i = Math.min(Math.floor(x), CONTACT_AREA_MM2.length - 2);
  const low = CONTACT_AREA_MM2[i] ?? NaN;
  const high = CONTACT_AREA_MM2[i + 1] ?? NaN;
  return low + (high - low) * (x - i);
}

export interface KneecapLoad {
  quadricepsN: number;
  contactN: number;
  stressMPa: number;
}

/** Quadriceps force, kneecap contact force and stress from a flexing knee moment; all zero when it does not flex (E9 to E11). */
export function kneecapLoad(kneeMomentNm: number, kneeFlexionDeg: number): KneecapLoad {
  const quadricepsN = Math.max(0, kneeMomentNm) / (quadricepsArmMm(kneeFlexionDeg) / 1000);
  const contactN = contactRatio(kneeFlexionDeg) * quadricepsN;
  return { quadricepsN, contactN, stressMPa: contactN / contactAreaMm2(kneeFlexionDeg) };
}

const stressPerMoment = (kneeFlexionDeg: number): number =>
  contactRatio(kneeFlexionDeg) / (quadricepsArmMm(kneeFlexionDeg) / 1000) / contactAreaMm2(kneeFlexionDeg);
/** MPa of kneecap stress for each newton metre of knee moment at 90 degrees, where the tissue tables end. */
export const STRESS_PER_MOMENT_AT_90 = stressPerMoment(KNEECAP_VALID_TO_DEG);

/**
 * Kneecap stress for comparing set-ups, MPa. Past 90 degrees of bend the tables are extrapolated and would fall again:
 * there the knee's moment stands in, at the stress it has per newton metre at 90 (E11), so that deeper never reads easier.
 */
export const rankedStressMPa = (kneeMomentNm: number, kneeFlexionDeg: number): number =>
  kneeFlexionDeg > KNEECAP_VALID_TO_DEG
    ? Math.max(0, kneeMomentNm) * STRESS_PER_MOMENT_AT_90
    : kneecapLoad(kneeMomentNm, kneeFlexionDeg).stressMPa;
