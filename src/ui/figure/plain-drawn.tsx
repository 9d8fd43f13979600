import { color } from "../theme/tokens";
import type { Spot } from "./drawing";

/** A figure as plain strokes, without words or mechanics: for paper, and for a phone. Drawing units, y down. */
export interface PlainFigure {
  strokes: { from: Spot; to: Spot; width: number; isBehind?: boolean }[];
  head: { at: Spot; radius: number };
  /** Seats, steps and blocks. */
  boxes: { x: number; y: number; width: number; height: number }[];
  floorY: number;
}
export interface PlainBox {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** What of the drawing plane figures take up together, with a margin. */
export function boxOf(...figures: readonly PlainFigure[]): PlainBox {
  const xs = figures.flatMap(({ strokes, head, boxes }) => [
    ...strokes.flatMap(({ from, to }) => [from[0], to[0]]),
    head.at[0],
    ...boxes.flatMap(({ x, width }) => [x, x + width]),
  ]);
  const ys = figures.flatMap(({ strokes, head, floorY }) => [
    ...strokes.flatMap(({ from, to }) => [from[1], to[1]]),
    head.at[1] - head.radius,
    floorY,
  ]);
  const [x, y] = [Math.min(...xs) - 16, Math.min(...ys) - 12];
  return { x, y, width: Math.max(...xs) + 16 - x, height: Math.max(...ys) + 6 - y };
}

const TONES = {
  paper: { front: "#000", behind: "#999", thing: "#fff", edge: "#000" },
  screen: { front: color.marine, behind: color.marineSoft, thing: color.woodLight, edge: color.wood },
} as const;

/** A plain figure drawn, beside words that say it where it has no label: black on white for a printer, in the house's colours on a screen. */
export function PlainDrawn(props: { figure: PlainFigure; box: PlainBox; label: string; tone: keyof typeof TONES; size: number | string }) {
  const { figure, box, label, tone, size } = props;
  const { front, behind, thing, edge } = TONES[tone];
  return (
    <svg
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      width={size}
      height={size}
      {...(label === "" ? { "aria-hidden": true } : { role: "img", "aria-label": label })}
    >
      <path d={`M${box.x} ${figure.floorY}h${box.width}`} stroke={edge} strokeWidth={1.5} />
      {figure.boxes.map((each, i) => (
        <rect key={i} {...each} fill={thing} stroke={edge} strokeWidth={1.5} />
      ))}
      {figure.strokes.map(({ from, to, width, isBehind }, i) => (
        <path
          key={i}
          d={`M${from[0]} ${from[1]}L${to[0]} ${to[1]}`}
          stroke={isBehind ? behind : front}
          strokeWidth={width}
          strokeLinecap="round"
        />
      ))}
      <circle cx={figure.head.at[0]} cy={figure.head.at[1]} r={figure.head.radius} fill={front} />
    </svg>
  );
}
