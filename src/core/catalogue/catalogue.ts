import { BRIDGES } from "./bridge.data";
import { HELPERS } from "./helper.data";
import { HINGES } from "./hinge.data";
import { SQUATS } from "./squat.data";
import { STEPS } from "./step.data";
import type { Pattern, Variation } from "./variation";

export const CATALOGUE: readonly Variation[] = [...SQUATS, ...HINGES, ...BRIDGES, ...STEPS, ...HELPERS];

/** What a record stands by when it names a row that this release does not know: it opens, and nothing is computed. */
const unknown = (id: string): Variation => ({
  id,
  revision: 0,
  pattern: "helper",
  name: `${id.replaceAll("-", " ")} (no longer in the catalogue)`,
  purpose: "",
  setUp: "This row is not in the catalogue of this release. What was done with it is kept; choose another for the next session.",
  cues: [],
  faults: [],
  template: "no-model",
  parameters: {},
  levers: [],
  equipment: [],
  cautions: [],
  easier: [],
  harder: [],
  dose: { setCount: 1, repetitionsLow: 1, repetitionsHigh: 10, tempo: { lowerS: 2, pauseS: 0, riseS: 2 }, restS: 60 },
  ladderPlace: 0,
  startsBy: "lower",
  isRetired: true,
});

/** The row of an id; a retired or unknown one still opens, as something that can be looked at and not trained. */
export const variationById = (id: string): Variation => CATALOGUE.find((variation) => variation.id === id) ?? unknown(id);
export const isInCatalogue = (id: string): boolean => CATALOGUE.some((variation) => variation.id === id);
export const variationsOf = (pattern: Pattern): readonly Variation[] =>
  CATALOGUE.filter((variation) => variation.pattern === pattern && !variation.isRetired);
