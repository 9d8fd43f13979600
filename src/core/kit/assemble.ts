import type { Equipment } from "./equipment";
import { type LeverId, LEVERS } from "../templates/lever";
import { nFromKgf } from "../units";

/** A thing that is really there: its height, thickness, mass or pull, how many of it, and what it is called here. */
export interface KitItem {
  kind: Equipment;
  /** Of a strap: the height of its anchor. */
  heightM?: number;
  /** Of a bench with notches: its highest, and how far apart they are. */
  mostM?: number;
  stepM?: number;
  thicknessM?: number;
  /** Of a bar: empty. Of a stack: its least. */
  massKg?: number;
  /** Of a stack or a bell that is set: its most, and the step between. */
  mostKg?: number;
  stepKg?: number;
  /** Of a band: what it pulls at the length it is used at. */
  pullKg?: number;
  count?: number;
  /** The colour, say, that it goes by here. */
  name?: string;
}
/** What one sits on, what one steps on, what the shoulders lie on, and what lies on top of each. Source: common practice, no source. */
const SEATS: readonly Equipment[] = ["chair", "box", "bench", "sofa"];
const LAYERS: readonly Equipment[] = ["cushion", "mat"];
const STEPS: readonly Equipment[] = ["step", "box"];
const SHOULDERS_ON: readonly Equipment[] = ["bench", "sofa", "box"];
/** What is held in the hands without a bar; what plates go on; what has a stack of its own. */
const BELLS: readonly Equipment[] = ["dumbbell", "kettlebell"];
const BARS: readonly Equipment[] = ["barbell", "hex-bar", "track-bar", "pivot-bar"];
const STACKS: readonly Equipment[] = [
  "leg-press",
  "leg-curl-machine",
  "knee-extension-machine",
  "abduction-machine",
  "thrust-machine",
  "reverse-extension-machine",
  "cable",
  "pull-down-machine",
];
const WORN: readonly Equipment[] = ["vest", "ankle-weight", "plate"];
const BANDS: readonly Equipment[] = ["band", "loop-band"];
/** What a thing may measure: outside it is a slip. */
export const KIT_LIMITS = {
  heightM: { min: 0.01, max: 1.5 },
  anchorM: { min: 0.1, max: 3.5 },
  thicknessM: { min: 0.005, max: 0.5 },
  massKg: { min: 0, max: 400 },
  pullKg: { min: 0.2, max: 100 },
  mostOfAKind: 50,
} as const;
/** How things are measured: by the height one sits or steps on, by how much one adds, by mass or pull; the rest by being there. */
export function measuredBy(kind: Equipment): "heightM" | "thicknessM" | "massKg" | "pullKg" | null {
  if (SEATS.includes(kind) || STEPS.includes(kind) || kind === "strap") return "heightM";
  if (LAYERS.includes(kind)) return "thicknessM";
  if (BANDS.includes(kind)) return "pullKg";
  return [...BELLS, ...BARS, ...STACKS, ...WORN].includes(kind) ? "massKg" : null;
}
/** Things set to one of several steps: a stack's pin, a bench's notches. */
export const isSetInSteps = (kind: Equipment): boolean => STACKS.includes(kind) || kind === "bench";
/** A value that can be set up, and from what. */
export interface Assembled {
  value: number;
  recipe: readonly { kind: Equipment; size: number; count: number; name?: string }[];
}
/** What a kit comes to: heights by lever, and what can be held, loaded or pulled by the thing that it is held with. */
export interface AssembledKit {
  heights: Readonly<Partial<Record<LeverId, readonly Assembled[]>>>;
  masses: Readonly<Partial<Record<Equipment, readonly Assembled[]>>>;
}

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
/** A thing's own sizes: one, or every step up to its most. */
function sizes(least: number, most: number | undefined, step: number | undefined): number[] {
  if (most === undefined || step === undefined || !(step > 0) || !(most > least)) return [least];
  const count = Math.min(MOST_STEPS, Math.floor((most - least) / step + 1e-9)) + 1;
  return Array.from({ length: count }, (_, i) => rounded(least + i * step));
}
const MOST_STEPS = 200;
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
      .flatMap(({ kind, heightM = 0, mostM, stepM }) => sizes(heightM, mostM, stepM).map((size) => ({ kind, size })))
      .flatMap(({ kind, size }) =>
        stacks(layers, MOST_LAYERS).map(({ value, recipe }) => ({ value: size + value, recipe: [{ kind, size, count: 1 }, ...recipe] })),
      ),
  );

