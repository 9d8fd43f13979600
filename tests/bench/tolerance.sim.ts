import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import { dayAfter } from "../../src/core/day";
import { learn, priorTolerance, proposedCeiling, type Risk, RISK, type ToldDose } from "../../src/core/limits/tolerance";

/** What the true client is like: not the model's own figures, so that the model is tried where it is wrong. */
const WORLDS = {
  "as-modelled": { spread: 0.05, flareAt: 0.2, noticedAt: 0.06 },
  sharper: { spread: 0.02, flareAt: 0.15, noticedAt: 0.05 },
  flatter: { spread: 0.09, flareAt: 0.25, noticedAt: 0.08 },
  "early-flares": { spread: 0.04, flareAt: 0.1, noticedAt: 0.03 },
} as const;
export type World = keyof typeof WORLDS;
export type Policy = "plain-rule" | "learnt";

const [WEEKS, PER_WEEK, REPETITIONS, START] = [26, 3, 24, "2026-01-05"] as const;
/** The plain rule it is held against: 5 % after two calm mornings near the ceiling. */
const [CALM_MORNINGS_TO_RAISE, CEILING_RAISE_FRACTION, NEAR] = [2, 0.05, 0.95] as const;
/** Under so much of what it takes a joint gains nothing; near it, up to so much a week. Ours: there is nothing published for it. */
const [GAINS_FROM, GAINS_A_WEEK] = [0.7, 0.012];

/** Flares and noticed mornings a client, what the joint takes more after six months, and how much of it was asked on average. */
export function simulate(
  world: World,
  policy: Policy,
  clients: number,
  seed: number,
  risk: Risk = RISK,
): { flares: number; noticed: number; gain: number; asked: number } {
  const random = xoroshiro128plus(seed);
  const uniform = (): number => ((random.next() >>> 0) + 0.5) / 2 ** 32;
  const normal = (): number => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  const { spread, flareAt, noticedAt } = WORLDS[world];
  const total = { flares: 0, noticed: 0, gain: 0, asked: 0 };
  for (let client = 0; client < clients; client++) {
    const start = Math.exp(0.15 * normal());
    let [takes, ceiling, easedFor] = [start, 1, 0];
    let ceilingFrom = START as string;
    let belief = priorTolerance(1, START);
    const doses: ToldDose[] = [];
    for (let session = 0; session < WEEKS * PER_WEEK; session++) {
      const day = dayAfter(START, Math.floor((session * 7) / PER_WEEK));
      takes *= Math.exp(0.01 * normal());
      const demand = ceiling * (easedFor > 0 ? 0.85 : 0.97);
      const x = Math.log(demand / takes);
      const roll = uniform();
      const [pFlare, pNoticed] = [1 / (1 + Math.exp(-(x - flareAt) / spread)), 1 / (1 + Math.exp(-(x - noticedAt) / spread))];
      const response = roll < pFlare || uniform() < 0.01 ? "flare" : roll < pNoticed || uniform() < 0.02 ? "noticed" : "calm";
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
      } else {
        belief = learn(belief, { day, demand, repetitions: REPETITIONS, response });
        const proposal = proposedCeiling(ceiling, belief, doses, { risk });
        if (proposal.move !== "keep") ceiling = proposal.value;
      }
    }
    total.gain += takes / start - 1;
  }
  return { flares: total.flares / clients, noticed: total.noticed / clients, gain: total.gain / clients, asked: total.asked / clients };
}
