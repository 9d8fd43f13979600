import type { Setting } from "../templates/lever";
import type { Trait } from "../templates/template";
import type { Tags, Variation } from "./variation";

const OF_POSITION: Readonly<Partial<Record<Tags["position"], Trait>>> = {
  "on-the-back": "lying",
  "face-down": "face-down",
  kneeling: "kneeling",
};
/** What a row is whatever its numbers: what it says itself, how the body lies, and whether it lands. */
export function traitsOfRow({ traits, tags: { position, isImpact } }: Variation): Trait[] {
  const placed = OF_POSITION[position];
  return [...traits, ...(placed ? [placed] : []), ...(isImpact ? (["impact"] as const) : [])];
}

/** A hold of more seconds than this is one that breath is held for. ◊ */
const LONG_HOLD_S = 30;
/** What a row becomes by how it is set: a hold so long that breath is held with it. */
export const traitsOfSetting = ({ dose }: Pick<Variation, "dose">, { setS = 0 }: Setting): Trait[] =>
  dose.repetitionsHigh <= 2 && dose.tempo.pauseS > 0 && Math.max(setS, dose.tempo.pauseS) > LONG_HOLD_S ? ["breath-holding"] : [];

/** The code by which rules and schools know a row: a trainer's own goes by the one it was made from. */
export const ruledAs = ({ code, basedOn }: Pick<Variation, "code" | "basedOn">): string => basedOn ?? code;
