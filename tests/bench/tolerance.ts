import { type Outcome, simulate, type World, WORLDS } from "./tolerance.sim";

/**
 * npm run tolerance: simulated clients over six months in ten worlds: the plain rule, what was learnt before, what is learnt now. The
 * table of docs/tolerance.md; `npm run tolerance 60` takes fewer clients.
 */
const COUNT = Number(process.argv[2] ?? 200);
const SEED = 7;
const told = ({ flares, noticed, gain, asked }: Outcome): string =>
  `${flares.toFixed(2)} | ${noticed.toFixed(1)} | ${(100 * gain).toFixed(1)} % | ${(100 * asked).toFixed(0)} %`;

console.log(
  `| ${COUNT} clients a world | | flares a client | noticed mornings | gain | asked, of what it takes |\n|---|---|---|---|---|---|`,
);
for (const world of Object.keys(WORLDS) as World[])
  for (const policy of ["plain-rule", "before", "learnt"] as const)
    console.log(`| ${world} | ${policy} | ${told(simulate(world, policy, COUNT, SEED))} |`);
