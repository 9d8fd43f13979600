/** A band as it was measured: never a colour. Expect 15 % either way with wear and speed. */
export interface BandTable {
  restM: number;
  /** Length and tension, at least one, all longer than at rest. */
  points: readonly { lengthM: number; tensionN: number }[];
}

/** A band with the name it has in the studio. */
export interface MeasuredBand extends BandTable {
  name: string;
}
export const BAND_LIMITS = { lengthM: { min: 0.1, max: 4 }, tensionN: { min: 0, max: 1000 }, pointCount: { min: 1, max: 3 } } as const;

/** Tension at a length: nothing at rest, straight between the measured points, the last slope beyond them and said so (E21). */
export function bandTension({ restM, points }: BandTable, lengthM: number): { tensionN: number; isExtrapolated: boolean } {
  if (lengthM <= restM) return { tensionN: 0, isExtrapolated: false };
  const known = [{ lengthM: restM, tensionN: 0 }, ...points.toSorted((a, b) => a.lengthM - b.lengthM)];
  const upper = Math.min(
    known.length - 1,
    Math.max(
      1,
      known.findIndex((point) => point.lengthM >= lengthM),
    ),
  );
  const isExtrapolated = lengthM > (known.at(-1)?.lengthM ?? NaN);
  const at = isExtrapolated ? known.length - 1 : upper;
  const [a, b] = [known[at - 1], known[at]];
  if (!a || !b) throw new RangeError("a band needs at least one measured point");
  return { tensionN: a.tensionN + ((b.tensionN - a.tensionN) * (lengthM - a.lengthM)) / (b.lengthM - a.lengthM), isExtrapolated };
}
