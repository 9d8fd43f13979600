"use client";
import { color } from "../theme/tokens";

const WIDTH = 112;
const CEILING_X = 78;
const MIDDLE_Y = 22;

const x = (use: number): number => Math.max(4, Math.min(WIDTH - 6, use * CEILING_X));

/**
 * A steelyard: fulcrum at the ceiling, poise at the demand, a bar through the poise where the model gives a range.
 * It tips past level when the ceiling is passed. Said in words beside it; this is for the eye.
 */
export function Beam({ low, head, high }: { low: number; head: number; high: number }) {
  const isOver = high > 1;
  const tiltDeg = Math.max(-5, Math.min(7, (head - 1) * 14));
  const tone = head > 1 ? color.oxide : color.marine;
  return (
    <svg viewBox={`0 0 ${WIDTH} 42`} width="100%" height="42" aria-hidden>
      <g transform={`rotate(${tiltDeg} ${CEILING_X} ${MIDDLE_Y})`}>
        <line x1={2} x2={WIDTH - 2} y1={MIDDLE_Y} y2={MIDDLE_Y} stroke={tone} strokeWidth={2.4} strokeLinecap="round" />
        {[0.25, 0.5, 0.75].map((mark) => (
          <line key={mark} x1={x(mark)} x2={x(mark)} y1={MIDDLE_Y - 5} y2={MIDDLE_Y} stroke={tone} strokeWidth={1.2} />
        ))}
        {high - low > 0.01 && (
          <line
            x1={x(low)}
            x2={x(high)}
            y1={MIDDLE_Y - 13}
            y2={MIDDLE_Y - 13}
            stroke={isOver ? color.oxide : tone}
            strokeWidth={3.4}
            strokeLinecap="round"
          />
        )}
        <rect x={x(head) - 7} y={MIDDLE_Y - 9} width={14} height={18} rx={1.5} fill={tone} />
        <rect x={x(head) - 4} y={MIDDLE_Y - 13} width={8} height={3.4} rx={1} fill={tone} />
      </g>
      <path d={`M${CEILING_X} ${MIDDLE_Y + 2} l7 12 h-14 z`} fill={head > 1 ? color.oxide : "#5f7480"} />
    </svg>
  );
}

/** A channel that limits nothing: its place in the range that squats usually ask, with no fulcrum. */
export function TypicalScale({ value, p5, p95 }: { value: number; p5: number; p95: number }) {
  const at = (v: number): number => 12 + Math.max(0, Math.min(1.15, (v - p5) / (p95 - p5))) * 76;
  return (
    <svg viewBox={`0 0 ${WIDTH} 30`} width="100%" height="30" aria-hidden>
      <line x1={2} x2={WIDTH - 2} y1={16} y2={16} stroke="#8fa3ab" strokeWidth={1.6} strokeLinecap="round" />
      <line x1={at(p5)} x2={at(p95)} y1={16} y2={16} stroke={color.fogDeep} strokeWidth={7} strokeLinecap="round" />
      <rect x={at(value) - 5} y={9} width={10} height={14} rx={1.5} fill="#5f7480" />
    </svg>
  );
}
