import { BRIDGES } from "./rows/bridge.data";
import { HINGES } from "./rows/hinge.data";
import { KNEE_AND_CALF } from "./rows/knee.data";
import { RANGES } from "./rows/range.data";
import type { Row } from "./rows/row";
import { SIDE_HIPS } from "./rows/side-hip.data";
import { SQUATS } from "./rows/squat.data";
import { STEPS } from "./rows/step.data";
import { TRUNKS } from "./rows/trunk.data";
import { UPPER_AND_HEART } from "./rows/upper.data";
import type { Pattern, Variation } from "./variation";

const ROWS: readonly Row[] = [
  ...SQUATS,
  ...HINGES,
  ...BRIDGES,
  ...STEPS,
  ...KNEE_AND_CALF,
  ...SIDE_HIPS,
  ...TRUNKS,
  ...RANGES,
  ...UPPER_AND_HEART,
];

/** Rows as they stand beside each other: easier ones from who names them, and the place on the ladder of their own pattern. */
export function assemble(rows: readonly Row[]): Variation[] {
  const byCode = new Map(rows.map((each) => [each.code, each]));
  const placed = new Map<string, number>();
  const easierOf = ({ code }: Row): Row[] => rows.filter(({ next }) => next.includes(code));
  const placeOf = (each: Row): number => {
    const known = placed.get(each.code);
    if (known !== undefined) return known;
    placed.set(each.code, 1); // a cycle ends here; a test says there is none
    const below = easierOf(each).filter(({ pattern }) => pattern === each.pattern);
    const place = 1 + Math.max(0, ...below.map(placeOf));
    placed.set(each.code, place);
    return place;
  };
  return rows.map((each) => {
    const { next, ...told } = each;
    return {
      ...told,
      easier: easierOf(each).map(({ id }) => id),
      harder: next.flatMap((code) => byCode.get(code)?.id ?? []),
      ladderPlace: placeOf(each),
    };
  });
}

export const CATALOGUE: readonly Variation[] = assemble(ROWS);
const BY_ID: ReadonlyMap<string, Variation> = new Map(CATALOGUE.map((variation) => [variation.id, variation]));
const BY_CODE: ReadonlyMap<string, Variation> = new Map(CATALOGUE.map((variation) => [variation.code, variation]));

/** What a record stands by when it names a row that this release does not know: it opens, and nothing is computed. */
const unknown = (id: string): Variation => ({
  id,
  code: "",
  revision: 0,
  pattern: "helper",
  name: `${id.replaceAll("-", " ")} (no longer in the catalogue)`,
  alsoCalled: [],
  purpose: "",
  why: "",
  setUp: "This row is not in the catalogue of this release. What was done with it is kept; choose another for the next session.",
  cues: [],
  faults: [],
  template: "no-model",
  parameters: {},
  levers: [],
  equipment: [],
  cautions: [],
  trains: {},
  lowering: "slow",
  tags: { position: "any", legs: "any", knee: 3, back: 3, balance: 3 },
  often: "two-rest-days",
  easier: [],
  harder: [],
  dose: { setCount: 1, repetitionsLow: 1, repetitionsHigh: 10, tempo: { lowerS: 2, pauseS: 0, riseS: 2 }, restS: 60 },
  ladderPlace: 0,
  startsBy: "lower",
  traits: [],
  isRetired: true,
});

/** Studios' own rows as they were last read: their ids are nobody else's, so they may stand beside each other. */
const OWN = new Map<string, Variation>();
/** Makes own rows known by their ids, so that what names them opens; the lists of a studio name its rows themselves. */
export function takeIn(rows: readonly Variation[]): void {
  for (const row of rows) OWN.set(row.id, row);
}

/** The row of an id; a retired or unknown one still opens, as something that can be looked at and not trained. */
export const variationById = (id: string): Variation => BY_ID.get(id) ?? OWN.get(id) ?? unknown(id);
/** The row of a code, as rules name it. */
export const variationByCode = (code: string): Variation | undefined => BY_CODE.get(code);
export const isInCatalogue = (id: string): boolean => BY_ID.has(id) || (OWN.has(id) && !OWN.get(id)?.isRetired);
export const variationsOf = (pattern: Pattern, own: readonly Variation[] = []): readonly Variation[] =>
  [...CATALOGUE, ...own].filter((variation) => variation.pattern === pattern && !variation.isRetired);