const NOTHING: Assembled = { value: 0, recipe: [] };
/** Every way to put pairs of plates on a bar, within reason. */
const MOST_PAIRS = 4;
const loadedBar = (kind: Equipment, barKg: number, plates: readonly KitItem[]): Assembled[] => {
  const pairs = plates.map(({ massKg = 0, count = 1 }) => ({
    kind: "plate" as const,
    thicknessM: 2 * massKg,
    count: Math.floor(count / 2),
  }));
  return stacks(pairs, MOST_PAIRS).map(({ value, recipe }) => ({
    value: barKg + value,
    recipe: [{ kind, size: barKg, count: 1 }, ...recipe.map((pair) => ({ ...pair, size: pair.size / 2, count: 2 * pair.count }))],
  }));
};
/** What one kind of thing can weigh or pull; undefined where none of its kind was measured. */
function massesOf(kind: Equipment, items: readonly KitItem[]): Assembled[] | undefined {
  const by = measuredBy(kind);
  const own = items.filter((item) => item.kind === kind && (by === "massKg" || by === "pullKg") && item[by] !== undefined);
  if (own.length === 0) return undefined;
  const each = own.flatMap(({ massKg, pullKg, mostKg, stepKg, name, count = 1 }) =>
    sizes((by === "massKg" ? massKg : pullKg) ?? 0, mostKg, stepKg).map((size) => ({ size, count, ...(name ? { name } : {}) })),
  );
  if (BARS.includes(kind)) {
    const plates = items.filter((item) => item.kind === "plate" && item.massKg !== undefined);
    return fewest(each.flatMap(({ size }) => loadedBar(kind, size, plates)));
  }
  const alone = each.map(({ size, name }): Assembled => ({ value: size, recipe: [{ kind, size, count: 1, ...(name ? { name } : {}) }] }));
  if (STACKS.includes(kind)) return fewest(alone);
  const pairs = BELLS.includes(kind)
    ? each.filter(({ count }) => count > 1).map(({ size }): Assembled => ({ value: 2 * size, recipe: [{ kind, size, count: 2 }] }))
    : [];
  return fewest([NOTHING, ...alone, ...pairs]);
}

/** Seats, steps, benches, anchors and loads that the things at hand come to. A kind that no thing measures keeps its increment. */
export function assembledFrom(items: readonly KitItem[]): AssembledKit {
  const layers = (kind: Equipment): KitItem[] => items.filter((item) => item.kind === kind);
  const anchors = items.flatMap(({ kind, heightM, name }): Assembled[] =>
    kind === "strap" && heightM !== undefined
      ? [{ value: heightM, recipe: [{ kind, size: heightM, count: 1, ...(name ? { name } : {}) }] }]
      : [],
  );
  const heights = {
    seatHeightM: onBases(items, SEATS, layers("cushion")),
    stepHeightM: onBases(items, STEPS, layers("mat")),
    benchHeightM: onBases(items, SHOULDERS_ON, layers("mat")),
    anchorHeightM: fewest(anchors),
  };
  const kinds = [...new Set(items.map(({ kind }) => kind))];
  return {
    heights: Object.fromEntries(Object.entries(heights).filter(([, values]) => values.length > 0)),
    masses: Object.fromEntries(kinds.flatMap((kind) => (massesOf(kind, items) ? [[kind, massesOf(kind, items)]] : []))),
  };
}

/** What a row holds its load with: the bar or machine it names, else bells. */
function holdersOf({ equipment, parameters }: Holds, lever: LeverId): { kinds: readonly Equipment[]; isPair: boolean } {
  const named = (kinds: readonly Equipment[]): Equipment[] => kinds.filter((kind) => equipment.includes(kind));
  const alone = (kinds: readonly Equipment[]) => ({ kinds, isPair: false });
  switch (lever) {
    case "ankleKg":
      return alone(["ankle-weight"]);
    case "bandForceN":
    case "cuffForceN":
    case "sledForceN": {
      const [machine] = named(STACKS);
      return alone(machine ? [machine] : BANDS);
    }
    default: {
      const [holder] = named([...BARS, ...STACKS, "vest"]);
      if (holder) return alone(holder === "hex-bar" ? ["hex-bar", ...BELLS] : [holder]);
      return { kinds: [...BELLS, "hex-bar"], isPair: parameters["hands"] !== "goblet" };
    }
  }
}
/** As much of a row as says what it is loaded with. */
export interface Holds {
  equipment: readonly Equipment[];
  parameters: Readonly<Record<string, string | number>>;
}
/** What a row's lever can be set to from this kit, in the lever's unit, ascending; undefined where it goes by its increment. */
export function assembledFor(kit: AssembledKit | undefined, row: Holds, lever: LeverId): readonly Assembled[] | undefined {
  if (!kit) return undefined;
  if (LEVERS[lever].kind !== "load") return lever === "anchorHeightM" && !row.equipment.includes("strap") ? undefined : kit.heights[lever];
  const { kinds, isPair } = holdersOf(row, lever);
  const all = kinds.flatMap((kind) => kit.masses[kind] ?? []);
  if (all.length === 0) return undefined;
  const isForce = LEVERS[lever].unit === "N";
  const found = all
    .filter(({ recipe }) => isPair || recipe.every(({ kind, count }) => count === 1 || !BELLS.includes(kind)))
    .map((each) => (isForce ? { ...each, value: nFromKgf(each.value) } : each));
  return fewest(found);
}

/** From what a value is set up; null where the kit does not say. */
export const recipeOf = (kit: AssembledKit | undefined, row: Holds, lever: LeverId, value: number): Assembled["recipe"] | null =>
  assembledFor(kit, row, lever)?.find((each) => Math.abs(each.value - value) < 1e-6)?.recipe ?? null;
