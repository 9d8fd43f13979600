import { chanceFrom } from "./chance";
import { clientOf, opensByTightening, wrongFor } from "./clients";
import { historyOf } from "./history";
import { INVARIANTS } from "./invariants";

/** What a share of the work came to: how often each invariant was asked and broken, the first seed of each break, and what was seen. */
export interface Tally {
  broken: Record<string, { count: number; firstSeed: number }>;
  seen: Record<string, number>;
}
const emptyTally = (): Tally => ({ broken: {}, seen: {} });
const note = ({ broken }: Tally, name: string, firstSeed: number): void => {
  broken[name] = { count: (broken[name]?.count ?? 0) + 1, firstSeed: broken[name]?.firstSeed ?? firstSeed };
};
const count = ({ seen }: Tally, name: string, by = 1): void => {
  seen[name] = (seen[name] ?? 0) + by;
};

/** Seeds from one number up to another, every `of`-th of them. */
function* seedsOf(total: number, share: number, of: number): Generator<number> {
  for (let seed = 1 + share; seed <= total; seed += of) yield seed;
}
export interface Sizes {
  histories: number;
  clients: number;
  tightenings: number;
}
export function tallyOf({ histories, clients, tightenings }: Sizes, share = 0, of = 1): Tally {
  const tally = emptyTally();
  for (const seed of seedsOf(histories, share, of)) {
    const { record, taken } = historyOf(chanceFrom(seed));
    count(tally, "histories");
    count(tally, "sessions", record.sessions.length);
    for (const each of taken) {
      count(tally, "decisions");
      count(tally, `decided: ${each.found.decision.move}`);
      for (const [name, isBroken] of Object.entries(INVARIANTS)) if (isBroken(each)) note(tally, name, seed);
    }
  }
  for (const seed of seedsOf(clients, share, of)) {
    const { rowCount, openCount, wrong } = wrongFor(clientOf(chanceFrom(1_000_000 + seed)));
    count(tally, "clients");
    count(tally, "rows judged", rowCount);
    count(tally, "rows open or tried", openCount);
    for (const what of wrong) note(tally, `a row open though ${what}`, seed);
  }
  for (const seed of seedsOf(tightenings, share, of)) {
    const { row, opened } = opensByTightening(chanceFrom(2_000_000 + seed));
    count(tally, "limits tightened");
    if (opened) note(tally, `a tighter limit opens ${row}`, seed);
  }
  return tally;
}
