import { variationById } from "../../core/catalogue/catalogue";
import type { SessionItem } from "../../core/session/session";
import { dayText } from "../basics/day";
import type { TrainingPlan } from "../../core/session/plan";
import type { SheetItem } from "../../core/session/sheet";
import type { LeverId, Setting } from "../../core/templates/lever";
import type { UnitSystem } from "../../core/units";
import { leverName, recipeText, settingText } from "../basics/lever";
import { elsewhereText, itemDoseText, oftenName, tempoText, WEEKDAYS } from "./plan";
import { secondsText } from "../basics/quantity";

/** What a sheet for home says, in words a client uses; one place for the page and for the PDF. */
export interface SheetLine {
  name: string;
  why: string;
  setUp: string;
  /** What is set, and from what: "sofa 42 cm and a cushion of 5 cm". */
  setting: string;
  dose: string;
  first: string | null;
  tempo: string;
  rest: string;
  /** Done in turn with another. */
  turn: string | null;
  cues: readonly string[];
}
/** Settings that a client can set at home; angles are for whoever can see them. */
const TOLD: readonly LeverId[] = ["seatHeightM", "stepHeightM", "benchHeightM", "handForceN", "loadKg", "ankleKg", "bandForceN"];
export function sheetLine({ item, variationId, setting, recipes, cues }: SheetItem, units: UnitSystem, next?: SheetItem): SheetLine {
  const row = variationById(variationId);
  const built = recipes.map(({ lever }) => lever);
  const plain = Object.fromEntries(
    Object.entries(setting).filter(([lever, value]) => TOLD.includes(lever as LeverId) && !built.includes(lever as LeverId) && value > 0),
  ) as Setting;
  const made = recipes.map(({ lever, recipe }) => `${leverName(lever).toLowerCase()}: ${recipeText(recipe, units)}`);
  const [side] = item.sides;
  return {
    name: row.name,
    why: row.why,
    setUp: row.setUp,
    setting: [...made, settingText(plain, units), elsewhereText(item, units)].filter((part) => part !== "").join("; "),
    dose: itemDoseText(item),
    first: side ? `${side.side} leg first` : null,
    tempo: tempoText(item.dose, row.startsBy),
    rest: item.dose.restS > 0 ? `rest ${secondsText(item.dose.restS)} between sets` : "",
    turn: item.pairedWithNext && next ? `in turn with ${variationById(next.variationId).name.toLowerCase()}, rest after both` : null,
    cues,
  };
}
/** What is to come, and what differs by day. */
export function laterText(
  { alternates, setAside = [] }: Pick<TrainingPlan, "alternates" | "setAside">,
  waits: readonly SessionItem[],
): string[] {
  const names = (items: readonly SessionItem[]): string =>
    items.map(({ variationId }) => variationById(variationId).name.toLowerCase()).join(", ");
  return [
    ...(alternates ? ["Every second day is a light one: one set fewer, and the smaller number of repetitions."] : []),
    ...(waits.length > 0 ? [`Later, when these are easy: ${names(waits)}.`] : []),
    ...setAside.map(({ item, backOn }) => `Not ready yet: ${names([item])}. Try it again from ${dayText(backOn)}.`),
  ];
}

/** "Mon and Thu" or "three a week, a day between" */
export function daysText({ often, weekdays }: Pick<TrainingPlan, "often" | "weekdays">): string {
  const named = weekdays.length < 7 ? `, on ${weekdays.map((day) => WEEKDAYS[day - 1]).join(", ")}` : "";
  return `${oftenName(often)}${named}`;
}

/** What holds for all of it. Source: handbook K1 and K2. */
export const SHEET_RULES: readonly string[] = [
  "Each set ends at the last good repetition.",
  "Muscle work and an ache that settles are fine. Sharp or spreading pain: stop that exercise for today.",
  "Worse the next morning, or swollen: leave it out and tell your trainer.",
  "Not ready for one? Try again in a week.",
  "Sore muscles after something new are usual, and not the aim.",
  "A missed day is not made up for.",
];
export const SHEET_CALL = "Chest pain, breathlessness, a numb or weak leg, a hot swollen calf: stop, and call the emergency services.";
