"use client";
import type { UnitSystem } from "../../core/units";
import { Bar, CartesianGrid, ComposedChart, Legend, Line, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { LeverId } from "../../core/templates/lever";
import { dayText } from "../text/day-text";
import { leverName, leverValueText } from "../text/lever-text";
import { color } from "../theme/tokens";
import type { ReviewRow } from "./review-rows";

/** Leaves room under and over a lever that hardly moves, so that its line is a line. */
const padded = ([min, max]: readonly [number, number]): [number, number] => {
  const room = Math.max((max - min) * 0.25, Math.abs(max) * 0.05);
  return [min - room, max + room];
};

/** Pain, use of the tightest ceiling, and the lever that moved, over the sessions. */
export default function ReviewChart({ rows, lever, units }: { rows: readonly ReviewRow[]; lever: LeverId | null; units: UnitSystem }) {
  const data = rows.map((row) => ({ ...row, name: dayText(row.day), leverValue: row.lever?.value ?? null }));
  const leverLabel = lever ? leverName(lever) : "";
  return (
    <ResponsiveContainer width="100%" height={330}>
      <ComposedChart data={data} margin={{ top: 12, right: 8, bottom: 4, left: 0 }}>
        <CartesianGrid stroke={color.fogDeep} vertical={false} />
        <XAxis dataKey="name" tick={{ fill: color.inkSoft, fontSize: 15 }} minTickGap={26} />
        <YAxis
          yAxisId="pain"
          domain={[0, 10]}
          ticks={[0, 2, 4, 6, 8, 10]}
          tick={{ fill: color.inkSoft, fontSize: 15 }}
          width={34}
          label={{ value: "pain", angle: -90, fill: color.inkSoft, dx: -8 }}
        />
        <YAxis
          yAxisId="use"
          orientation="right"
          domain={[0, 120]}
          ticks={[0, 50, 100]}
          unit="%"
          tick={{ fill: color.inkSoft, fontSize: 15 }}
          width={56}
        />
        {lever && <YAxis yAxisId="lever" orientation="right" hide width={0} domain={padded} />}
        <ReferenceLine
          yAxisId="use"
          y={100}
          stroke={color.oxide}
          strokeDasharray="6 5"
          label={{ value: "ceiling", position: "insideTopLeft", fill: color.oxide }}
        />
        <Bar yAxisId="pain" dataKey="painDuring" name="Pain in the session" fill="#6d8591" barSize={12} isAnimationActive={false} />
        <Bar yAxisId="pain" dataKey="painMorning" name="Pain next morning" fill={color.brass} barSize={6} isAnimationActive={false} />
        <Line
          yAxisId="use"
          dataKey="usePercent"
          name="Use of the tightest ceiling, %"
          stroke={color.marine}
          strokeWidth={3}
          dot={{ r: 3, fill: color.marine }}
          connectNulls
          isAnimationActive={false}
        />
        {lever && (
          <Line
            yAxisId="lever"
            type="stepAfter"
            dataKey="leverValue"
            name={leverLabel}
            stroke={color.moss}
            strokeWidth={2}
            strokeDasharray="7 4"
            dot={false}
            connectNulls
            isAnimationActive={false}
          />
        )}
        <Tooltip
          formatter={(value, name) => (name === leverLabel && lever ? leverValueText(lever, Number(value), units) : value)}
          isAnimationActive={false}
        />
        <Legend />
      </ComposedChart>
    </ResponsiveContainer>
  );
}
