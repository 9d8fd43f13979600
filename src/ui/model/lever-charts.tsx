"use client";
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import type { ModelLever, ModelTemplate, NumberChannelId, Who } from "../../core";
import { modelLeverText } from "../text/model-text";
import type { UnitSystem } from "../text/quantity-text";
import { color } from "../theme/tokens";

const POINTS = 25;
const SHOWN: readonly { id: NumberChannelId; name: string; stroke: string; dash?: string }[] = [
  { id: "kneeMoment", name: "knee", stroke: color.marine },
  { id: "hipMoment", name: "hip", stroke: color.brass, dash: "7 4" },
  { id: "lowBackMoment", name: "low back", stroke: color.moss, dash: "2 3" },
];

function curve(template: ModelTemplate, who: Who, values: Record<string, number>, lever: ModelLever) {
  return Array.from({ length: POINTS }, (_, i) => {
    const x = lever.min + ((lever.max - lever.min) * i) / (POINTS - 1);
    const pose = template.pose(who, { ...values, [lever.id]: x });
    const value = (id: NumberChannelId): number | null => {
      const row = pose.ok ? pose.channels.find(({ channel }) => channel === id) : undefined;
      return row?.reads === "number" ? row.lead.head : null;
    };
    return { x, kneeMoment: value("kneeMoment"), hipMoment: value("hipMoment"), lowBackMoment: value("lowBackMoment") };
  });
}

/** What changes with each lever, the others as they stand; newton metres. */
export default function LeverCharts(props: { template: ModelTemplate; who: Who; values: Record<string, number>; units: UnitSystem }) {
  const { template, who, values, units } = props;
  return (
    <div style={{ display: "grid", gridTemplateColumns: "repeat(auto-fit, minmax(230px, 1fr))", gap: 14 }}>
      {template.levers.map((lever) => (
        <figure key={lever.id}>
          <figcaption>
            <strong>{lever.name}</strong>, {modelLeverText(lever, values[lever.id] ?? lever.start, units)}
          </figcaption>
          <ResponsiveContainer width="100%" height={130}>
            <LineChart data={curve(template, who, values, lever)} margin={{ top: 6, right: 8, bottom: 0, left: -12 }}>
              <CartesianGrid stroke={color.fog} />
              <XAxis
                type="number"
                dataKey="x"
                domain={[lever.min, lever.max]}
                tickCount={3}
                tickFormatter={(x: number) => modelLeverText(lever, x, units)}
                tick={{ fill: color.inkSoft, fontSize: 15 }}
              />
              <YAxis tick={{ fill: color.inkSoft, fontSize: 15 }} tickCount={3} />
              <ReferenceLine x={values[lever.id] ?? lever.start} stroke={color.inkSoft} strokeDasharray="3 3" />
              {SHOWN.map(({ id, stroke, dash }) => (
                <Line
                  key={id}
                  dataKey={id}
                  stroke={stroke}
                  strokeWidth={2}
                  {...(dash ? { strokeDasharray: dash } : {})}
                  dot={false}
                  isAnimationActive={false}
                />
              ))}
            </LineChart>
          </ResponsiveContainer>
        </figure>
      ))}
    </div>
  );
}
