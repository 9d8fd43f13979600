import type { UnitSystem } from "../../core/units";
import type { Equipment } from "../../core/kit/equipment";
import type { Dose } from "../../core/catalogue/variation";
import { dropCount } from "../../core/dose/dose";
import { type Assembled, measuredBy } from "../../core/kit/assemble";
import type { Change, LeverChange } from "../../core/progressions/tread";
import { LEVER_IDS, type LeverId, LEVERS, type Setting } from "../../core/templates/lever";
import { angleText, handText, lengthText, loadText, massText, percentText, secondsText } from "./quantity";

/** What the trainer sets, not what the model calls it; the second form stands before a value in a sentence. */
const NAMES: Readonly<Record<LeverId, readonly [name: string, inSentence: string]>> = {
  seatHeightM: ["Seat height", "seat"],
  kneeFlexionDeg: ["Knee bend", "knee"],
  stepHeightM: ["Step height", "step"],
  handleHeightM: ["Handle height", "handle"],
  trunkLeanDeg: ["Trunk forward", "trunk"],
  hipFlexionDeg: ["Hips left bent", "hips left bent"],
  legRaiseDeg: ["Leg above level", "leg up"],
  heelRaiseDeg: ["Heels raised", "heels up"],
  bodyLeanDeg: ["Lean back", "lean"],
  handForceN: ["Hand pushes down", "hands"],
  railForceN: ["Pull on the rail", "rail"],
  strapForceN: ["Pull in the strap", "strap"],
  stickForceN: ["Weight on the stick", "stick"],
  shareFraction: ["Weight on this leg", "weight on it"],
  stanceBackM: ["Length of the stance", "stance"],
  rearLevelM: ["Rear foot raised", "rear foot up"],
  footFurtherM: ["Other foot further out", "other foot out"],
  legsApartDeg: ["Legs out to the side", "legs out"],
  loadKg: ["Load", "load"],
  ankleKg: ["Weight at the ankle", "ankle"],
  sledForceN: ["Force of the sled", "sled"],
  bandForceN: ["Pull of the band", "band"],
  cuffForceN: ["Pull of the cuff", "cuff"],
  shankLeanDeg: ["Shin forward", "shin"],
  trunkKeptDeg: ["Trunk kept forward", "trunk"],
  wedgeDeg: ["Heel wedge", "wedge"],
  rearHeelDeg: ["Rear heel raised", "rear heel"],
  trailThighDeg: ["Other thigh forward", "other thigh"],
  trailKneeDeg: ["Other knee bend", "other knee"],
  kneeAtTopDeg: ["Knee at the top", "knee at the top"],
  handDirectionDeg: ["Push, above level", "push"],
  supportAheadM: ["Support ahead of the ankle", "support ahead"],
  loadAheadM: ["Load ahead of the shoulder", "load ahead"],
  anchorHeightM: ["Height of the anchor", "anchor up"],
  anchorAheadM: ["Anchor ahead of the ankle", "anchor ahead"],
  strapDirectionDeg: ["Strap above level", "strap"],
  handleAlongM: ["Handle along the body", "handle"],
  benchHeightM: ["Shoulders raised", "bench"],
  ballHeightM: ["Height of the ball", "ball"],
  feetUpM: ["Feet up the wall", "feet up"],
  feetHighM: ["Feet high on the plate", "feet up"],
  inclineDeg: ["Push above level", "incline"],
  seatBackDeg: ["Seat back from the sled", "seat back"],
  bandArmM: ["Band from the hip", "band at"],
  handOutM: ["Hand out from the body", "hand out"],
  startKneeDeg: ["Knee bend at the start", "from"],
  endKneeDeg: ["Knee bend at the end", "up to"],
  setS: ["One set lasts", "for"],
};
export const leverName = (lever: LeverId): string => NAMES[lever][0];

export function leverValueText(lever: LeverId, value: number, units: UnitSystem): string {
  switch (LEVERS[lever].unit) {
    case "m":
      return lengthText(value, units);
    case "deg":
      return angleText(value);
    case "N":
      return value > 0 ? handText(value, units) : lever === "handForceN" ? "hands free" : "none";
    case "kg":
      return value > 0 ? loadText(value, units) : "none";
    case "fraction":
      return percentText(value);
    case "s":
      return secondsText(value);
  }
}

