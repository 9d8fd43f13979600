import { type LeverId, LEVERS } from "../../core/templates/lever";
import { inFromM, kgfFromN, kgFromLb, lbFromKg, mFromIn, nFromKgf, type UnitSystem } from "../../core/units";

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

/** The same for a mass: kilograms or pounds as plates and bells are marked. */
export function massField(
  units: UnitSystem,
  valueKg: number,
  { min, max }: { min: number; max: number },
  onChange: (valueKg: number) => void,
) {
  const { unit, step, toSi, fromSi } = leverField("loadKg", units);
  return {
    unit,
    step,
    value: toStep(fromSi(valueKg), step),
    minValue: Math.ceil(fromSi(min) / step) * step,
    maxValue: Math.floor(fromSi(max) / step) * step,
    onChange: (typed: number) => onChange(toSi(typed)),
  };
}

interface UnitEdge {
  unit: string;
  step: number;
  toSi: (typed: number) => number;
  fromSi: (value: number) => number;
}
const same = (value: number): number => value;
/** How a lever is typed: its unit on this side of the edge, and the way to SI and back. */
export function leverField(lever: LeverId, units: UnitSystem): UnitEdge {
  const isMetric = units === "metric";
  switch (LEVERS[lever].unit) {
    case "m":
      return isMetric
        ? { unit: "cm", step: 1, toSi: (typed) => typed / 100, fromSi: (value) => value * 100 }
        : { unit: "in", step: 0.5, toSi: mFromIn, fromSi: inFromM };
    case "kg":
      return isMetric ? { unit: "kg", step: 0.5, toSi: same, fromSi: same } : { unit: "lb", step: 1, toSi: kgFromLb, fromSi: lbFromKg };
    case "N":
      return isMetric
        ? { unit: "kg", step: 1, toSi: nFromKgf, fromSi: kgfFromN }
        : { unit: "lb", step: 1, toSi: (typed) => nFromKgf(kgFromLb(typed)), fromSi: (value) => lbFromKg(kgfFromN(value)) };
    case "fraction":
      return { unit: "%", step: 1, toSi: (typed) => typed / 100, fromSi: (value) => value * 100 };
    case "deg":
      return { unit: "degrees", step: 1, toSi: same, fromSi: same };
    case "s":
      return { unit: "s", step: 1, toSi: same, fromSi: same };
  }
}
