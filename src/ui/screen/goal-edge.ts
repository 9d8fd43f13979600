import type { Goal, GOAL_MEASURES } from "../../core/screen/further.data";
import type { UnitSystem } from "../../core/units";
import { quantityEdge, setUpEdge } from "../assess/quantity-edge";
import { goalText } from "../../words/client/screen";

type Unit = NonNullable<(typeof GOAL_MEASURES)[keyof typeof GOAL_MEASURES]>["unit"];
/** How a goal's measure is typed. */
export function goalEdge(unit: Unit, units: UnitSystem): ReturnType<typeof quantityEdge> {
  if (unit === "m") return quantityEdge("metres", units);
  return unit === "kg" ? setUpEdge("loadKg", units) : { ...quantityEdge("count", units), unit: "minutes" };
}

/** "stairs without the rail, 18 cm: the bell tower" */
export function goalSaid({ task, measure, words }: Goal, unit: Unit | null, units: UnitSystem): string {
  const edge = unit && goalEdge(unit, units);
  const size = measure === null || !edge ? "" : `, ${edge.round(edge.fromSi(measure))} ${edge.unit}`;
  return `${goalText[task]}${size}${words === "" ? "" : `: ${words}`}`;
}
