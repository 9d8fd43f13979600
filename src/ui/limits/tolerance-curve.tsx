"use client";
import { Area, CartesianGrid, ComposedChart, ReferenceLine, ResponsiveContainer, Scatter, XAxis, YAxis } from "recharts";
import type { Ceiling } from "../../core/limits/ceiling";
import { answerTo, type ToldDose, type Tolerance } from "../../core/limits/tolerance";
import { Soft } from "../kit/layout";
import { percentText } from "../../words/basics/quantity";
import { color } from "../theme/tokens";

const [FROM, TO, STEPS] = [0.5, 1.4, 45];
const DOT_AT = { calm: 0.04, noticed: 0.5, flare: 0.96 } as const;

/** What a morning would answer, by how much is asked: the learnt curve, with every answered dose on it. */
export default function ToleranceCurve({
  ceiling,
  belief,
  doses,
}: {
  ceiling: Pick<Ceiling, "value">;
  belief: Tolerance;
  doses: readonly ToldDose[];
}) {
  const repetitions = Math.max(1, Math.round(doses.reduce((sum, dose) => sum + dose.repetitions, 0) / Math.max(1, doses.length))) || 24;
  const data = Array.from({ length: STEPS + 1 }, (_, i) => {
    const use = FROM + ((TO - FROM) * i) / STEPS;
    const { noticed, flare } = answerTo(belief, use * ceiling.value, repetitions);
    return { use, flare, noticed };
  });
  const dots = doses.map(({ demand, response }) => ({ use: demand / ceiling.value, at: DOT_AT[response] }));
  const tick = { fill: color.inkSoft, fontSize: 15 };
  return (
    <figure>
      <ResponsiveContainer width="100%" height={190}>
        <ComposedChart data={data} margin={{ top: 6, right: 12, bottom: 0, left: -8 }}>
          <CartesianGrid stroke={color.fog} />
          <XAxis type="number" dataKey="use" domain={[FROM, TO]} ticks={[0.6, 0.8, 1, 1.2, 1.4]} tickFormatter={percentText} tick={tick} />
          <YAxis domain={[0, 1]} ticks={[0, 0.5, 1]} tickFormatter={percentText} tick={tick} />
          <Area dataKey="flare" stackId="answer" stroke={color.oxide} fill={color.oxide} fillOpacity={0.55} isAnimationActive={false} />
          <Area
            dataKey="noticed"
            stackId="answer"
            stroke={color.brass}
            fill={color.brassLight}
            fillOpacity={0.6}
            isAnimationActive={false}
          />
          <ReferenceLine x={1} stroke={color.marine} strokeDasharray="4 3" />
          <Scatter data={dots} dataKey="at" fill={color.marine} isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
      <figcaption>
        <Soft>
          Chance of a flare (dark) and of a morning that notices it (light), by what is asked of today&apos;s ceiling. Dots: doses that were
          answered; low calm, middle noticed, high a flare.
        </Soft>
      </figcaption>
    </figure>
  );
}
