import { type Equipment, type LeverId, type Setting, unreachable } from "../../core";
import { angleText, handText, lengthText, massText, percentText, type UnitSystem } from "./quantity-text";

export function leverName(lever: LeverId): string {
  switch (lever) {
    case "seatHeightM":
      return "Seat height";
    case "kneeFlexionDeg":
      return "Knee bend";
    case "handForceN":
      return "Hand support";
    case "loadKg":
      return "Load";
    case "shareFraction":
      return "Share";
    default:
      return unreachable(lever);
  }
}

export function leverValueText(lever: LeverId, value: number, units: UnitSystem): string {
  switch (lever) {
    case "seatHeightM":
      return lengthText(value, units);
    case "kneeFlexionDeg":
      return angleText(value);
    case "handForceN":
      return value > 0 ? handText(value, units) : "none";
    case "loadKg":
      return value > 0 ? massText(value, units) : "none";
    case "shareFraction":
      return percentText(value);
    default:
      return unreachable(lever);
  }
}

/** "seat 60 cm, 8 kg through the hands" */
export function settingText({ seatHeightM, kneeFlexionDeg, handForceN, loadKg }: Setting, units: UnitSystem): string {
  const parts = [
    seatHeightM !== undefined && `seat ${lengthText(seatHeightM, units)}`,
    kneeFlexionDeg !== undefined && `bend ${angleText(kneeFlexionDeg)}`,
    handForceN !== undefined && (handForceN > 0 ? `hands ${handText(handForceN, units)}` : "hands free"),
    loadKg !== undefined && (loadKg > 0 ? `${massText(loadKg, units)} in hand` : "no load"),
  ];
  return parts.filter(Boolean).join(", ");
}

/** "Seat 60 → 59 cm", in set-up words. */
export const stepText = (lever: LeverId, from: number, to: number, units: UnitSystem): string =>
  `${leverName(lever)} ${leverValueText(lever, from, units)} → ${leverValueText(lever, to, units)}`;

export const equipmentText = (equipment: readonly Equipment[]): string => equipment.join(", ");
