/** Heart rate and oxygen uptake: for conditioning only, and never where a medicine blunts the heart. */

export interface HeartRateAsked {
  age: number;
  restingBpm?: number;
  reserveFraction?: number;
  betaBlocker?: boolean;
}
/** Source: Tanaka 2001, 208 - 0.7 age; on a beta blocker Brawner 2004, 164 - 0.7 age. A share of the reserve by Karvonen 1957. */
export function heartRate({ age, restingBpm, reserveFraction, betaBlocker }: HeartRateAsked): { maximumBpm: number; targetBpm?: number } {
  const maximumBpm = (betaBlocker ? 164 : 208) - 0.7 * age;
  if (restingBpm === undefined || reserveFraction === undefined) return { maximumBpm };
  return { maximumBpm, targetBpm: restingBpm + reserveFraction * (maximumBpm - restingBpm) };
}

export type Activity =
  | { activity: "step"; stepsPerMin: number; heightM: number }
  | { activity: "leg-ergometer" | "arm-ergometer"; watts: number; massKg: number }
  | { activity: "walk"; metresPerMin: number; grade: number };

export const ML_KG_MIN_PER_MET = 3.5;

function uptake(asked: Activity): number {
  switch (asked.activity) {
    case "step":
      return 0.2 * asked.stepsPerMin + 1.33 * 1.8 * asked.heightM * asked.stepsPerMin + 3.5;
    case "leg-ergometer":
      return (10.8 * asked.watts) / asked.massKg + 7;
    case "arm-ergometer":
      return (18 * asked.watts) / asked.massKg + 3.5;
    case "walk":
      return 0.1 * asked.metresPerMin + 1.8 * asked.metresPerMin * asked.grade + 3.5;
  }
}
/** Steady oxygen uptake, in mL/kg/min and in multiples of rest. Source: ACSM's Guidelines, metabolic equations. */
export function metabolic(asked: Activity): { vo2MlKgMin: number; met: number } {
  const vo2MlKgMin = uptake(asked);
  return { vo2MlKgMin, met: vo2MlKgMin / ML_KG_MIN_PER_MET };
}
