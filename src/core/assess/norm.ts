import type { Sex } from "../body/body";
import { chairStand, fiveRisesAverageMostS } from "../standards/chair-rise";
import { rangeOfMotion, type Motion } from "../standards/range-of-motion";
import { singleLegStance } from "../standards/single-leg-stance";
import { upAndGoAverageMostS, usualPace } from "../standards/walking";

/** What is usual, in the protocol's own unit. An open end is null: a time has no least. */
export interface Norm {
  low: number | null;
  high: number | null;
  /** What the two ends are of the people measured. */
  of: "middle-half" | "one-deviation" | "average" | "mean" | "grades" | "trade";
  source: string;
}
export type Place = "below" | "within" | "above";

const around = (mean: number, sd: number, most = Infinity): Pick<Norm, "low" | "high" | "of"> => ({
  low: Math.max(0, mean - sd),
  high: Math.min(most, mean + sd),
  of: "one-deviation",
});
const MOTION_OF: Readonly<Record<string, Motion>> = {
  "knee-bend": "knee-flexion",
  "hip-bend": "hip-flexion",
  "hip-back": "hip-extension",
  "hip-out": "hip-abduction",
  "hip-turn-in": "hip-internal",
  "hip-turn-out": "hip-external",
};
const STANCE_MOST_S = 45;
/** Single heel raises, mean and deviation, ages 20 to 59. Source: Lunsford & Perry 1995. */
const HEEL_RAISES = { mean: 27.9, sd: 11.1, fromAge: 20, toAge: 59 } as const;
/** Up to one point a good step-down, up to three a medium one. Source: Piva 2006. */
const STEP_DOWN_GOOD_MOST = 1;
/** Fingers between the lowest rib and the hip bone: common practice, no source. */
const SIDE_FINGERS = [3.5, 4] as const;

/** The published range of a protocol for an age and sex; null where no cell is published, and then no word of range is said. */
export function normOf(protocolId: string, { age, sex }: { age: number; sex: Sex }): Norm | null {
  const motion = MOTION_OF[protocolId];
  if (motion) {
    const found = rangeOfMotion(motion, age);
    return found && { ...around(found.meanDeg, found.sdDeg), source: "roach-miles-1991" };
  }
  switch (protocolId) {
    case "chair-stand": {
      const found = chairStand({ age, sex, count: 0 });
      return found && { low: found.normal[0], high: found.normal[1], of: "middle-half", source: "rikli-jones-1999" };
    }
    case "five-rises": {
      const most = fiveRisesAverageMostS(age);
      return most === null ? null : { low: null, high: most, of: "average", source: "bohannon-2006" };
    }
    case "one-leg-stance": {
      const found = singleLegStance({ age, sex, eyes: "open", measure: "best" });
      return found && { ...around(found.meanS, found.sdS, STANCE_MOST_S), source: "springer-2007" };
    }
    case "heel-raise": {
      const { mean, sd, fromAge, toAge } = HEEL_RAISES;
      return age >= fromAge && age < toAge + 1 ? { ...around(mean, sd), source: "lunsford-1995" } : null;
    }
    case "up-and-go": {
      const most = upAndGoAverageMostS(age);
      return most === null ? null : { low: null, high: most, of: "average", source: "bohannon-2006-tug" };
    }
    case "walking-speed": {
      const mean = usualPace({ age, sex });
      return mean === null ? null : { low: mean, high: mean, of: "mean", source: "bohannon-2011" };
    }
    case "step-down":
      return { low: 0, high: STEP_DOWN_GOOD_MOST, of: "grades", source: "piva-2006" };
    case "side-length":
      return { low: SIDE_FINGERS[0], high: SIDE_FINGERS[1], of: "trade", source: "trade" };
    default:
      return null;
  }
}

/** Where a value lies: below, within or above what is published, never passed or failed. */
export function placeOf(value: number, { low, high }: Norm): Place {
  if (low !== null && value < low) return "below";
  return high !== null && value > high ? "above" : "within";
}
