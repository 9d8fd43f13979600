import { LENGTH_FRACTIONS } from "../body/segments.data";

const { ankleHeight, shank, thigh } = LENGTH_FRACTIONS;
/** First guesses before anything is measured. Source: Drillis & Contini 1966: .285 and .530 of stature. */
export const heightsFromStature = (statureM: number): { kneeHeightM: number; trochanterHeightM: number } => ({
  kneeHeightM: (ankleHeight + shank) * statureM,
  trochanterHeightM: (ankleHeight + shank + thigh) * statureM,
});
