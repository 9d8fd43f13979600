import type { Variation } from "../catalogue/variation";
import { type LeverId, type LeverKind, LEVERS } from "../templates/lever";
import type { Moment, Told } from "./told";

/** What a tap on where it hurts or is felt leads to: a lever to ease by, or a cue. Text is made at the edge. */
export type Hint =
  | { code: "ease-by"; moment: Moment; lever: LeverId | null }
  | { code: "felt-right" }
  | { code: "felt-elsewhere"; cue: string | null }
  | { code: "belly-ridge" };

/** Which levers help where it hurts: less range at the bottom, hands in the middle, less load at the top. Source: handbook F4, F7, F10, F18; the middle is our own. */
const HELPS: Readonly<Record<Moment, readonly LeverKind[]>> = {
  bottom: ["range", "support", "load"],
  middle: ["support", "load", "range"],
  top: ["load", "support", "range"],
};

/** What was told of a set, and what follows for the next one. `cue` is the first thing the school says for this row. */
export function hintsOf(
  told: Pick<Told, "hurtsAt" | "feltIn" | "belly">,
  row: Pick<Variation, "levers" | "trains">,
  cue: string | null,
): Hint[] {
  const { hurtsAt, feltIn, belly } = told;
  const hints: Hint[] = [];
  if (belly === "ridge") hints.push({ code: "belly-ridge" });
  if (hurtsAt) {
    const kind = HELPS[hurtsAt].find((each) =>
      row.levers.some(({ lever }) => LEVERS[lever].kind === each && LEVERS[lever].harder !== null),
    );
    const lever = row.levers.find((each) => LEVERS[each.lever].kind === kind && LEVERS[each.lever].harder !== null)?.lever ?? null;
    hints.push({ code: "ease-by", moment: hurtsAt, lever });
  }
  if (feltIn) {
    const isRight = feltIn !== "elsewhere" && (row.trains[feltIn] ?? 0) >= 2;
    hints.push(isRight ? { code: "felt-right" } : { code: "felt-elsewhere", cue });
  }
  return hints;
}
