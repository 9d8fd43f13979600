"use client";
import type { UnitSystem } from "../../core/units";
import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from "recharts";
import { CHANNELS, type NumberChannelId } from "../../core/mechanics/channels";
import { ask, AT_THE_POSE, demandOn, type Wanted } from "../../core/templates/ask";
import { type Form, leversOf, type OwnRange } from "../../core/templates/form";
import { type Setting, withLever } from "../../core/templates/lever";
import type { Subject } from "../../core/templates/template";
import { leverName, leverValueText } from "../../words/basics/lever";
import { color } from "../theme/tokens";

const POINTS = 25;
const SHOWN: readonly { id: NumberChannelId; name: string; stroke: string; dash?: string }[] = [
  { id: "kneeMoment", name: "knee", stroke: color.marine },
  { id: "hipMoment", name: "hip", stroke: color.brass, dash: "7 4" },
  { id: "lowBackMoment", name: "low back", stroke: color.moss, dash: "2 3" },
];
const WANTED: Wanted = { ...AT_THE_POSE, range: false, channels: SHOWN.map(({ id }) => id) };

function curve(subject: Subject, form: Form, setting: Setting, { lever, min, max }: OwnRange) {
  return Array.from({ length: POINTS }, (_, i) => {
    const x = min + ((max - min) * i) / (POINTS - 1);
    const asked = ask(subject, form, withLever(setting, lever, x), WANTED);
    const value = (id: NumberChannelId): number | null => {
      const reading = demandOn(asked, id, CHANNELS[id].sided ? subject.leadSide : "both");
      return reading.isKnown ? reading.value.head : null;
    };
    return { x, kneeMoment: value("kneeMoment"), hipMoment: value("hipMoment"), lowBackMoment: value("lowBackMoment") };
  });
}

/** What changes with each lever, the others as they stand; newton metres. */
export default function LeverCharts(props: { subject: Subject; form: Form; setting: Setting; units: UnitSystem }) {
  const { subject, form, setting, units } = props;
  return (
    <div style={{ display: "grid", gridTemplateColumns: "repeat(auto-fit, minmax(230px, 1fr))", gap: 14 }}>
      {leversOf(subject, form).map((range) => {
        const { lever, min, max, start } = range;
        const now = setting[lever] ?? start;
        return (
          <figure key={lever}>
            <figcaption>
              <strong>{leverName(lever)}</strong>, {leverValueText(lever, now, units)}
            </figcaption>
            <ResponsiveContainer width="100%" height={130}>
              <LineChart data={curve(subject, form, setting, range)} margin={{ top: 6, right: 8, bottom: 0, left: -12 }}>
                <CartesianGrid stroke={color.fog} />
                <XAxis
                  type="number"
                  dataKey="x"
                  domain={[min, max]}
                  tickCount={3}
                  tickFormatter={(x: number) => leverValueText(lever, x, units)}
                  tick={{ fill: color.inkSoft, fontSize: 15 }}
                />
                <YAxis tick={{ fill: color.inkSoft, fontSize: 15 }} tickCount={3} />
                <ReferenceLine x={now} stroke={color.inkSoft} strokeDasharray="3 3" />
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
        );
      })}
    </div>
  );
}
