import { type DailyUse, type LeverId, type Place, type RouteTread, type Setting, type Tread, variationById } from "../../core";
import { leverValueText } from "../text/lever-text";
import { percentText, type UnitSystem } from "../text/quantity-text";

/** One tread as it is shown, wherever it comes from. */
export interface Shown {
  place: Place;
  name: string;
  use: number | null;
  isClosed: boolean;
  isCurrent: boolean;
  hint: string;
}

export function ofNext(variationId: string, treads: readonly Tread[], units: UnitSystem): Shown[] {
  return treads.map(({ setting, step, judgement, isCurrent }) => ({
    place: { variationId, setting },
    name: step ? treadName(step.lever, step.to, units) : firstName(setting, units),
    use: judgement.tightest?.head ?? null,
    isClosed: judgement.state === "closed",
    isCurrent,
    hint: step?.tooBig ? ", a big jump" : "",
  }));
}

const FLAGS = { "too-big": ", a big jump", "about-the-same": ", about the same" } as const;
export function ofRoute(treads: readonly RouteTread[], units: UnitSystem): Shown[] {
  return treads.map(({ variationId, setting, change, flag, judgement }, i) => ({
    place: { variationId, setting },
    name:
      change?.kind === "lever"
        ? treadName(change.lever, change.to, units)
        : change
          ? variationById(variationId).name
          : firstName(setting, units),
    use: judgement.tightest?.head ?? null,
    isClosed: judgement.state === "closed",
    isCurrent: i === 0,
    hint: flag ? FLAGS[flag] : "",
  }));
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

function treadName(lever: LeverId, value: number, units: UnitSystem): string {
  const text = leverValueText(lever, value, units);
  if (lever === "handForceN") return value > 0 ? `hands ${text}` : "hands free";
  if (lever === "shareFraction") return `share ${text}`;
  return lever === "loadKg" ? `load ${text}` : text;
}

function firstName(setting: Setting, units: UnitSystem): string {
  if (setting.seatHeightM !== undefined) return leverValueText("seatHeightM", setting.seatHeightM, units);
  return setting.kneeFlexionDeg === undefined ? "start" : leverValueText("kneeFlexionDeg", setting.kneeFlexionDeg, units);
}
