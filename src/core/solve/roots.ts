/**
 * Brent's root finder (Brent 1973, "Algorithms for Minimization without Derivatives", ch. 4).
 * @param f continuous on [low, high] with a sign change there
 * @throws RangeError if the ends do not bracket a root
 */
export function brent(f: (x: number) => number, low: number, high: number, tolerance = 1e-12): number {
  let [a, b] = [low, high];
  let [fa, fb] = [f(a), f(b)];
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (!(fa * fb < 0)) throw new RangeError(`no sign change between ${low} and ${high}`);
  let [c, fc] = [a, fa];
  let step = b - a;
  let previousStep = step;
  for (let i = 0; i < 100; i++) {
    if (fb * fc > 0) {
      [c, fc] = [a, fa];
      step = previousStep = b - a;
    }
    if (Math.abs(fc) < Math.abs(fb)) {
      [a, b, c] = [b, c, b];
      [fa, fb, fc] = [fb, fc, fb];
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
    [a, fa] = [b, fb];
    b += Math.abs(step) > tolerated ? step : Math.sign(half) * tolerated;
    fb = f(b);
  }
  return b;
}

/** Every root that a scan of `intervals` equal steps can see, ascending; gaps where `f` is NaN are skipped. */
export function rootsByScan(f: (x: number) => number, low: number, high: number, intervals: number, tolerance?: number): number[] {
  const roots: number[] = [];
  let x0 = low;
  let f0 = f(low);
  if (f0 === 0) roots.push(low);
  for (let i = 1; i <= intervals; i++) {
    const x1 = low + ((high - low) * i) / intervals;
    const f1 = f(x1);
    if (f1 === 0) roots.push(x1);
    else if (f0 * f1 < 0) roots.push(brent(f, x0, x1, tolerance));
    [x0, f0] = [x1, f1];
  }
  return roots;
}
