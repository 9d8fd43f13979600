import { simulate, type World } from "./tolerance.sim";

/** Simulated clients over six months: the learnt curve against "5 % after two calm mornings", at the house's risk and at the plain rule's gain. */
const COUNT = Number(process.argv[2] ?? 200);
const [SEED, RISKS] = [7, [0.05, 0.075, 0.1, 0.125, 0.15, 0.2, 0.25]] as const;
type Result = ReturnType<typeof simulate>;
const said = (name: string, { flares, noticed, gain, asked }: Result): string =>
  `| ${name} | ${flares.toFixed(2)} | ${noticed.toFixed(1)} | ${(100 * gain).toFixed(1)} % | ${(100 * asked).toFixed(0)} % |`;

console.log("| | flares a client | noticed mornings | gain | asked, of what it takes |\n|---|---|---|---|---|");
for (const world of ["as-modelled", "sharper", "flatter", "early-flares"] satisfies World[]) {
  const plain = simulate(world, "plain-rule", COUNT, SEED);
  const learnt = RISKS.map((flare) => ({ flare, result: simulate(world, "learnt", COUNT, SEED, { flare, noticed: 4 * flare }) }));
  console.log(said(`${world}: plain rule`, plain));
  const [house] = learnt;
  if (house) console.log(said(`${world}: learnt, the house's risk`, house.result));
  const equal = learnt.find(({ result }) => result.gain >= plain.gain);
  console.log(
    equal
      ? said(`${world}: learnt, at the plain rule's gain (risk ${equal.flare})`, equal.result)
      : `| ${world}: the plain rule's gain was not reached |`,
  );
}
