import { inFromM, mFromIn } from "../../core";
import type { UnitSystem } from "../text/quantity-text";

/** How finely a length is entered. */
export interface LengthSteps {
  metricCm: number;
  imperialIn: number;
}
/** A height or length as a rule gives it. */
export const BY_RULE: LengthSteps = { metricCm: 1, imperialIn: 0.5 };

const toStep = (value: number, step: number): number => Math.round(value / step) * step;

/** A number field for a length: metres inside, centimetres or inches on the screen; its ends lie within the limits. */
export function lengthField(
  units: UnitSystem,
  valueM: number,
  { min, max }: { min: number; max: number },
  { metricCm, imperialIn }: LengthSteps,
  onChange: (valueM: number) => void,
) {
  return units === "metric"
    ? {
        unit: "cm",
        value: toStep(valueM * 100, metricCm),
        minValue: Math.ceil((min * 100) / metricCm - 1e-9) * metricCm,
        maxValue: Math.floor((max * 100) / metricCm + 1e-9) * metricCm,
        step: metricCm,
        onChange: (cm: number) => onChange(cm / 100),
      }
    : {
        unit: "in",
        value: toStep(inFromM(valueM), imperialIn),
        minValue: Math.ceil(inFromM(min) / imperialIn) * imperialIn,
        maxValue: Math.floor(inFromM(max) / imperialIn) * imperialIn,
        step: imperialIn,
        onChange: (inches: number) => onChange(mFromIn(inches)),
      };
}
