import { color } from "../theme/tokens";

const [WIDTH, LEFT, RIGHT, LEVEL] = [240, 6, 234, 14] as const;

/** Every bound of one channel on one line from nothing: the fulcrum stands under the one that binds, the others are marks. */
export function BoundsScale({ binding, others, label }: { binding: number; others: readonly number[]; label: string }) {
  const most = Math.max(binding, ...others) * 1.08 || 1;
  const x = (value: number): number => LEFT + (Math.max(0, value) / most) * (RIGHT - LEFT);
  return (
    <svg viewBox={`0 0 ${WIDTH} 30`} width="100%" height="30" role="img" aria-label={label}>
      <path d={`M${LEFT} ${LEVEL}H${RIGHT}`} stroke={color.fogDeep} strokeWidth={4} strokeLinecap="round" />
      <path d={`M${LEFT} ${LEVEL}H${x(binding)}`} stroke={color.marine} strokeWidth={4} strokeLinecap="round" />
      {others.map((value) => (
        <path key={value} d={`M${x(value)} ${LEVEL - 7}v14`} stroke={color.inkSoft} strokeWidth={2} />
      ))}
      <path d={`M${x(binding)} ${LEVEL + 2}l7 11h-14z`} fill={color.marine} />
    </svg>
  );
}
