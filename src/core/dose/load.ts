import { LOAD_WINDOW } from "../standards/repetition";
import { inFromM, lbFromKg } from "../units";

/** Goal loads as a share of body weight. Source: handbook D4, 75 to 77. */
export const GOAL_SHARES = { "steep-squat": 0.25, "knee-forward-step": 0.5, "full-squat": 1 } as const;
export type GoalLoad = keyof typeof GOAL_SHARES;
/** The rows those goals are named for, by their code. */
const GOAL_BY_CODE: Readonly<Partial<Record<string, GoalLoad>>> = {
  S21: "full-squat",
  S22: "steep-squat",
  S23: "steep-squat",
  L12: "knee-forward-step",
  L13: "knee-forward-step",
  L14: "knee-forward-step",
};
/** The goal a row's load is on its way to; none for most. A trainer's own row has that of the row it was made from. */
export const goalLoadOf = ({ code, basedOn }: { code: string; basedOn?: string }): GoalLoad | null => GOAL_BY_CODE[basedOn ?? code] ?? null;
/** 70 kg makes 17.5, 35 and 70; of the loads that can be assembled the nearest that is not more. */
export function goalLoadKg(massKg: number, goal: GoalLoad, assembledKg: readonly number[] | null = null): number {
  const wantedKg = GOAL_SHARES[goal] * massKg;
  if (!assembledKg) return wantedKg;
  return Math.max(0, ...assembledKg.filter((kg) => kg <= wantedKg + 1e-9));
}

export type LoadStep =
  | { ok: true; toKg: number; percent: number }
  /** The next load here is too big a step: the smaller one that would do, and what to change instead. */
  | { ok: false; nextKg: number | null; percent: number | null; neededKg: { least: number; most: number } };
/**
 * The next load up from what can be assembled, within the published window; refused with the plate that would be needed
 * where the smallest step is bigger. Ten kilograms and less go by the kit alone: a bell more is a bell more.
 */
export function nextLoad(loadKg: number, assembledKg: readonly number[]): LoadStep {
  const above = assembledKg.filter((kg) => kg > loadKg + 1e-9).toSorted((a, b) => a - b);
  const [next] = above;
  const percent = next === undefined || !(loadKg > 0) ? null : (next / loadKg - 1) * 100;
  const inWindow = above.find((kg) => kg <= loadKg * (1 + LOAD_WINDOW.mostFraction) + 1e-9);
  const taken = loadKg <= WINDOW_FROM_KG ? next : inWindow;
  if (taken !== undefined) return { ok: true, toKg: taken, percent: loadKg > 0 ? (taken / loadKg - 1) * 100 : NaN };
  return {
    ok: false,
    nextKg: next ?? null,
    percent,
    neededKg: { least: loadKg * (1 + LOAD_WINDOW.leastFraction), most: loadKg * (1 + LOAD_WINDOW.mostFraction) },
  };
}
const WINDOW_FROM_KG = 10;

/** Loads falling within one set, heaviest first: repetitions in all, volume in kilograms, and each drop in per cent. */
export function dropSet(
  loadsKg: readonly number[],
  repetitions: number,
): { repetitions: number; volumeKg: number; dropPercents: number[] } {
  return {
    repetitions: loadsKg.length * repetitions,
    volumeKg: repetitions * loadsKg.reduce((sum, load) => sum + load, 0),
    dropPercents: loadsKg.slice(1).map((load, i) => (1 - load / (loadsKg[i] ?? NaN)) * 100),
  };
}

/** The loads of a drop set from what is here: at each drop the nearest to a fifth less, and no more than so many. Source: 110, 90, 70 of handbook D6. */
export function dropsFrom(loadKg: number, assembledKg: readonly number[], count = 3): number[] {
  const loads = [loadKg];
  while (loads.length < count) {
    const wantedKg = (loads.at(-1) ?? 0) * (1 - DROP_FRACTION);
    const below = assembledKg.filter((kg) => kg > 0 && kg < (loads.at(-1) ?? 0) - 1e-9);
    const [next] = below.toSorted((a, b) => Math.abs(a - wantedKg) - Math.abs(b - wantedKg));
    if (next === undefined) break;
    loads.push(next);
  }
  return loads;
}
const DROP_FRACTION = 0.2;

/** Bands in the order they are taken: what resists from the lightest, what supports from the strongest. One level is one lever. */
export const bandLadder = <B extends { pullKg: number }>(bands: readonly B[], use: "resists" | "supports"): B[] =>
  bands.toSorted((a, b) => (use === "resists" ? a.pullKg - b.pullKg : b.pullKg - a.pullKg));

/** Pounds as the trade says them: to the pound below ten, to five above. 22 kg is "50 lb". Source: handbook D8. */
export function tradeLb(kg: number): number {
  const lb = lbFromKg(kg);
  return lb < 10 ? Math.round(lb) : Math.round(lb / 5) * 5;
}
/** Inches as the trade says them, to the half. */
export const tradeIn = (m: number): number => Math.round(inFromM(m) * 2) / 2;

/** Protein a day, grams, on request alone. Source: handbook D7, 0.8 g a pound. Refused where a clinician decides it. */
export function proteinG(
  massKg: number,
  refer: { pregnancy: boolean; kidneyDisease: boolean },
): { ok: true; grams: number } | { ok: false; refer: "clinician" } {
  if (refer.pregnancy || refer.kidneyDisease) return { ok: false, refer: "clinician" };
  return { ok: true, grams: 0.8 * lbFromKg(massKg) };
}
