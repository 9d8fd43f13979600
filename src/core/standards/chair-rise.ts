import { GRAVITY_MPS2 } from "../units";
import type { Sex } from "../body/body";

/** Rising from a chair: counts, times and power. */
interface Row {
  fromAge: number;
  /** Middle half of the sample. Source: Rikli & Jones 1999. */
  normal: Readonly<Record<Sex, readonly [number, number]>>;
  /** Fewer is below average. Source: CDC STEADI 2017. */
  cut: Readonly<Record<Sex, number>>;
}
const row = (fromAge: number, female: readonly [number, number, number], male: readonly [number, number, number]): Row => ({
  fromAge,
  normal: { female: [female[0], female[1]], male: [male[0], male[1]] },
  cut: { female: female[2], male: male[2] },
});
const CHAIR_STAND: readonly Row[] = [
  row(60, [12, 17, 12], [14, 19, 14]),
  row(65, [11, 16, 11], [12, 18, 12]),
  row(70, [10, 15, 10], [12, 17, 12]),
  row(75, [10, 15, 10], [11, 17, 11]),
  row(80, [9, 14, 9], [10, 15, 10]),
  row(85, [8, 13, 8], [8, 14, 8]),
  row(90, [4, 11, 4], [7, 12, 7]),
];
export const CHAIR_STAND_AGES = [60, 94] as const;

export interface ChairStandNorm {
  normal: readonly [number, number];
  cut: number;
  below: boolean;
}
/** Rises in 30 s from a chair of 43 cm, arms crossed (with arms the count is 0); null where no cell is published: 59 and younger, 95 and older. */
export function chairStand({ age, sex, count }: { age: number; sex: Sex; count: number }): ChairStandNorm | null {
  const [from, to] = CHAIR_STAND_AGES;
  const found = age >= from && age < to + 1 ? CHAIR_STAND.findLast(({ fromAge }) => age >= fromAge) : undefined;
  return found ? { normal: found.normal[sex], cut: found.cut[sex], below: count < found.cut[sex] } : null;
}

const upTo = (value: number, steps: readonly (readonly [number, number])[], beyond: number): number =>
  steps.find(([most]) => value <= most)?.[1] ?? beyond;

/** Points for five rises, by time to a hundredth of a second. Source: Guralnik 1994. */
export const sppbChairScore = (seconds: number): number =>
  upTo(
    seconds,
    [
      [11.19, 4],
      [13.69, 3],
      [16.69, 2],
      [60, 1],
    ],
    0,
  );
/** Points for four metres at the usual pace: under 4.82 s four, up to 6.20 three, up to 8.70 two. Source: Guralnik 1994. */
export const sppbWalkScore = (seconds: number): number =>
  seconds < 4.82
    ? 4
    : upTo(
        seconds,
        [
          [6.2, 3],
          [8.7, 2],
        ],
        1,
      );

/** Slowest time for five rises that is still average; null under 60 and over 89. Source: Bohannon 2006. */
export const fiveRisesAverageMostS = (age: number): number | null =>
  age < 60 || age >= 90
    ? null
    : upTo(
        Math.floor(age),
        [
          [69, 11.4],
          [79, 12.6],
        ],
        14.8,
      );

/** Mean power over five rises: nine tenths of body weight lifted from seat to standing, half of each rise's time. Source: Alcazar 2018. */
export function sitToStandPower({
  massKg,
  statureM,
  chairM,
  seconds,
}: {
  massKg: number;
  statureM: number;
  chairM: number;
  seconds: number;
}): {
  watts: number;
  wattsPerKg: number;
} {
  const watts = (massKg * 0.9 * GRAVITY_MPS2 * (statureM * 0.5 - chairM)) / ((seconds / 5) * 0.5);
  return { watts, wattsPerKg: watts / massKg };
}
