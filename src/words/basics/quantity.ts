import { tradeIn, tradeLb } from "../../core/dose/load";
import { inFromM, kgfFromN, lbFromKg, type UnitSystem } from "../../core/units";

/** Rounding is wording: numbers become text here and nowhere else. */
const SHORT_DASH = "–";

export const lengthText = (lengthM: number, units: UnitSystem): string =>
  units === "metric" ? `${Math.round(lengthM * 100)} cm` : `${inFromM(lengthM).toFixed(1)} in`;

/** Of something thin: to the half centimetre or the quarter inch. */
export const thicknessText = (thicknessM: number, units: UnitSystem): string =>
  units === "metric" ? `${trimmed(thicknessM * 100)} cm` : `${Math.round(inFromM(thicknessM) * 4) / 4} in`;

export function statureText(heightM: number, units: UnitSystem): string {
  if (units === "metric") return `${Math.round(heightM * 100)} cm`;
  const inches = Math.round(inFromM(heightM));
  return `${Math.floor(inches / 12)} ft ${inches % 12} in`;
}

export const massText = (massKg: number, units: UnitSystem): string =>
  units === "metric" ? `${trimmed(massKg)} kg` : `${Math.round(lbFromKg(massKg))} lb`;

/** A load, and a height it is lifted to, as the trade says them: pounds to five, inches to the half. */
export const loadText = (massKg: number, units: UnitSystem): string =>
  units === "metric" ? massText(massKg, units) : `${tradeLb(massKg)} lb`;
export const tradeHeightText = (heightM: number, units: UnitSystem): string =>
  units === "metric" ? lengthText(heightM, units) : `${tradeIn(heightM)} in`;

/** A hand force as what a hand scale reads. */
export const handText = (forceN: number, units: UnitSystem): string => massText(kgfFromN(forceN), units);
export const percentText = (fraction: number): string => `${Math.round(fraction * 100)}%`;
export const percentRangeText = (low: number, high: number): string =>
  percentText(low) === percentText(high) ? percentText(high) : `${Math.round(low * 100)} to ${percentText(high)}`;
export const angleText = (angleDeg: number): string => `${Math.round(angleDeg)}°`;
export const secondsText = (seconds: number): string => (seconds < 90 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`);
export const clockText = (seconds: number): string => `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, "0")}`;
export const rangeText = (low: number, high: number): string => (low === high ? String(low) : `${low}${SHORT_DASH}${high}`);

const trimmed = (value: number): string => (Math.abs(value - Math.round(value)) < 0.05 ? String(Math.round(value)) : value.toFixed(1));
