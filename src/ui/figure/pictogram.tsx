import { color } from "../theme/tokens";
import { jointsOf, type Posed, type PosedPoint as Point } from "./posed";

const line = (points: readonly Point[]): string =>
  points.map(([x, y], i) => `${i === 0 ? "M" : "L"}${x.toFixed(1)} ${y.toFixed(1)}`).join("");
const between = (a: Point, b: Point, part: number): Point => [a[0] + (b[0] - a[0]) * part, a[1] + (b[1] - a[1]) * part];

function Props({ posed, floorY }: { posed: Posed; floorY: number }) {
  const { hip, leg, other } = jointsOf(posed);
  const has = (prop: NonNullable<Posed["props"]>[number]): boolean => posed.props?.includes(prop) ?? false;
  return (
    <g fill={color.wood}>
      {has("chair") && (
        <path
          d={`M${hip[0] - 34} ${Math.max(hip[1] + 14, 14)}h46v7h-8V${floorY}h-6V${Math.max(hip[1] + 21, 21)}h-20V${floorY}h-6V${Math.max(hip[1] + 21, 21)}h-6z`}
        />
      )}
      {has("bench") && (
        <path
          d={`M${leg.ankle[0] - 6} ${hip[1] + 13}h${-leg.ankle[0] + 4}v7h-12V${floorY}h-7V${hip[1] + 20}H${leg.ankle[0] + 14}V${floorY}h-7V${hip[1] + 20}h-13z`}
        />
      )}
      {has("step") && other && (
        <rect x={leg.ankle[0] - 14} y={leg.ankle[1] + 8} width={40} height={Math.max(6, floorY - leg.ankle[1] - 8)} />
      )}
      {has("wall") && <rect x={leg.knee[0] + 10} y={-86} width={7} height={floorY + 86} />}
      {has("mat") && <rect x={-112} y={floorY - 1} width={224} height={6} rx={3} />}
      {has("scales") && <rect x={leg.ankle[0] - 14} y={floorY - 5} width={46} height={6} rx={2} />}
    </g>
  );
}

function markAt(posed: Posed): Point | null {
  const { hip, shoulder, leg } = jointsOf(posed);
  switch (posed.mark) {
    case "knee":
      return leg.knee;
    case "hip":
      return hip;
    case "ankle":
      return leg.ankle;
    case "back":
      return between(hip, shoulder, 0.28);
    case "side":
      return between(hip, shoulder, 0.5);
    case "thigh":
      return between(hip, leg.knee, 0.6);
    default:
      return null;
  }
}

/** A drawn pose for what is not computed: what the body does, and where to look. Not to anybody's scale. */
export function Pictogram({ posed, label }: { posed: Posed; label: string }) {
  const { hip, shoulder, head, elbow, hand, leg, other } = jointsOf(posed);
  const isStepped = posed.props?.includes("step") ?? false;
  const soles = [
    leg.ankle,
    leg.toe,
    ...(other ? [other.ankle, other.toe] : []),
    hip,
    leg.knee,
    shoulder,
    ...(posed.props?.includes("mat") ? [elbow] : []),
  ];
  const floorY = Math.max(...soles.map(([, y]) => y)) + (isStepped ? 10 : 9);
  const mark = markAt(posed);
  const topY = Math.min(head[1], hand[1], -60) - 24;
  const limb = { fill: "none", strokeLinecap: "round", strokeLinejoin: "round" } as const;
  return (
    <svg viewBox={`-120 ${topY} 240 ${floorY - topY + 10}`} width="100%" height="100%" role="img" aria-label={label}>
      <path d={`M-120 ${floorY}H120`} stroke={color.fogDeep} strokeWidth={1.5} />
      <Props posed={posed} floorY={floorY} />
      {other && (
        <g {...limb} stroke="#6d8796">
          <path d={line([hip, other.knee])} strokeWidth={16} />
          <path d={line([other.knee, other.ankle])} strokeWidth={13} />
          <path d={line([other.ankle, other.toe])} strokeWidth={9} />
        </g>
      )}
      <g {...limb} stroke={color.marine}>
        <path d={line([hip, leg.knee])} strokeWidth={19} stroke={color.marineSoft} />
        <path d={line([leg.knee, leg.ankle])} strokeWidth={14} />
        <path d={line([leg.ankle, leg.toe])} strokeWidth={10} />
        <path d={line([hip, shoulder])} strokeWidth={26} />
        <path d={line([shoulder, elbow, hand])} strokeWidth={9} stroke="#2d5a75" />
      </g>
      {posed.props?.includes("weight") && <rect x={hand[0] - 9} y={hand[1] - 2} width={18} height={16} rx={3} fill={color.brass} />}
      <circle cx={head[0]} cy={head[1]} r={14} fill={color.marine} />
      {mark && <circle cx={mark[0]} cy={mark[1]} r={8} fill="none" stroke={color.brassLight} strokeWidth={4} />}
    </svg>
  );
}
