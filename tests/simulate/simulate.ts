import { fork } from "node:child_process";
import { availableParallelism } from "node:os";
import { fileURLToPath } from "node:url";
import { INVARIANTS } from "./invariants";
import { type Sizes, type Tally, tallyOf } from "./shares";

/**
 * npm run simulate: seeded months of clients through the gate, and random clients over every row and limit, against what must
 * never be. Exits 1 where anything is broken. `npm run simulate 300` takes a tenth of it.
 */
const COUNT = Number(process.argv[2] ?? 3000);
const SIZES: Sizes = { histories: COUNT, clients: Math.ceil(COUNT / 5), tightenings: Math.ceil(COUNT / 3) };
const CORES = availableParallelism();

async function shareOf(share: number): Promise<Tally> {
  const child = fork(fileURLToPath(import.meta.url), [String(COUNT), String(share)]);
  return new Promise((resolve, reject) => {
    child.on("message", (tally) => resolve(tally as Tally));
    child.on("error", reject);
    child.on("exit", (code) => (code === 0 ? undefined : reject(new Error(`a share of the simulation ended with ${code}`))));
  });
}

async function main(): Promise<void> {
  const own = process.argv[3];
  if (own !== undefined) {
    process.send?.(tallyOf(SIZES, Number(own), CORES));
    process.disconnect?.();
    return;
  }
  const startedMs = Date.now();
  const tallies = await Promise.all(Array.from({ length: CORES }, (_, share) => shareOf(share)));
  const sum = (name: string): number => tallies.reduce((all, { seen }) => all + (seen[name] ?? 0), 0);
  const names = [...new Set([...Object.keys(INVARIANTS), ...tallies.flatMap(({ broken }) => Object.keys(broken))])];
  console.log("| what must never be | times | first seed |\n|---|---|---|");
  let brokenCount = 0;
  for (const name of names) {
    const all = tallies.flatMap(({ broken }) => broken[name] ?? []);
    const times = all.reduce((total, { count }) => total + count, 0);
    brokenCount += times;
    console.log(`| ${name} | ${times} | ${all.length > 0 ? Math.min(...all.map(({ firstSeed }) => firstSeed)) : ""} |`);
  }
  console.log("\n| seen | |\n|---|---|");
  for (const name of new Set(tallies.flatMap(({ seen }) => Object.keys(seen)))) console.log(`| ${name} | ${sum(name)} |`);
  console.log(`\n${((Date.now() - startedMs) / 1000).toFixed(0)} s on ${CORES} cores`);
  process.exitCode = brokenCount > 0 ? 1 : 0;
}
void main();