/** One lever in set-up words: "seat 60 cm", "hands free", "no load". */
export function leverPhrase(lever: LeverId, value: number, units: UnitSystem): string {
  const { kind, unit } = LEVERS[lever];
  if (lever === "handForceN") return value > 0 ? `push down ${handText(value, units)}` : "hands free";
  if (kind === "load" && !(value > 0)) return "no load";
  if (lever === "loadKg") return `${loadText(value, units)} in hand`;
  if (unit === "fraction") return `${percentText(value)} of the weight on it`;
  return `${NAMES[lever][1]} ${leverValueText(lever, value, units)}`;
}

/** "seat 60 cm, push down 8 kg", the movement first; what a trainer does not set from day to day is left out. */
export function settingText(setting: Setting, units: UnitSystem): string {
  const said = LEVER_IDS.flatMap((lever) => {
    const value = setting[lever];
    return value !== undefined && ["range", "support", "load"].includes(LEVERS[lever].kind) ? [leverPhrase(lever, value, units)] : [];
  });
  return said.join(", ");
}

/** "the first set at seat 46 cm", "the last two at once with 24 kg, 20 kg", of a dose whose sets are not all alike. */
export function unlikeSetsText(dose: Pick<Dose, "setCount" | "mixed" | "drops">, units: UnitSystem): string {
  const { mixed, drops } = dose;
  const dropping = drops?.values.slice(0, dropCount(dose)) ?? [];
  if (drops && dropping.length > 0) {
    const said = dropping.map((value) => leverValueText(drops.lever, value, units)).join(", ");
    return `; ${dropping.length === 1 ? "the last set" : `the last ${dropping.length} sets`} at once with ${said}`;
  }
  if (!mixed) return "";
  return `; ${mixed.setCount === 1 ? "the first set at" : `the first ${mixed.setCount} sets at`} ${settingText(mixed.setting, units)}`;
}

export const leverChangeText = ({ lever, from, to }: LeverChange, units: UnitSystem): string =>
  `${leverName(lever)} ${leverValueText(lever, from, units)} → ${leverValueText(lever, to, units)}`;

/** A step in set-up words: the levers it moves, the row it leads to, or the sets it takes off. */
export function changeText({ levers, fromVariationId, sets, mixed }: Change, toName: string, units: UnitSystem): string {
  const parts = [
    ...(fromVariationId === null ? [] : [`On to: ${toName}`]),
    ...levers.map((each, i) => (i === 0 ? leverChangeText(each, units) : `giving back ${leverChangeText(each, units).toLowerCase()}`)),
    ...(mixed ? [mixed.setCount === 0 ? "in every set" : `in ${mixed.setCount} of ${mixed.of} sets, the rest as before`] : []),
    ...(sets ? [`${sets.from} → ${sets.to} ${sets.to === 1 ? "set" : "sets"}`] : []),
  ];
  return parts.join(", ") || "No change";
}

const KIT_NAMES: Readonly<Partial<Record<Equipment, string>>> = {
  "belt-squat": "hip belt or squat machine",
  "loop-band": "short loop band",
  "hamstring-raise": "hamstring frame",
  "track-bar": "bar on rails",
};
export const kitName = (item: Equipment): string => KIT_NAMES[item] ?? item.replaceAll("-", " ");
export const equipmentText = (equipment: readonly Equipment[]): string => equipment.map(kitName).join(", ");

/** "chair 46 cm and 2 cushions of 5 cm" */
export function recipeText(recipe: Assembled["recipe"], units: UnitSystem): string {
  const parts = recipe.map(({ kind, size, count, name }) => {
    const by = measuredBy(kind);
    const amount = by === "massKg" || by === "pullKg" ? massText(size, units) : lengthText(size, units);
    const called = name ? `${name} ${kitName(kind)}` : kitName(kind);
    return count > 1 ? `${count} ${called}s of ${amount}` : `${called} ${amount}`;
  });
  return parts.length === 0 ? "" : `${parts.slice(0, -1).join(", ")}${parts.length > 1 ? " and " : ""}${parts.at(-1)}`;
}
