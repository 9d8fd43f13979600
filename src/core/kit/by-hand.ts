import type { Body } from "../body/body";
import { otherSide, type Side } from "../mechanics/channels";

/** What the trade works out in the head at the client's side. Kilograms as a scale under foot or in hand reads them. */

export interface FootSplit {
  frontKg: number;
  rearKg: number;
  /** What the hands carry through a pole, a rail or a counter. */
  handsKg: number;
}
/**
 * Weight under the front and the rear foot of a split stance. The hands are in front: what they carry is taken off the
 * front leg. Source: handbook E2, "70 kg, 75 % front, pole 20 kg: 32.5 kg on the front leg"; never below nothing.
 */
export function footSplit(massKg: number, frontFraction: number, handsKg: number): FootSplit {
  const carriedKg = Math.min(handsKg, frontFraction * massKg);
  return { frontKg: frontFraction * massKg - carriedKg, rearKg: (1 - frontFraction) * massKg, handsKg: carriedKg };
}

/** What each leg of a staggered stance holds of a load. Source: handbook E2, "40 kg at 70/30: 28 and 12". */
export const staggeredLoad = (loadKg: number, frontFraction: number): { frontKg: number; rearKg: number } => ({
  frontKg: loadKg * frontFraction,
  rearKg: loadKg * (1 - frontFraction),
});

/** The pole goes into the hand opposite the working leg. Source: handbook C. */
export const poleHand = (workingSide: Side): Side => otherSide(workingSide);

/** A bench as high as the knee, for a thrust or a rear foot. Source: handbook C. */
export const benchAtKneeM = ({ ankleHeightM, shankM }: Body): number => ankleHeightM + shankM;
