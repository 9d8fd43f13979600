import type { UnitSystem } from "../../core/units";
import { variationById } from "../../core/catalogue/catalogue";
import type { Place } from "../../core/judge/context";
import type { DailyUse } from "../../core/judge/daily";
import type { Change, Tread } from "../../core/progressions/tread";
import { type LeverId, LEVERS, type Setting } from "../../core/templates/lever";
import { leverPhrase, leverValueText } from "../../words/basics/lever";
import { percentText } from "../../words/basics/quantity";

/** One tread as it is shown, wherever it comes from. */
export interface Shown {
  place: Place;
  name: string;
  use: number | null;
  isClosed: boolean;
  /** It depends on how it is done: one light set first. */
  isTry: boolean;
  isCurrent: boolean;
  hint: string;
}

const HINTS = { "too-big": ", a big jump", "about-the-same": ", about the same", small: ", a small step", even: "" } as const;

/** The treads of a stair as they are shown; `current` is the rung in hand. */
export const ofTreads = (treads: readonly Tread[], current: number, units: UnitSystem): Shown[] =>
  treads.map(({ variationId, setting, change, size, judgement }, i) => ({
    place: { variationId, setting },
    name: change ? changeName(change, variationId, units) : firstName(setting, units),
    use: judgement.tightest?.head ?? null,
    isClosed: judgement.state === "closed",
    isTry: judgement.state === "try",
    isCurrent: i === current,
    hint: size ? HINTS[size] : "",
  }));

function changeName({ levers, fromVariationId }: Change, variationId: string, units: UnitSystem): string {
  const [first] = levers;
  return first && fromVariationId === null ? treadName(first.lever, first.to, units) : variationById(variationId).name;
}

/** The client's own day among the treads: each after the last one that asks no more. */
export function withDay(treads: readonly Shown[], day: readonly DailyUse[]): (Shown | DailyUse)[] {
  const rest = [...day];
  const shown: (Shown | DailyUse)[] = [];
  for (const tread of treads) {
    while (rest[0]?.use && tread.use !== null && rest[0].use.head < tread.use) shown.push(rest.shift() as DailyUse);
    shown.push(tread);
  }
  return [...shown, ...rest.filter(({ use }) => use !== null)];
}

/** A day's use; a step is a range, for the lower foot's push-off is not known. */
export function dayUse({ use }: DailyUse): string {
  if (!use) return "";
  return percentText(use.low) === percentText(use.high) ? percentText(use.head) : `${Math.round(use.low * 100)}–${percentText(use.high)}`;
}

/** A tread by what it sets: a height or a bend by its value alone, anything else with its name. */
const treadName = (lever: LeverId, value: number, units: UnitSystem): string =>
  LEVERS[lever].kind === "range" ? leverValueText(lever, value, units) : leverPhrase(lever, value, units);

function firstName(setting: Setting, units: UnitSystem): string {
  const [first] = (Object.entries(setting) as [LeverId, number][]).filter(([lever]) => LEVERS[lever].kind === "range");
  return first ? leverValueText(first[0], first[1], units) : "start";
}
