import type { NumberChannelId } from "../mechanics/channels";
import type { Who } from "../model/model-pose";
import type { ModelLever, ModelTemplate } from "../model/template";
import { type LeverSolution, solveCurve } from "./lever";

/** One channel of any template: of the working leg or the whole body, or of the other leg. */
export interface TemplateWatched {
  channel: NumberChannelId;
  leg: "lead" | "trail";
}
type Values = Readonly<Record<string, number>>;

/** A channel's headline in any template, NaN where there is no pose, no such channel, or its value is refused. */
export function templateDemand(who: Who, template: ModelTemplate, values: Values, { channel, leg }: TemplateWatched): number {
  const pose = template.pose(who, values);
  const row = pose.ok ? pose.channels.find((entry) => entry.channel === channel) : undefined;
  return row?.reads === "number" && !row.refused ? (row[leg]?.head ?? NaN) : NaN;
}

const onHand = ({ min, max }: { min: number; max: number }, increment: number): number[] =>
  Array.from({ length: Math.max(0, Math.floor((max - min) / increment + 1e-9) + 1) }, (_, i) =>
    Number((min + i * increment).toPrecision(12)),
  );

/** Which value of one lever gives a wanted demand, in any template; snapped to `increment` on the safe side. */
export function solveTemplate(
  who: Who,
  template: ModelTemplate,
  values: Values,
  lever: Pick<ModelLever, "id" | "min" | "max" | "step">,
  watched: TemplateWatched,
  target: number,
): LeverSolution {
  const at = (value: number): number => templateDemand(who, template, { ...values, [lever.id]: value }, watched);
  return solveCurve(at, { low: lever.min, high: lever.max }, target, onHand(lever, lever.step));
}
