import type { Side } from "../mechanics/channels";

/** What two floor scales say at one moment, kg; a scale that says nothing is null. */
export interface ScaleReading {
  atS: number;
  leftKg: number | null;
  rightKg: number | null;
}
/** Past this a single foot is no foot. */
const MOST_KG = 400;

/**
 * One line of two scales: kilograms under the left and the right foot, with a decimal point, parted by a semicolon; an
 * empty place is a scale that says nothing ("36.4;37.9", "36.4;", ";37.9"). Anything else is no reading.
 */
export function scaleLine(line: string): Pick<ScaleReading, "leftKg" | "rightKg"> | null {
  const match = /^\s*(-?\d{1,3}(?:\.\d{1,3})?)?\s*;\s*(-?\d{1,3}(?:\.\d{1,3})?)?\s*$/.exec(line);
  if (!match) return null;
  const [leftKg, rightKg] = [match[1], match[2]].map((text) => (text === undefined ? null : Number(text)));
  const isFoot = (value: number | null | undefined): boolean => value === null || (value !== undefined && value > -5 && value < MOST_KG);
  if (leftKg === undefined || rightKg === undefined || !isFoot(leftKg) || !isFoot(rightKg)) return null;
  return { leftKg, rightKg };
}
export const scaleText = ({ leftKg, rightKg }: Pick<ScaleReading, "leftKg" | "rightKg">): string =>
  `${leftKg === null ? "" : leftKg.toFixed(1)};${rightKg === null ? "" : rightKg.toFixed(1)}`;

/** Nobody stands on it: below this the two together are noise. */
const STANDING_KG = 20;
/** Share of what is under both feet that is under the left one; null where one scale says nothing or nobody stands there. */
export function leftShare({ leftKg, rightKg }: Pick<ScaleReading, "leftKg" | "rightKg">): number | null {
  if (leftKg === null || rightKg === null) return null;
  const total = leftKg + rightKg;
  return total < STANDING_KG ? null : Math.min(1, Math.max(0, leftKg / total));
}

/** Even within this: scales, feet and breath are no closer. Ours. */
const EVEN_WITHIN = 0.03;
/** Fewer readings than this say nothing of a side. */
const LEAST_READINGS = 10;

export interface ShareSummary {
  count: number;
  /** Share under the left foot over all readings. */
  meanLeft: number;
  /** Where the side that is spared carried least. */
  leastSpared: number;
  /** Most under either foot at one moment, kg. */
  peakKg: Readonly<Record<Side, number>>;
  /** The side that is spared, or null where both carry alike. */
  guarded: Side | null;
  /** Part of the readings in which a scale said nothing. */
  droppedFraction: number;
}
/** What a squat on two scales comes to; null where too little was heard to say anything. */
export function shareSummary(readings: readonly ScaleReading[]): ShareSummary | null {
  const shares = readings.flatMap((reading) => leftShare(reading) ?? []);
  if (shares.length < LEAST_READINGS) return null;
  const meanLeft = shares.reduce((sum, share) => sum + share, 0) / shares.length;
  const guarded: Side | null = Math.abs(meanLeft - 0.5) <= EVEN_WITHIN ? null : meanLeft < 0.5 ? "left" : "right";
  const spared = (guarded ?? (meanLeft <= 0.5 ? "left" : "right")) === "left" ? shares : shares.map((share) => 1 - share);
  const peak = (of: "leftKg" | "rightKg"): number => Math.max(0, ...readings.map((reading) => reading[of] ?? 0));
  return {
    count: shares.length,
    meanLeft,
    leastSpared: Math.min(...spared),
    peakKg: { left: peak("leftKg"), right: peak("rightKg") },
    guarded,
    droppedFraction: readings.filter(({ leftKg, rightKg }) => leftKg === null || rightKg === null).length / readings.length,
  };
}
/** Share under one leg, as a calm pose keeps it. */
export const shareUnder = ({ meanLeft }: Pick<ShareSummary, "meanLeft">, side: Side): number => (side === "left" ? meanLeft : 1 - meanLeft);

/** A stand-in for scales: what it pretends. */
export interface StandIn {
  massKg: number;
  guarded: Side | null;
  /** How much of the weight the spared side leaves to the other: 0.07 is 43 to 57. */
  sparedBy: number;
  noiseKg: number;
  /** Per cent of the readings in which one scale says nothing. */
  dropPercent: number;
}
/** Seconds of one pretended squat. */
const SQUAT_S = 4;
/** More is spared at the bottom, and the body is lighter going down and heavier coming up. */
const BOTTOM_MORE = 0.5;
const HEAVE = 0.12;

/** What the stand-in says at one moment; chance is passed in: whole numbers from 0 to 99. */
export function standInReading(
  { massKg, guarded, sparedBy, noiseKg, dropPercent }: StandIn,
  atS: number,
  chance: () => number,
): ScaleReading {
  const phase = ((atS % SQUAT_S) / SQUAT_S) * 2 * Math.PI;
  const depth = (1 - Math.cos(phase)) / 2;
  const totalKg = massKg * (1 - HEAVE * Math.sin(phase));
  const spared = 0.5 - (guarded ? sparedBy * (1 + BOTTOM_MORE * depth) : 0);
  const leftPart = guarded === "right" ? 1 - spared : spared;
  const noise = (): number => noiseKg * (chance() / 49.5 - 1);
  const isDropped = chance() < dropPercent;
  const isLeftDropped = isDropped && chance() < 50;
  const round = (value: number): number => Math.round(value * 10) / 10;
  return {
    atS,
    leftKg: isDropped && isLeftDropped ? null : round(totalKg * leftPart + noise()),
    rightKg: isDropped && !isLeftDropped ? null : round(totalKg * (1 - leftPart) + noise()),
  };
}

/** One line of a hand scale: what hangs on it or is pushed through it, kg, with a decimal point ("8.2"). Anything else is no reading. */
export function handLine(line: string): { kg: number } | null {
  const match = /^\s*(-?\d{1,3}(?:\.\d{1,3})?)\s*$/.exec(line);
  const kg = match ? Number(match[1]) : NaN;
  return kg > -5 && kg < MOST_KG ? { kg } : null;
}
/** What a hand holds steady: readings of the last seconds no further apart than a wobble; null while it moves. Ours. */
export function steadyKg(readings: readonly { atS: number; kg: number }[]): number | null {
  const last = readings.at(-1);
  if (!last) return null;
  const recent = readings.filter(({ atS }) => atS > last.atS - STEADY_S).map(({ kg }) => kg);
  const [least, most] = [Math.min(...recent), Math.max(...recent)];
  if (recent.length < STEADY_READINGS || most - least > STEADY_WITHIN_KG) return null;
  return recent.reduce((sum, kg) => sum + kg, 0) / recent.length;
}
const STEADY_S = 2;
const STEADY_READINGS = 10;
const STEADY_WITHIN_KG = 2;
/** Seconds until a pretended pull has grown to what it is set to. */
const PULL_S = 1.5;
/** What a stand-in for a hand scale says at one moment; chance is passed in: whole numbers from 0 to 99. */
export const handStandInText = (pullKg: number, atS: number, chance: () => number): string =>
  (Math.max(0, pullKg * Math.min(1, atS / PULL_S)) + 0.3 * (chance() / 49.5 - 1)).toFixed(1);
