import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { dayAfter, daysBetween } from "../../src/core/day";
import { learn, priorTolerance, proposedCeiling, type Risk, RISK, type ToldDose, withinRisk } from "../../src/core/limits/tolerance";

/** What a true client is like: not the model's own figures, so that the model is tried where it is wrong. */
interface WorldRow {
  spread: number;
  flareAt: number;
  noticedAt: number;
  /** What it takes at the start, beside what the calm pose says. */
  start?: number;
  /** Change of what it takes in a week, whatever is done. */
  driftPerWeek?: number;
  /** Mornings bad for another reason, of a hundred: always, or in the weeks of a season. */
  otherPercent?: number;
  seasonPercent?: number;
  /** Another joint that the same work loads, and what it takes beside this one. */
  otherJoint?: number;
}
const USUAL = { spread: 0.05, flareAt: 0.2, noticedAt: 0.06 } as const;
export const WORLDS = {
  "as-modelled": USUAL,
  sharper: { spread: 0.02, flareAt: 0.15, noticedAt: 0.05 },
  flatter: { spread: 0.09, flareAt: 0.25, noticedAt: 0.08 },
  "early-flares": { spread: 0.04, flareAt: 0.1, noticedAt: 0.03 },
  "weaker-than-measured": { ...USUAL, start: 0.85 },
  "stronger-than-measured": { ...USUAL, start: 1.15 },
  "other-causes": { ...USUAL, otherPercent: 6 },
  falling: { ...USUAL, driftPerWeek: -0.012 },
  "a-bad-season": { ...USUAL, seasonPercent: 25 },
  "two-joints": { ...USUAL, otherJoint: 0.95 },
} as const satisfies Record<string, WorldRow>;
export type World = keyof typeof WORLDS;
/** The plain rule; what was learnt before older answers faded and the present had to be quiet; and what is learnt now. */
export type Policy = "plain-rule" | "before" | "learnt";

const [WEEKS, PER_WEEK, REPETITIONS, START] = [26, 3, 24, "2026-01-05"] as const;
const [SEASON_FROM, SEASON_TO] = [8, 14] as const;
/** The plain rule it is held against: 5 % after two calm mornings near the ceiling. */
const [CALM_MORNINGS_TO_RAISE, CEILING_RAISE_FRACTION, NEAR] = [2, 0.05, 0.95] as const;
/** Under so much of what it takes a joint gains nothing; near it, up to so much a week. Ours: there is nothing published for it. */
const [GAINS_FROM, GAINS_A_WEEK] = [0.7, 0.012];

export interface Outcome {
  flares: number;
  noticed: number;
  gain: number;
  asked: number;
}
/** Flares and noticed mornings a client, what the joint takes more after six months, and how much of it was asked on average. */
export function simulate(world: World, policy: Policy, clients: number, seed: number, risk: Risk = RISK): Outcome {
  const random = xoroshiro128plus(seed);
  const uniform = (): number => ((random.next() >>> 0) + 0.5) / 2 ** 32;
  const normal = (): number => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  const row: WorldRow = WORLDS[world];
  const { spread, flareAt, noticedAt, start: startsAt = 1, driftPerWeek = 0, otherPercent = 1, seasonPercent = 0, otherJoint } = row;
  const chances = (x: number): [number, number] => [
    1 / (1 + Math.exp(-(x - flareAt) / spread)),
    1 / (1 + Math.exp(-(x - noticedAt) / spread)),
  ];
  const total = { flares: 0, noticed: 0, gain: 0, asked: 0 };
  for (let client = 0; client < clients; client++) {
    const start = startsAt * Math.exp(0.15 * normal());
    let [takes, ceiling, easedFor] = [start, 1, 0];
    let ceilingFrom = START as string;
    let belief = priorTolerance(1, START);
    const doses: ToldDose[] = [];
    for (let session = 0; session < WEEKS * PER_WEEK; session++) {
      const day = dayAfter(START, Math.floor((session * 7) / PER_WEEK));
      const week = Math.floor(daysBetween(START, day) / 7);
      takes *= Math.exp(driftPerWeek / PER_WEEK + 0.01 * normal());
      const demand = ceiling * (easedFor > 0 ? 0.85 : 0.97);
      const x = Math.max(Math.log(demand / takes), otherJoint === undefined ? -Infinity : Math.log(demand / (start * otherJoint)));
      const [roll, other] = [uniform(), uniform()];
      const [pFlare, pNoticed] = chances(x);
      const bad = (week >= SEASON_FROM && week < SEASON_TO ? Math.max(otherPercent, seasonPercent) : otherPercent) / 100;
      const response = roll < pFlare || other < bad ? "flare" : roll < pNoticed || other < 3 * bad ? "noticed" : "calm";
      doses.push({ day, demand, repetitions: REPETITIONS, response });
      if (response === "flare") total.flares++;
      if (response === "noticed") total.noticed++;
      total.asked += demand / takes / (WEEKS * PER_WEEK);
      const use = Math.min(1, demand / takes);
      if (use > GAINS_FROM && response !== "flare") takes *= 1 + ((GAINS_A_WEEK / PER_WEEK) * (use - GAINS_FROM)) / (1 - GAINS_FROM);
      easedFor = response === "flare" ? 2 : Math.max(0, easedFor - 1);
      const next = dayAfter(day, 1);
      if (policy === "plain-rule") {
        const since = doses.filter((dose) => dose.day >= ceilingFrom).slice(-CALM_MORNINGS_TO_RAISE);
        const isNear =
          since.length === CALM_MORNINGS_TO_RAISE && since.every((dose) => dose.response === "calm" && dose.demand >= NEAR * ceiling);
        if (isNear) [ceiling, ceilingFrom] = [ceiling * (1 + CEILING_RAISE_FRACTION), next];
      } else if (policy === "before") {
        belief = learn(belief, { day, demand, repetitions: REPETITIONS, response }, 1);
        ceiling = asBefore(ceiling, withinRisk(belief, risk), doses);
      } else {
        belief = learn(belief, { day, demand, repetitions: REPETITIONS, response });
        const proposal = proposedCeiling(ceiling, belief, doses, { risk, unquiet: null, sinceDay: ceilingFrom });
        if (proposal.move !== "keep") [ceiling, ceilingFrom] = [proposal.value, next];
      }
    }
    total.gain += takes / start - 1;
  }
  return { flares: total.flares / clients, noticed: total.noticed / clients, gain: total.gain / clients, asked: total.asked / clients };
}

/** What was proposed before the present had to be quiet, as it stood in 0.14.0. */
function asBefore(ceiling: number, safe: number, doses: readonly ToldDose[]): number {
  const isBad = doses.some(({ response }) => response !== "calm");
  if (doses.length < 4 && !isBad) return ceiling;
  if (safe / ceiling <= 0.96 && isBad) return Math.max(safe, 0.8 * ceiling);
  return safe / ceiling < 1.04 || doses.length < 4 ? ceiling : Math.min(safe, 1.1 * ceiling);
}
