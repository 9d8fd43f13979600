import type { Equipment } from "../../core/kit/equipment";
import { groupOf } from "../../core/catalogue/rows/row";
import type { Frequency, HelperGroup, Pattern, Position, Tags, Trained, Variation } from "../../core/catalogue/variation";
import { kitName } from "./lever";

const PATTERNS: Readonly<Record<Pattern, string>> = { squat: "Squat", hinge: "Hinge", bridge: "Bridge", step: "Step", helper: "Helper" };
export const patternName = (pattern: Pattern): string => PATTERNS[pattern];

const GROUPS: Readonly<Record<HelperGroup, string>> = {
  knee: "Knee extension",
  calf: "Calf and shin",
  "side-hip": "Side hip and inner thigh",
  trunk: "Trunk and carry",
  range: "Range",
  upper: "Pull and press",
  heart: "Conditioning",
};
export const groupName = (group: HelperGroup): string => GROUPS[group];
/** Where a row stands in the catalogue: its pattern, or its shelf among the helpers. */
export const shelfName = (variation: Variation): string => {
  const group = groupOf(variation);
  return group ? groupName(group) : patternName(variation.pattern);
};

const TRAINED: Readonly<Record<Trained, string>> = {
  quads: "front of the thigh",
  hamstrings: "back of the thigh",
  glutes: "buttock",
  "side-hip": "side of the hip",
  adductors: "inner thigh",
  "hip-flexors": "front of the hip",
  calf: "calf",
  shin: "shin",
  foot: "foot",
  trunk: "trunk",
  "back-line": "muscles along the back",
  "upper-back": "upper back",
  shoulders: "shoulders",
  balance: "balance",
  heart: "heart",
  "knee-range": "knee range",
  "hip-range": "hip range",
  "ankle-range": "ankle range",
};
export const trainedName = (trained: Trained): string => TRAINED[trained];

const OFTEN: Readonly<Record<Frequency, string>> = {
  "several-a-day": "several times a day",
  daily: "daily",
  "three-a-week": "three times a week",
  "two-rest-days": "two full rest days between",
};
export const oftenText = (often: Frequency): string => OFTEN[often];

const POSITIONS: Readonly<Record<Position, string>> = {
  standing: "standing",
  sitting: "sitting",
  "shoulders-on-bench": "shoulders on a bench",
  "on-the-back": "on the back",
  "face-down": "face down",
  "on-the-side": "on the side",
  "on-a-frame": "on a frame or ball",
  kneeling: "kneeling",
  water: "in water",
  any: "any position",
};
const LEGS: Readonly<Record<Tags["legs"], string>> = { two: "both legs", split: "split stance", one: "one leg", any: "either leg" };
const RANKS = ["nothing", "little", "some", "much"] as const;
/** "Standing, one leg; asks much of the knee, nothing of the back, some balance" */
export const tagsText = ({ position, legs, knee, back, balance }: Tags): string =>
  `${POSITIONS[position]}, ${LEGS[legs]}; asks ${RANKS[knee]} of the knee, ${RANKS[back]} of the low back, ${RANKS[balance]} of balance`;

/** Every word a row may be looked for by. */
export const wordsOf = (variation: Variation): string[] => [
  variation.name,
  variation.code,
  ...variation.alsoCalled,
  variation.purpose,
  variation.why,
  shelfName(variation),
  ...Object.keys(variation.trains).map((each) => trainedName(each as Trained)),
  ...variation.equipment.map((item: Equipment) => kitName(item)),
];
