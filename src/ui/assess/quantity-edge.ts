import type { Quantity, SetUpKey } from "../../core/assess/protocols.data";
import { inFromM, kgFromLb, lbFromKg, mFromIn, type UnitSystem } from "../../core/units";

interface Edge {
  unit: string;
  step: number;
  toSi: (typed: number) => number;
  fromSi: (value: number) => number;
  round: (typed: number) => number;
}
const same = (value: number): number => value;
const edge = (unit: string, step: number, more: Partial<Edge> = {}): Edge => ({
  unit,
  step,
  toSi: same,
  fromSi: same,
  round: (typed) => Number((Math.round(typed / step) * step).toFixed(3)),
  ...more,
});
const INCHES_PER_FOOT = 12;

/** How a measured value is typed: its unit on this side of the edge, and the way to SI and back. */
export function quantityEdge(quantity: Quantity, units: UnitSystem): Edge {
  const isMetric = units === "metric";
  switch (quantity) {
    case "metres":
      return isMetric
        ? edge("cm", 0.1, { toSi: (typed) => typed / 100, fromSi: (value) => value * 100 })
        : edge("in", 0.1, { toSi: mFromIn, fromSi: inFromM });
    case "speed":
      return isMetric
        ? edge("m/s", 0.01)
        : edge("ft/s", 0.1, { toSi: (typed) => mFromIn(typed * INCHES_PER_FOOT), fromSi: (value) => inFromM(value) / INCHES_PER_FOOT });
    case "share":
      return edge("%", 1, { toSi: (typed) => typed / 100, fromSi: (value) => value * 100 });
    case "degrees":
      return edge("degrees", 1);
    case "seconds":
      return edge("s", 0.01);
    case "fingers":
      return edge("", 0.5);
    default:
      return edge("", 1);
  }
}

/** The same for what a measurement was set up with. */
export function setUpEdge(key: SetUpKey, units: UnitSystem): Edge {
  const isMetric = units === "metric";
  switch (key) {
    case "loadKg":
      return isMetric ? edge("kg", 0.5) : edge("lb", 1, { toSi: kgFromLb, fromSi: lbFromKg });
    case "distanceM":
      return isMetric
        ? edge("m", 0.1)
        : edge("ft", 0.1, { toSi: (typed) => mFromIn(typed * INCHES_PER_FOOT), fromSi: (value) => inFromM(value) / INCHES_PER_FOOT });
    default:
      return quantityEdge("metres", units);
  }
}
