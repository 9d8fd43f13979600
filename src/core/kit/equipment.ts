/** Everything a row may need to stand around. Walls and floors are taken to be there. */
export const EQUIPMENT = [
  "chair",
  "cushion",
  "box",
  "pole",
  "counter",
  "rail",
  "step",
  "mat",
  "dumbbell",
  "kettlebell",
  "plate",
  "barbell",
  "ankle-weight",
  "band",
  "loop-band",
  "strap",
  "ball",
  "small-ball",
  "wedge",
  "bench",
  "incline-bench",
  "hex-bar",
  "leg-press",
  "vest",
  "belt-squat",
  "back-extension-bench",
  "reverse-extension-machine",
  "hamstring-raise",
  "leg-curl-machine",
  "knee-extension-machine",
  "abduction-machine",
  "thrust-machine",
  "track-bar",
  "pivot-bar",
  "cable",
  "pull-down-machine",
  "dip-bars",
  "sled",
  "bike",
  "elliptical",
  "rower",
  "pool",
  "roll",
  "long-strap",
  "coin",
  "balance-pad",
  "table",
  "sofa",
] as const;
export type Equipment = (typeof EQUIPMENT)[number];

/**
 * What does instead, the nearest first. A home has a table, stairs and cushions: what a studio calls by another name.
 * Source: common practice, no source.
 */
export const SUBSTITUTES: Readonly<Partial<Record<Equipment, readonly Equipment[]>>> = {
  chair: ["sofa", "bench", "box"],
  box: ["chair", "bench"],
  bench: ["sofa"],
  counter: ["rail", "table"],
  rail: ["counter"],
  pole: ["rail"],
  dumbbell: ["kettlebell", "hex-bar"],
  strap: ["rail"],
  "loop-band": ["band"],
  roll: ["cushion"],
  "small-ball": ["cushion", "roll"],
  "balance-pad": ["cushion"],
  "ankle-weight": ["loop-band"],
  table: ["chair"],
  step: ["box"],
  "hex-bar": ["dumbbell", "kettlebell"],
  "belt-squat": ["dumbbell", "kettlebell"],
};

/** What of a row's needs is missing, and what stands in for what. */
export function onHand(needed: readonly Equipment[], there: readonly Equipment[]) {
  const missing: Equipment[] = [];
  const standIns: { instead: Equipment; of: Equipment }[] = [];
  for (const item of needed) {
    if (there.includes(item)) continue;
    const instead = SUBSTITUTES[item]?.find((other) => there.includes(other));
    if (instead) standIns.push({ instead, of: item });
    else missing.push(item);
  }
  return { missing, standIns };
}

export const PLACES = ["studio", "home", "travel"] as const;
export type Place = (typeof PLACES)[number];
/** What a place has where nobody has listed it: a home by what every home has. Ours, the trainer's to change. */
export const USUAL_AT: Readonly<Record<Place, readonly Equipment[]>> = {
  studio: EQUIPMENT,
  home: ["chair", "cushion", "counter", "rail", "step", "mat", "table", "sofa", "roll", "coin"],
  travel: ["chair", "cushion", "table", "coin"],
};
