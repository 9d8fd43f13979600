import { leftShare, type ScaleReading } from "../../core/assess/scales";
import { percentText } from "../../words/basics/quantity";
import { color } from "../theme/tokens";

const [WIDTH, HEIGHT, SHOWN_S] = [560, 150, 12] as const;
const [LEAST, MOST] = [0.25, 0.75] as const;

/** The share under each foot over the last seconds: left faint, right dark, even in between. */
export function ShareTrace({ readings }: { readings: readonly ScaleReading[] }) {
  const endS = readings.at(-1)?.atS ?? 0;
  const shown = readings.filter(({ atS }) => atS > endS - SHOWN_S);
  const x = (atS: number): number => WIDTH - 70 - ((endS - atS) / SHOWN_S) * (WIDTH - 80);
  const y = (share: number): number => ((MOST - Math.min(MOST, Math.max(LEAST, share))) / (MOST - LEAST)) * (HEIGHT - 20) + 10;
  /** A silence breaks the line: nothing is drawn across what was not heard. */
  const path = (shareOf: (left: number) => number): string => {
    let isBroken = true;
    return shown
      .map((reading) => {
        const left = leftShare(reading);
        if (left === null) {
          isBroken = true;
          return "";
        }
        const step = `${isBroken ? "M" : "L"}${x(reading.atS).toFixed(1)} ${y(shareOf(left)).toFixed(1)}`;
        isBroken = false;
        return step;
      })
      .join("");
  };
  const last = shown.flatMap((reading) => leftShare(reading) ?? []).at(-1) ?? null;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={last === null ? "No weight on the scales" : `left ${percentText(last)}, right ${percentText(1 - last)}`}
      style={{ fontVariantNumeric: "tabular-nums" }}
    >
      <path d={`M0 ${y(0.5)}H${WIDTH - 70}`} stroke={color.fogDeep} strokeDasharray="4 4" />
      <path d={path((left) => left)} fill="none" stroke="#7d95a2" strokeWidth={3} />
      <path d={path((left) => 1 - left)} fill="none" stroke={color.marine} strokeWidth={3} />
      {last !== null && (
        <g fontSize={15} fontWeight={700}>
          <text x={WIDTH - 64} y={y(last) + (last >= 0.5 ? -2 : 14)} fill={color.inkSoft}>
            L {percentText(last)}
          </text>
          <text x={WIDTH - 64} y={y(1 - last) + (last >= 0.5 ? 14 : -2)} fill={color.ink}>
            R {percentText(1 - last)}
          </text>
        </g>
      )}
    </svg>
  );
}
