import { variationById } from "../catalogue/catalogue";
import { type Equipment } from "../catalogue/equipment";
import { cuesOf } from "../school/school";
import type { FitContext } from "../fit/context";
import { type Assembled, recipeOf } from "../fit/assemble";
import { fitVariation } from "../fit/search";
import { judge } from "../fit/judge";
import type { LeverId, Setting } from "../templates/lever";
import type { SessionItem } from "./session";

/** One exercise as the sheet at home has it: set up from what is there, or the easier one that is. */
export interface SheetItem {
  item: SessionItem;
  variationId: string;
  setting: Setting;
  cues: readonly string[];
  recipes: readonly { lever: LeverId; recipe: Assembled["recipe"] }[];
  missing: readonly Equipment[];
}

/** A session for the kit of a place: what cannot be set up there gives way to an easier neighbour that can, else it is left out. */
export function sheetFor(home: FitContext, items: readonly SessionItem[]): { items: SheetItem[]; leftOut: SessionItem[] } {
  const leftOut: SessionItem[] = [];
  const found = items.flatMap((item): SheetItem[] => {
    const row = variationById(item.variationId);
    const asIs = judge(home, row, item.setting, "closing");
    const needsKit = asIs.reasons.some(({ code }) => code === "equipment-missing" || code === "not-assembled");
    const options = needsKit ? [row, ...row.easier.map(variationById)] : [];
    const other = options
      .map((each) => ({ each, fitted: fitVariation(home, each) }))
      .find(({ fitted }) => fitted.state === "open" || fitted.state === "try");
    if (needsKit && !other) {
      leftOut.push(item);
      return [];
    }
    const [taken, setting] = other ? [other.each, other.fitted.setting] : [row, item.setting];
    const recipes = (Object.entries(setting) as [LeverId, number][]).flatMap(([lever, value]) => {
      const recipe = recipeOf(home.kit.assembled, taken, lever, value);
      return recipe && recipe.length > 0 ? [{ lever, recipe }] : [];
    });
    const missing = asIs.reasons.flatMap((reason) => (reason.code === "equipment-missing" ? reason.equipment : []));
    return [{ item, variationId: taken.id, setting, cues: cuesOf(home.school, taken).slice(0, 2), recipes, missing }];
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
