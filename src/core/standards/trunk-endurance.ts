/** Seconds held: flexion at 60 degrees, back extension, side bridge on either side. */
export interface TrunkHolds {
  flexionS: number;
  extensionS: number;
  rightS: number;
  leftS: number;
}
export const TRUNK_FLAGS = ["flexionToExtension", "rightToExtension", "leftToExtension", "rightToLeft"] as const;
export type TrunkFlag = (typeof TRUNK_FLAGS)[number];

const FLEXION_TO_EXTENSION_MOST = 1;
const SIDE_TO_EXTENSION_MOST = 0.75;
const SIDES_APART_MOST = 0.05;

/** Ratios of the four holds and those that are out of balance: words to talk about, no norm over 60. Source: McGill, Low Back Disorders, 2002. */
export function trunkEndurance({ flexionS, extensionS, rightS, leftS }: TrunkHolds): Record<TrunkFlag, number> & { flags: TrunkFlag[] } {
  const ratios = {
    flexionToExtension: flexionS / extensionS,
    rightToExtension: rightS / extensionS,
    leftToExtension: leftS / extensionS,
    rightToLeft: rightS / leftS,
  };
  const isOut: Record<TrunkFlag, boolean> = {
    flexionToExtension: ratios.flexionToExtension > FLEXION_TO_EXTENSION_MOST,
    rightToExtension: ratios.rightToExtension > SIDE_TO_EXTENSION_MOST,
    leftToExtension: ratios.leftToExtension > SIDE_TO_EXTENSION_MOST,
    rightToLeft: Math.abs(ratios.rightToLeft - 1) > SIDES_APART_MOST,
  };
  return { ...ratios, flags: TRUNK_FLAGS.filter((flag) => isOut[flag]) };
}
