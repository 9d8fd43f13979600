import { degFromRad } from "../units";

/**
 * Brent's root finder (Brent 1973, "Algorithms for Minimization without Derivatives", ch. 4).
 * @param f continuous on [low, high] with a sign change there
 * @throws RangeError if the ends do not bracket a root
 */
export function brent(f: (x: number) => number, low: number, high: number, tolerance = 1e-12): number {
  let a = low;
  let b = high;
  let fa = f(a);
  let fb = f(b);
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (!(fa * fb < 0)) throw new RangeError(`no sign change between ${low} and ${high}`);
  let c = a;
  let fc = fa;
  let step = b - a;
  let previousStep = step;
  for (let i = 0; i < 100; i++) {
    if (fb * fc > 0) {
      c = a;
      fc = fa;
      step = previousStep = b - a;
    }
    if (Math.abs(fc) < Math.abs(fb)) {
      a = b;
      b = c;
      c = a;
      fa = fb;
      fb = fc;
      fc = fa;
    }
    const tolerated = 2 * Number.EPSILON * Math.abs(b) + tolerance / 2;
    const half = (c - b) / 2;
    if (Math.abs(half) <= tolerated || fb === 0) return b;
    if (Math.abs(previousStep) < tolerated || Math.abs(fa) <= Math.abs(fb)) {
      step = previousStep = half;
    } else {
      const s = fb / fa;
      let p: number;
      let q: number;
      if (a === c) {
        p = 2 * half * s;
        q = 1 - s;
      } else {
        const t = fa / fc;
        const r = fb / fc;
        p = s * (2 * half * t * (t - r) - (b - a) * (r - 1));
        q = (t - 1) * (r - 1) * (s - 1);
      }
      if (p > 0) q = -q;
      p = Math.abs(p);
      if (2 * p < Math.min(3 * half * q - Math.abs(tolerated * q), Math.abs(previousStep * q))) {
        previousStep = step;
        step = p / q;
      } else {
        step = previousStep = half;
      }
    }
    a = b;
    fa = fb;
    b += Math.abs(step) > tolerated ? step : Math.sign(half) * tolerated;
    fb = f(b);
  }
  return b;
}

/** The first root that a scan of `intervals` equal steps can see, upward; undefined where it sees none. Gaps where `f` is NaN are passed over. */
export function firstRootByScan(
  f: (x: number) => number,
  low: number,
  high: number,
  intervals: number,
  tolerance?: number,
): number | undefined {
  let x0 = low;
  let f0 = f(low);
  if (f0 === 0) return low;
  for (let i = 1; i <= intervals; i++) {
    const x1 = low + ((high - low) * i) / intervals;
    const f1 = f(x1);
    if (f1 === 0) return x1;
    if (f0 * f1 < 0) return brent(f, x0, x1, tolerance);
    [x0, f0] = [x1, f1];
  }
  return undefined;
}

/**
 * The roots, ascending, within [low, high] degrees of a function that is A sin x + B cos x + C, known by three of its
 * values. `at` takes sine and cosine.
 */
export function sinusoidRootsDeg(at: (sin: number, cos: number) => number, low: number, high: number): number[] {
  const r0 = at(0, 1);
  const r90 = at(1, 0);
  const r180 = at(0, -1);
  const constant = (r0 + r180) / 2;
  const cosine = (r0 - r180) / 2;
  const sine = r90 - constant;
  const middle = Math.atan2(sine, cosine);
  const spread = Math.acos(-constant / Math.sqrt(sine * sine + cosine * cosine)); // NaN: it never gets to zero
  const first = wrappedDeg(degFromRad(middle - spread));
  const second = wrappedDeg(degFromRad(middle + spread));
  const a = Math.min(first, second); // NaN for both where there is no root
  const b = Math.max(first, second);
  if (a >= low && a <= high) return b <= high ? [a, b] : [a];
  return b >= low && b <= high ? [b] : [];
}

/** An angle within half a turn of straight ahead; up to a turn and a half is taken. */
const wrappedDeg = (deg: number): number => (deg > 180 ? deg - 360 : deg < -180 ? deg + 360 : deg);

export function nearestZero(roots: readonly number[]): number | undefined {
  let nearest: number | undefined;
  for (const root of roots) if (nearest === undefined || Math.abs(root) < Math.abs(nearest)) nearest = root;
  return nearest;
}

/**
 * The root nearest zero that a scan outward from it can see, in steps as even as `intervals` over [low, high] gives;
 * undefined where there is none. Gaps where `f` is NaN are passed over.
 */
export function rootNearZero(f: (x: number) => number, low: number, high: number, intervals: number): number | undefined {
  const step = (high - low) / intervals;
  const middle = Math.min(high, Math.max(low, 0));
  const start = f(middle);
  if (start === 0) return middle;
  let up = middle;
  let fUp = start;
  let down = middle;
  let fDown = start;
  while (up < high || down > low) {
    const upper = Math.min(high, up + step);
    const lower = Math.max(low, down - step);
    const fUpper = up < high ? f(upper) : NaN;
    const fLower = down > low ? f(lower) : NaN;
    const above = rootIn(f, up, fUp, upper, fUpper);
    const below = rootIn(f, down, fDown, lower, fLower);
    if (above !== undefined && below !== undefined) return Math.abs(above) <= Math.abs(below) ? above : below;
    if (above !== undefined || below !== undefined) return above ?? below;
    up = upper;
    fUp = fUpper;
    down = lower;
    fDown = fLower;
  }
  return undefined;
}

function rootIn(f: (x: number) => number, x0: number, f0: number, x1: number, f1: number): number | undefined {
  if (f1 === 0) return x1;
  return f0 * f1 < 0 ? brent(f, x0, x1) : undefined;
}
