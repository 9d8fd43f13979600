import { uniformInt } from "pure-rand/distribution/uniformInt";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

/** Seeded chance: the same seed tells the same story. */
export interface Chance {
  /** True so many times in a hundred. */
  in100: (percent: number) => boolean;
  whole: (from: number, to: number) => number;
  one: <T>(of: readonly T[]) => T;
}
export function chanceFrom(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  const whole = (from: number, to: number): number => uniformInt(generator, from, to);
  return {
    in100: (percent) => whole(0, 9_999) < percent * 100,
    whole,
    one: (of) => {
      const found = of[whole(0, of.length - 1)];
      if (found === undefined) throw new RangeError("nothing to choose from");
      return found;
    },
  };
}
