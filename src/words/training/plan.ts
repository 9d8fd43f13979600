import type { Dose, Frequency, Variation } from "../../core/catalogue/variation";
import { HOLD_FROM_S, phasesOf } from "../../core/dose/dose";
import type { Purpose } from "../../core/dose/purpose";
import { unreachable } from "../../core/reasons";
import type { Scanned } from "../../core/session/scan";
import type { Part } from "../../core/dose/part";
import type { Needed, SessionItem, WeakLink } from "../../core/session/session";
import type { Forecast } from "../../core/week/forecast";
import type { DayRefusal } from "../../core/week/week";
import { trainedName } from "../basics/catalogue";
import { dayText } from "../basics/day";
import type { UnitSystem } from "../../core/units";
import { settingText } from "../basics/lever";
import { rangeText, secondsText } from "../basics/quantity";

/** Sessions, days and what stands against them, in the trainer's words. */

const PARTS: Readonly<Record<Part, string>> = {
  "warm-up": "warm-up",
  mobility: "mobility",
  activation: "activate",
  main: "main",
  accessory: "beside it",
  finish: "finish",
  conditioning: "conditioning",
};
export const partName = (part: Part): string => PARTS[part];

const PURPOSES: Readonly<Record<Purpose, string>> = {
  calm: "calm a joint",
  "first-strength": "first strength",
  strength: "strength",
  endurance: "an endurance muscle",
  range: "range",
  control: "control",
  conditioning: "conditioning",
};
export const purposeName = (purpose: Purpose): string => PURPOSES[purpose];

const SKELETON_NAMES: Readonly<Record<string, string>> = {
  "knee-support": "Knee support, at home",
  "gentle-knee": "Gentle knee, seated to standing",
  "stairs-circuit": "Stairs and hills circuit",
  buttock: "Buttock session",
  "hip-imbalance": "Uneven hips",
  "after-replacement": "After a replacement, step by step",
  "repair-no-kit": "After a repair, no kit",
  "ground-up": "Knee from the ground up",
  "back-protecting": "Back protecting",
};
export const skeletonName = (id: string): string => SKELETON_NAMES[id] ?? id;

export const weakName = (weak: WeakLink): string =>
  weak.kind === "muscle" ? `the ${trainedName(weak.trained)}` : weak.kind === "knee" ? "the knee" : "the back";

const NEEDED: Readonly<Record<Needed, string>> = { squat: "squat", hinge: "hinge", thrust: "thrust", "side-hip": "side hip" };
export const neededName = (needed: Needed): string => NEEDED[needed];

const SCANNED: Readonly<Record<Scanned, string>> = {
  "spine-load": "Loads the spine",
  "spine-bends": "Bends the spine",
  belly: "Lies on the belly",
  lying: "Lies on the back",
  kneeling: "Kneels",
  balance: "Asks for balance",
  impact: "Lands",
  grip: "Needs a grip",
  closed: "Is closed today",
};
export const scannedName = (about: Scanned): string => SCANNED[about];

const OFTEN: Readonly<Record<Frequency, string>> = {
  "several-a-day": "several times a day",
  daily: "daily",
  "three-a-week": "three a week, a day between",
  "two-rest-days": "two a week, two full rest days between",
};
export const oftenName = (often: Frequency): string => OFTEN[often];

export const WEEKDAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"] as const;

/** "hold 30 s", "3 down, 1 still, 2 up" */
export function tempoText(dose: Pick<Dose, "tempo" | "counts">, startsBy: Variation["startsBy"]): string {
  if (dose.counts) return ""; // steps, not a tempo
  const { lowerS, pauseS } = dose.tempo;
  if (pauseS >= HOLD_FROM_S) return `hold ${secondsText(pauseS)}`;
  const said = { lower: "down", pause: "still", rise: "up" } as const;
  if (lowerS + pauseS === 0) return ""; // its minutes are its dose
  return phasesOf(dose, startsBy)
    .filter(({ lengthS }) => lengthS > 0)
    .map(({ phase, lengthS }) => `${lengthS} ${said[phase]}`)
    .join(", ");
}
/** What one side does elsewhere than the other: "left: step 12 cm". Empty where both do the same. */
export const elsewhereText = ({ sides }: Pick<SessionItem, "sides">, units: UnitSystem): string =>
  sides.flatMap(({ side, place }) => (place ? [`${side}: ${settingText(place.setting, units)}`] : [])).join("; ");
/** "right 3 × 10, left 2 × 10" or "3 × 8–12" or "4 min" */
export function itemDoseText({ dose, sides }: Pick<SessionItem, "dose" | "sides">): string {
  const { setCount, repetitionsLow, repetitionsHigh, tempo, counts } = dose;
  if (sides.length > 0)
    return sides.map(({ side, setCount: sets, repetitions }) => `${side} ${sets} × ${repetitions}${counts ? ` ${counts}` : ""}`).join(", ");
  if (counts) return `${setCount > 1 ? `${setCount} × ` : ""}${rangeText(repetitionsLow, repetitionsHigh)} ${counts}`;
  if (repetitionsHigh === 1 && tempo.lowerS + tempo.pauseS === 0)
    return `${setCount > 1 ? `${setCount} × ` : ""}${secondsText(tempo.riseS)}`;
  const count = rangeText(repetitionsLow, repetitionsHigh);
  if (tempo.pauseS >= HOLD_FROM_S)
    return repetitionsHigh === 1
      ? `${setCount} × ${secondsText(tempo.pauseS)}`
      : `${setCount} × ${count} holds of ${secondsText(tempo.pauseS)}`;
  return `${setCount} × ${count}`;
}

export function dayRefusalText(refusal: DayRefusal): string {
  switch (refusal.code) {
    case "not-a-day-of-the-client":
      return `${WEEKDAYS[refusal.weekday - 1]} is no day of this client's.`;
    case "rest":
      return `Too soon after ${dayText(refusal.after)}: it takes ${dayText(refusal.until)} or later.`;
    case "rest-before":
      return `Too near ${dayText(refusal.before)}, which follows: ${dayText(refusal.latest)} at the latest.`;
    case "own-load":
      return `That day is full: ${refusal.name}.`;
    case "often-enough":
      return `${refusal.most} a week is all its kind of work takes.`;
    case "already-that-day":
      return "There is one that day already.";
    default:
      return unreachable(refusal);
  }
}

/** "14 to 22 weeks, if mornings stay as they were" */
export function forecastText({ lowWeeks, highWeeks }: Forecast): string {
  if (lowWeeks === null) return "No honest number: as the mornings were, most ways do not get there within two years.";
  const low = Math.floor(lowWeeks);
  if (highWeeks === null) return `${low} weeks at the earliest, and no honest latest, as the mornings were so far.`;
  const high = Math.ceil(highWeeks);
  return `${low === high ? low : `${low} to ${high}`} weeks in eight of ten cases, as the mornings were so far.`;
}
