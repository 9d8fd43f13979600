import { type Equipment, type Place, USUAL_AT } from "../catalogue/equipment";
import type { LeverId } from "../templates/lever";
import type { Kit } from "./context";

/** A thing that is really there: its height, thickness or mass, and how many of it. */
export interface KitItem {
  kind: Equipment;
  heightM?: number;
  thicknessM?: number;
  massKg?: number;
  count?: number;
}
/** What one sits on, what one steps on, what one holds, and what lies on top of each. Source: common practice, no source. */
const SEATS: readonly Equipment[] = ["chair", "box", "bench", "sofa"];
const LAYERS: readonly Equipment[] = ["cushion", "mat"];
const STEPS: readonly Equipment[] = ["step", "box"];
const HELD: readonly Equipment[] = ["dumbbell", "barbell", "hex-bar"];
/** What a thing may measure: outside it is a slip. */
export const KIT_LIMITS = {
  heightM: { min: 0.01, max: 1.5 },
  thicknessM: { min: 0.005, max: 0.5 },
  massKg: { min: 0, max: 300 },
  mostOfAKind: 50,
} as const;
/** How things are measured: by the height one sits or steps on, by how much one adds, by mass; the rest by being there. */
export function measuredBy(kind: Equipment): "heightM" | "thicknessM" | "massKg" | null {
  if (SEATS.includes(kind) || STEPS.includes(kind)) return "heightM";
  if (LAYERS.includes(kind)) return "thicknessM";
  return HELD.includes(kind) ? "massKg" : null;
}
/** A value that can be set up, and from what. */
export interface Assembled {
  value: number;
  recipe: readonly { kind: Equipment; size: number; count: number }[];
}
/** Values of a lever that this kit can set up; a lever it does not name goes by its increment. */
export type AssembledLevers = Readonly<Partial<Record<LeverId, readonly Assembled[]>>>;

/** More layers than this slide. */
const MOST_LAYERS = 6;
const rounded = (value: number): number => Math.round(value * 1e6) / 1e6;

/** Every sum of up to so many layers, the fewest pieces for each. */
function stacks(layers: readonly KitItem[], most: number): Assembled[] {
  let found: Assembled[] = [{ value: 0, recipe: [] }];
  for (const { kind, thicknessM = 0, count = 1 } of layers) {
    if (!(thicknessM > 0)) continue;
    found = found.flatMap(({ value, recipe }) =>
      Array.from({ length: Math.min(count, most) + 1 }, (_, n) => ({
        value: value + n * thicknessM,
        recipe: n > 0 ? [...recipe, { kind, size: thicknessM, count: n }] : recipe,
      })),
    );
  }
  return found.filter(({ recipe }) => recipe.reduce((sum, { count }) => sum + count, 0) <= most);
}
const pieces = ({ recipe }: Assembled): number => recipe.reduce((sum, { count }) => sum + count, 0);
/** One recipe for each value: the one of fewest pieces. */
function fewest(all: readonly Assembled[]): Assembled[] {
  const best = new Map<number, Assembled>();
  for (const each of all) {
    const value = rounded(each.value);
    const known = best.get(value);
    if (!known || pieces(each) < pieces(known)) best.set(value, { ...each, value });
  }
  return [...best.values()].toSorted((a, b) => a.value - b.value);
}
const onBases = (items: readonly KitItem[], bases: readonly Equipment[], layers: readonly KitItem[]): Assembled[] =>
  fewest(
    items
      .filter(({ kind, heightM }) => bases.includes(kind) && heightM !== undefined)
      .flatMap(({ kind, heightM = 0 }) =>
        stacks(layers, MOST_LAYERS).map(({ value, recipe }) => ({
          value: heightM + value,
          recipe: [{ kind, size: heightM, count: 1 }, ...recipe],
        })),
      ),
  );

/** Seats, steps and loads that the things at hand come to. A kind that no thing measures keeps its increment. */
export function assembledFrom(items: readonly KitItem[]): AssembledLevers {
  const layers = items.filter(({ kind }) => LAYERS.includes(kind));
  const seats = onBases(
    items,
    SEATS,
    layers.filter(({ kind }) => kind === "cushion"),
  );
  const steps = onBases(
    items,
    STEPS,
    layers.filter(({ kind }) => kind === "mat"),
  );
  const held = items.filter(({ kind, massKg }) => HELD.includes(kind) && massKg !== undefined);
  const loads = fewest([
    { value: 0, recipe: [] },
    ...held.map(({ kind, massKg = 0 }): Assembled => ({ value: massKg, recipe: [{ kind, size: massKg, count: 1 }] })),
  ]);
  return {
    ...(seats.length > 0 ? { seatHeightM: seats } : {}),
    ...(steps.length > 0 ? { stepHeightM: steps } : {}),
    ...(held.length > 0 ? { loadKg: loads } : {}),
  };
}

/** A place by its list; where nobody has listed it, what such a place usually has, by the usual increments. */
export const kitOf = (usual: Kit, place: Place, items: readonly KitItem[] | null): Kit =>
  items === null
    ? { ...usual, equipment: USUAL_AT[place] }
    : { ...usual, equipment: [...new Set(items.map(({ kind }) => kind))], assembled: assembledFrom(items) };

/** From what a value is set up; null where the kit does not say. */
export const recipeOf = (assembled: AssembledLevers, lever: LeverId, value: number): Assembled["recipe"] | null =>
  assembled[lever]?.find((each) => Math.abs(each.value - value) < 1e-6)?.recipe ?? null;
