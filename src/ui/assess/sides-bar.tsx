import { color } from "../theme/tokens";

interface End {
  value: number;
  text: string;
}
const [WIDTH, LEFT, RIGHT] = [360, 40, 320] as const;

/** Two values on one line: right filled, left open, what lies between them in brass. */
export function SidesBar({ left, right }: { left: End; right: End }) {
  const most = Math.max(left.value, right.value, 1e-9);
  const least = Math.min(0, left.value, right.value);
  const x = (value: number): number => LEFT + ((value - least) / (most - least)) * (RIGHT - LEFT);
  const anchor = (at: number): "start" | "middle" | "end" => (at < LEFT + 30 ? "start" : at > RIGHT - 30 ? "end" : "middle");
  return (
    <svg
      viewBox={`0 0 ${WIDTH} 54`}
      width="100%"
      role="img"
      aria-label={`right ${right.text}, left ${left.text}`}
      style={{ fontVariantNumeric: "tabular-nums" }}
    >
      <path d={`M${LEFT} 28H${RIGHT}`} stroke={color.fogDeep} strokeWidth={2} />
      <path d={`M${x(right.value)} 28H${x(left.value)}`} stroke={color.brass} strokeWidth={4} />
      <circle cx={x(left.value)} cy={28} r={7} fill={color.paper} stroke={color.inkSoft} strokeWidth={3} />
      <circle cx={x(right.value)} cy={28} r={8} fill={color.marine} />
      <text x={x(right.value)} y={14} textAnchor={anchor(x(right.value))} fontSize={14} fontWeight={700} fill={color.ink}>
        R {right.text}
      </text>
      <text x={x(left.value)} y={50} textAnchor={anchor(x(left.value))} fontSize={14} fill={color.inkSoft}>
        L {left.text}
      </text>
    </svg>
  );
}
