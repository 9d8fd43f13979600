import { FREQUENCY_ROWS } from "./lifting.data";

export const COUPLINGS = ["good", "fair", "poor"] as const;
export interface Lift {
  loadKg: number;
  /** Hands ahead of the ankles. */
  horizontalCm: number;
  /** Hands above the floor. */
  verticalCm: number;
  /** Travelled upward or downward. */
  distanceCm: number;
  asymmetryDeg: number;
  liftsPerMin: number;
  /** At most 8. */
  hours: number;
  coupling: (typeof COUPLINGS)[number];
  /** Multipliers as the manual prints them, to two decimals. */
  twoDecimals?: boolean;
}
export interface LiftLimit {
  limitKg: number;
  /** Load over limit; null where nothing may be lifted at all. */
  index: number | null;
  multipliers: Record<"horizontal" | "vertical" | "distance" | "asymmetry" | "frequency" | "coupling", number>;
}
const LOAD_CONSTANT_KG = 23;
const WAIST_CM = 75;

const horizontalOf = (cm: number): number => (cm > 63 ? 0 : Math.min(1, 25 / cm));
const verticalOf = (cm: number): number => (cm < 0 || cm > 175 ? 0 : 1 - 0.003 * Math.abs(cm - WAIST_CM));
const distanceOf = (cm: number): number => (cm > 175 ? 0 : cm < 25 ? 1 : Math.min(1, 0.82 + 4.5 / cm));
const asymmetryOf = (deg: number): number => (deg > 135 ? 0 : 1 - 0.0032 * deg);

/** Between two frequencies of the table the higher one is read: never more than was published. */
function frequencyOf(liftsPerMin: number, hours: number, verticalCm: number): number {
  const row = FREQUENCY_ROWS.find(([most]) => liftsPerMin <= most + 1e-9);
  const column = 1 + (hours <= 1 ? 0 : hours <= 2 ? 2 : 4) + (verticalCm < WAIST_CM ? 0 : 1);
  return row?.[column] ?? 0;
}
const couplingOf = (coupling: Lift["coupling"], verticalCm: number): number =>
  coupling === "good" ? 1 : coupling === "poor" ? 0.9 : verticalCm < WAIST_CM ? 0.95 : 1;

/** What two hands may lift, for talking about an everyday lift; never for a training load. Source: NIOSH 94-110, Waters 1993. */
export function liftLimit(lift: Lift): LiftLimit {
  const exact: LiftLimit["multipliers"] = {
    horizontal: horizontalOf(lift.horizontalCm),
    vertical: verticalOf(lift.verticalCm),
    distance: distanceOf(lift.distanceCm),
    asymmetry: asymmetryOf(lift.asymmetryDeg),
    frequency: frequencyOf(lift.liftsPerMin, lift.hours, lift.verticalCm),
    coupling: couplingOf(lift.coupling, lift.verticalCm),
  };
  const rounded = (value: number): number => (lift.twoDecimals ? Math.round(value * 100 + 1e-9) / 100 : value);
  const { horizontal, vertical, distance, asymmetry, frequency, coupling } = exact;
  const multipliers = {
    horizontal: rounded(horizontal),
    vertical: rounded(vertical),
    distance: rounded(distance),
    asymmetry: rounded(asymmetry),
    frequency: rounded(frequency),
    coupling: rounded(coupling),
  };
  const limitKg = Object.values(multipliers).reduce((product, multiplier) => product * multiplier, LOAD_CONSTANT_KG);
  return { limitKg, index: limitKg > 0 ? lift.loadKg / limitKg : null, multipliers };
}
