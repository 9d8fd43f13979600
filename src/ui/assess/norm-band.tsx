import styled from "styled-components";
import type { Norm } from "../../core/assess/norm";
import { color } from "../theme/tokens";

export interface Mark {
  value: number;
  label: string;
  /** The latest is solid, what was before it is a dotted line; the two sides stand on two rows. */
  kind: "now" | "before";
  row: 0 | 1;
}
const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: auto;
  font-variant-numeric: tabular-nums;
`;
const [WIDTH, LEFT, RIGHT] = [360, 20, 340] as const;
const TEXT = 13;

/** The ends of the axis: everything drawn, with air around it. */
function axisOf(norm: Norm | null, marks: readonly Mark[]): { min: number; max: number } {
  const all = [...marks.map(({ value }) => value), ...(norm ? [norm.low, norm.high] : [])].filter((value) => value !== null);
  const [min, max] = [Math.min(...all), Math.max(...all)];
  const air = Math.max((max - min) * 0.25, Math.abs(max) * 0.05, 1e-3);
  return { min: norm?.low === null ? Math.max(0, min - air * 2) : min - air, max: max + air };
}

/** A value on its published band, beside the time before, left over right. */
export function NormBand({
  norm,
  marks,
  say,
  label,
}: {
  norm: Norm | null;
  marks: readonly Mark[];
  say: (value: number) => string;
  label: string;
}) {
  const { min, max } = axisOf(norm, marks);
  const x = (value: number): number => LEFT + ((value - min) / (max - min || 1)) * (RIGHT - LEFT);
  const rows = marks.some(({ row }) => row === 1) ? 2 : 1;
  const top = 24;
  const height = rows * 30;
  const low = norm?.low ?? min;
  const high = norm?.high ?? max;
  return (
    <Drawing viewBox={`0 0 ${WIDTH} ${top + height + (norm ? 22 : 6)}`} role="img" aria-label={label}>
      <rect x={LEFT} y={top} width={RIGHT - LEFT} height={height} fill={color.fog} />
      {norm && <rect x={x(low)} y={top} width={Math.max(2, x(high) - x(low))} height={height} fill="#bccfcf" />}
      {marks.map(({ value, label: text, kind, row }) => {
        const y = top + row * 30;
        return (
          <g key={`${kind} ${row}`}>
            {kind === "before" ? (
              <path d={`M${x(value)} ${y + 3}v24`} stroke={color.inkSoft} strokeWidth={2.5} strokeDasharray="2 3" />
            ) : (
              <rect x={x(value) - 6} y={y + 4} width={12} height={22} rx={2} fill={color.marine} />
            )}
            {row === 0 && kind === "now" && (
              <text x={x(value)} y={top - 7} textAnchor="middle" fontSize={15} fontWeight={700} fill={color.ink}>
                {text}
              </text>
            )}
            {row === 1 && kind === "now" && (
              <text
                x={Math.min(RIGHT - 4, x(value) + 12)}
                y={y + 21}
                textAnchor={x(value) > 260 ? "end" : "start"}
                dx={x(value) > 260 ? -22 : 0}
                fontSize={15}
                fontWeight={700}
                fill={color.ink}
              >
                {text}
              </text>
            )}
          </g>
        );
      })}
      {norm && (
        <text x={(x(low) + x(high)) / 2} y={top + height + 16} textAnchor="middle" fontSize={TEXT} fill={color.inkSoft}>
          {norm.low === null ? `up to ${say(high)}` : norm.low === norm.high ? `mean ${say(high)}` : `${say(low)} to ${say(high)}`}
        </text>
      )}
    </Drawing>
  );
}
