import { brent } from "./roots";

const NODE_INTERVALS = 24;
const ROOT_TOLERANCE = 1e-9;

export type InverseResult =
  | { ok: true; x: number; all: number[]; range: ReachedRange }
  | { ok: false; reason: "target-below-range" | "target-above-range"; range: ReachedRange }
  | { ok: false; reason: "no-feasible-pose"; range: null };

/** Least and greatest value met over the nodes, and where. */
export interface ReachedRange {
  min: number;
  max: number;
  minAt: number;
  maxAt: number;
}

/**
 * Every setting of one lever that gives a wanted demand (docs/equations.md E14): 25 equally spaced nodes, Brent in
 * each sign change. `f` is NaN where there is no pose. Demand need not be monotone, so all roots come back, ascending.
 * A target inside the reached range that falls in a gap of unreachable poses reads `target-above-range`.
 */
export function inverse(f: (x: number) => number, low: number, high: number, target: number): InverseResult {
  const nodes = Array.from({ length: NODE_INTERVALS + 1 }, (_, i) => low + ((high - low) * i) / NODE_INTERVALS);
  const values = nodes.map(f);
  let range: ReachedRange | null = null;
  values.forEach((value, i) => {
    const x = nodes[i] ?? NaN;
    if (!Number.isFinite(value)) return;
    range ??= { min: value, max: value, minAt: x, maxAt: x };
    if (value < range.min) [range.min, range.minAt] = [value, x];
    if (value > range.max) [range.max, range.maxAt] = [value, x];
  });
  if (range === null) return { ok: false, reason: "no-feasible-pose", range };
  const reached = range as ReachedRange;
  const all: number[] = [];
  for (let i = 0; i <= NODE_INTERVALS; i++) {
    const [x0, f0] = [nodes[i] ?? NaN, (values[i] ?? NaN) - target];
    const [x1, f1] = [nodes[i + 1] ?? NaN, (values[i + 1] ?? NaN) - target];
    if (f0 === 0) all.push(x0);
    else if (f0 * f1 < 0) all.push(brent((x) => f(x) - target, x0, x1, ROOT_TOLERANCE));
  }
  const [x] = all;
  if (x === undefined) return { ok: false, reason: target < reached.min ? "target-below-range" : "target-above-range", range: reached };
  return { ok: true, x, all, range: reached };
}
