import type { Place } from "../judge/context";
import type { FloorState, SetEnd } from "./events";
import type { Told } from "./told";

/** Ends that are told to a clinician. */
const RED: readonly SetEnd[] = ["warning-sign", "spreading", "belly", "sharp"];

/** One thing that happened and is told: what was done, in what set-up, what came, and what was done then. */
export interface RedFlag {
  /** ISO 8601. */
  at: string;
  itemId: string | null;
  place: Place | null;
  setNumber: number | null;
  signs: readonly string[];
  endedBy: SetEnd | null;
  painScore: number | null;
  told: Pick<Told, "painKind" | "painPlace" | "hurtsAt"> | null;
  done: "session-ended" | "exercise-stopped" | "eased" | "still-open";
}

/**
 * What of a session is to be told to a clinician: every set that a warning sign, spreading or sharp pain or pressure
 * ended, with its set-up as it stood, and signs that came with no set.
 */
export function redFlags(state: FloorState, plannedAt: (itemId: string) => Place | null): RedFlag[] {
  const { sets, moves, warnings, stoppedItemIds, endedAt } = state;
  const placeThen = (itemId: string, order: number): Place | null => {
    const moved = moves.findLast((move) => move.itemId === itemId && move.order < order)?.to;
    return moved ?? plannedAt(itemId);
  };
  const doneAfter = (itemId: string, order: number): RedFlag["done"] => {
    if (stoppedItemIds.includes(itemId)) return "exercise-stopped";
    if (moves.some((move) => move.itemId === itemId && move.by === "ease" && move.order > order)) return "eased";
    return endedAt === null ? "still-open" : "session-ended";
  };
  const ofSets = sets
    .filter(({ endedBy }) => RED.includes(endedBy))
    .map((set): RedFlag => {
      const { itemId, order, painScore, painKind, painPlace, hurtsAt, endedBy } = set;
      const own = placeThen(itemId, order);
      return {
        at: set.endedAt,
        itemId,
        place: own && { variationId: own.variationId, setting: set.setting },
        setNumber: sets.filter((each) => each.itemId === itemId && each.order <= order).length,
        signs: [],
        endedBy,
        painScore,
        told: { painKind, painPlace, hurtsAt },
        done: doneAfter(itemId, order),
      };
    });
  const signs = warnings.map(({ sign }) => sign);
  const last = ofSets.findLast(({ endedBy }) => endedBy !== "sharp");
  if (last) return ofSets.map((flag) => (flag === last ? { ...flag, signs } : flag));
  const [first] = warnings;
  if (!first) return ofSets;
  return [
    ...ofSets,
    {
      at: first.at,
      itemId: null,
      place: null,
      setNumber: null,
      signs,
      endedBy: null,
      painScore: null,
      told: null,
      done: endedAt === null ? "still-open" : "session-ended",
    },
  ];
}
