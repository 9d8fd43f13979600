import { variationById } from "../catalogue/catalogue";
import type { Variation } from "../catalogue/variation";
import { tryDose } from "../dose/dose";
import { cuesFor } from "../judge/cues";
import type { FitContext } from "../judge/context";
import { type Assembled, recipeOf } from "../kit/assemble";
import { fitVariation } from "../progressions/search";
import { judge } from "../judge/judge";
import type { Side } from "../mechanics/channels";
import type { LeverId, Setting } from "../templates/lever";
import type { SessionItem } from "./session";

/** One exercise as the sheet at home has it: set up from what is there, or the easier one that is. */
export interface SheetItem {
  item: SessionItem;
  variationId: string;
  setting: Setting;
  cues: readonly string[];
  recipes: readonly { lever: LeverId; recipe: Assembled["recipe"] }[];
}

/** How a place stands where nobody watches: as it is, as one light set of what asks little, or not at all. */
type Alone = "open" | "light" | "not";
function aloneAt(home: FitContext, row: Variation, setting: Setting, side: Side | null): Alone {
  const context = side === null ? home : { ...home, subject: { ...home.subject, leadSide: side } };
  const { state, reasons } = judge(context, row, setting, "closing");
  if (state === "open") return "open";
  const [first] = reasons;
  return first.code === "ladder-and-trial" && first.because === "asks-little" ? "light" : "not";
}
const WORST: readonly Alone[] = ["open", "light", "not"];
const worst = (all: readonly Alone[]): Alone => WORST[Math.max(...all.map((each) => WORST.indexOf(each)))] ?? "not";

/** One light set, on each side that does it. */
const lightly = (item: SessionItem): SessionItem => {
  const dose = tryDose(item.dose);
  return { ...item, dose, sides: item.sides.map((own) => ({ ...own, setCount: 1, repetitions: dose.repetitionsHigh })) };
};

/**
 * A session for the kit of a place, held to the same judge as everything else: what is not open there without anybody watching,
 * or cannot be set up, gives way to an easier neighbour that is, else it is left out. What asks little is one light set.
 */
export function sheetFor(home: FitContext, items: readonly SessionItem[]): { items: SheetItem[]; leftOut: SessionItem[] } {
  const leftOut: SessionItem[] = [];
  const found = items.flatMap((item): SheetItem[] => {
    const row = variationById(item.variationId);
    const sides: (Side | null)[] = item.sides.length > 0 ? item.sides.map(({ side }) => side) : [null];
    const places = item.sides.length > 0 ? item.sides.map(({ place }) => place ?? item) : [item];
    const asIs = worst(places.map(({ variationId, setting }, i) => aloneAt(home, variationById(variationId), setting, sides[i] ?? null)));
    const options = asIs === "not" ? [row, ...row.easier.map(variationById)] : [];
    const tried = options
      .map((each) => ({ each, setting: fitVariation(home, each).setting }))
      .map((option) => ({ ...option, alone: worst(sides.map((side) => aloneAt(home, option.each, option.setting, side))) }));
    const other = tried.find(({ alone }) => alone === "open") ?? tried.find(({ alone }) => alone === "light");
    if (asIs === "not" && !other) {
      leftOut.push(item);
      return [];
    }
    const [taken, setting] = other ? [other.each, other.setting] : [row, item.setting];
    const recipes = (Object.entries(setting) as [LeverId, number][]).flatMap(([lever, value]) => {
      const recipe = recipeOf(home.kit.assembled, taken, lever, value);
      return recipe && recipe.length > 0 ? [{ lever, recipe }] : [];
    });
    // where another place is taken, no side keeps one of its own
    const own = other ? { ...item, sides: item.sides.map(({ place: _, ...rest }) => rest) } : item;
    const told = (other?.alone ?? asIs) === "light" ? lightly(own) : own;
    return [{ item: told, variationId: taken.id, setting, cues: cuesFor(home, taken).slice(0, 2), recipes }];
  });
  return { items: found, leftOut };
}

/** Words that judge, or promise what nobody can: never on paper to a client. Source: handbook K3. */
const AVOIDED = [
  /\bbad (?:exercise|for you)\b/i,
  /\bgood exercise\b/i,
  /\bno pain,? no gain\b/i,
  /\bpain will (?:go|be gone)\b/i,
  /\bwrong exercise\b/i,
  /\bdangerous\b/i,
  /\bnothing to worry\b/i,
];
export const avoidedWords = (text: string): string[] => AVOIDED.flatMap((pattern) => pattern.exec(text)?.[0] ?? []);
