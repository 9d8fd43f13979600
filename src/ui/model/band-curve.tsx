"use client";
import { CartesianGrid, Line, LineChart, ReferenceArea, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { bandTension, type MeasuredBand } from "../../core/mechanics/band";
import { kgfFromN, lbFromKg, type UnitSystem } from "../../core/units";
import { Soft } from "../kit/layout";
import { lengthText } from "../../words/basics/quantity";
import { color } from "../theme/tokens";

const STEPS = 24;

/** How hard a band pulls at each length, and where its measuring ends. */
export default function BandCurve({ band, units }: { band: MeasuredBand; units: UnitSystem }) {
  const lastM = Math.max(...band.points.map(({ lengthM }) => lengthM));
  const endM = lastM * 1.2;
  const data = Array.from({ length: STEPS + 1 }, (_, i) => {
    const lengthM = band.restM + ((endM - band.restM) * i) / STEPS;
    return { lengthM, pullKg: kgfFromN(bandTension(band, lengthM).tensionN) };
  });
  return (
    <figure>
      <ResponsiveContainer width="100%" height={120}>
        <LineChart data={data} margin={{ top: 4, right: 8, bottom: 0, left: -16 }}>
          <CartesianGrid stroke={color.fog} />
          <XAxis
            type="number"
            dataKey="lengthM"
            domain={[band.restM, endM]}
            tickCount={3}
            tickFormatter={(value: number) => lengthText(value, units)}
            tick={{ fill: color.inkSoft, fontSize: 15 }}
          />
          <YAxis
            tick={{ fill: color.inkSoft, fontSize: 15 }}
            tickCount={3}
            tickFormatter={(value: number) => String(Math.round(units === "metric" ? value : lbFromKg(value)))}
          />
          <ReferenceArea x1={lastM} x2={endM} fill={color.oxideWash} />
          <Line dataKey="pullKg" stroke={color.marine} strokeWidth={2} dot={false} isAnimationActive={false} type="linear" />
        </LineChart>
      </ResponsiveContainer>
      <figcaption>
        <Soft>Pull by length; shaded: beyond what was measured. Expect 15% either way with wear and speed.</Soft>
      </figcaption>
    </figure>
  );
}
