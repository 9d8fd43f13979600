import { kneeForwardStepDone } from "../../core/week/forecast";
import { bandLadder, dropSet, dropsFrom, type GoalLoad, GOAL_SHARES, goalLoadKg, nextLoad } from "../../core/dose/load";
import type { Assembled } from "../../core/kit/assemble";
import { kgfFromN, type UnitSystem } from "../../core/units";
import { loadText, massText, percentText, tradeHeightText } from "./quantity";

const GOAL_STEP_M = 0.15;
const DROP_REPETITIONS = 10;

/** "goal 35 kg, half the body: 32 kg of what is here; 40 % of the way". */
export function goalLoadText(
  goal: GoalLoad,
  massKg: number,
  { loadKg, stepHeightM }: { loadKg: number; stepHeightM?: number },
  assembledKg: readonly number[] | null,
  units: UnitSystem,
): string {
  const goalKg = goalLoadKg(massKg, goal);
  const hereKg = assembledKg ? goalLoadKg(massKg, goal, assembledKg) : goalKg;
  const isStep = goal === "knee-forward-step";
  const done = isStep && stepHeightM !== undefined ? kneeForwardStepDone(stepHeightM, loadKg, massKg) : Math.min(1, loadKg / goalKg);
  const height = isStep ? ` at ${tradeHeightText(GOAL_STEP_M, units)}` : "";
  const here = hereKg < goalKg - 1e-6 ? ` (${hereKg > 0 ? loadText(hereKg, units) : "nothing"} of what is here)` : "";
  return `Goal: ${loadText(goalKg, units)}${height}, ${percentText(GOAL_SHARES[goal])} of body weight${here}. ${percentText(done)} of the way.`;
}

/** The next load up, or why there is none and the plate that would do. */
export function nextLoadText(loadKg: number, assembledKg: readonly number[], units: UnitSystem): string {
  const step = nextLoad(loadKg, assembledKg);
  if (step.ok) {
    const more = Number.isFinite(step.percent) ? `, ${Math.round(step.percent)}% more` : "";
    return `Next load: ${loadText(step.toKg, units)}${more}.`;
  }
  const { least, most } = step.neededKg;
  const wanted = `${massText(least - loadKg, units)} to ${massText(most - loadKg, units)} more would do`;
  if (step.nextKg === null) return `Nothing heavier is here: ${wanted}.`;
  const next = `${loadText(step.nextKg, units)}${step.percent === null ? "" : ` is ${Math.round(step.percent)}% more`}`;
  return `No next load yet: ${next}, and 2 to 10% is what a step may be. A smaller plate would help: ${wanted}. Until then a repetition more.`;
}

/** "Drop set: 30, 24, 20 kg × 10: 30 repetitions, 740 kg in all"; nothing where there is nothing to drop to. */
export function dropSetText(loadKg: number, assembledKg: readonly number[], units: UnitSystem): string | null {
  const loads = dropsFrom(loadKg, assembledKg);
  if (!(loadKg > 0) || loads.length < 2) return null;
  const { repetitions, volumeKg, dropPercents } = dropSet(loads, DROP_REPETITIONS);
  const drops = dropPercents.map((percent) => `${Math.round(percent)}%`).join(" and ");
  const said = loads.map((kg) => loadText(kg, units)).join(", ");
  return `Drop set: ${said} × ${DROP_REPETITIONS}: ${repetitions} repetitions, ${loadText(volumeKg, units)} in all; drops of ${drops}.`;
}

/** The bands that are here in the order they are taken, and where this one stands; nothing where none is. */
export function bandsText(
  bands: readonly Assembled[],
  pullN: number | null,
  use: "resists" | "supports",
  units: UnitSystem,
): string | null {
  const ladder = bandLadder(
    bands.filter(({ value }) => value > 0).map(({ value, recipe }) => ({ pullKg: value, name: recipe[0]?.name })),
    use,
  );
  if (ladder.length === 0) return null;
  const said = ladder.map(({ pullKg, name }) => {
    const words = name ? `${name} (${massText(pullKg, units)})` : massText(pullKg, units);
    return pullN !== null && Math.abs(pullKg - kgfFromN(pullN)) < 0.05 ? `${words}, now` : words;
  });
  return `Bands, ${use === "resists" ? "lightest" : "strongest"} first, one level at a time: ${said.join("; ")}.`;
}
