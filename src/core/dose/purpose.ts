import type { Dose, Variation } from "../catalogue/variation";
import type { School } from "../approach/approach";
import { isTimed } from "./dose";
import { tempoFrom } from "./tempo";

/** What a dose is for. */
export const PURPOSES = ["calm", "first-strength", "strength", "endurance", "range", "control", "conditioning"] as const;
export type Purpose = (typeof PURPOSES)[number];

interface Given {
  sets: readonly [number, number];
  repetitions: readonly [number, number];
  restS: number;
  tempo?: string;
  /** Seconds of work, where it goes by time and not by repetitions. */
  workS?: number;
}
/**
 * Doses by purpose. Sources: first strength and endurance, ACSM (Garber 2011); strength, ACSM 2009; conditioning, handbook
 * D3, 70; calm, range and control are common practice, no source.
 */
const BY_PURPOSE: Readonly<Record<Purpose, Given>> = {
  calm: { sets: [1, 2], repetitions: [8, 10], restS: 60, tempo: "3-2" },
  "first-strength": { sets: [1, 2], repetitions: [10, 15], restS: 120 },
  strength: { sets: [2, 3], repetitions: [8, 12], restS: 120 },
  endurance: { sets: [2, 3], repetitions: [15, 20], restS: 60 },
  range: { sets: [1, 2], repetitions: [5, 10], restS: 30, tempo: "hold 5 release 3" },
  control: { sets: [2, 3], repetitions: [5, 8], restS: 60, tempo: "5-3-1" },
  conditioning: { sets: [4, 8], repetitions: [1, 1], restS: 30, workS: 30 },
};

export type DoseReason =
  | { code: "purpose"; purpose: Purpose }
  | { code: "rows-own-figures" }
  | { code: "first-time" }
  | { code: "school"; axisId: "sets" | "effort" };
export interface ProposedDose {
  dose: Dose;
  unit: "repetitions" | "seconds";
  /** Repetitions still in the tank when a set ends. */
  leftInTank: number;
  reasons: DoseReason[];
}

const LEFT_BY_EFFORT: Readonly<Record<string, number>> = { "near-failure": 2, "stop-at-form": 3, "easy-first": 4 };
/** The trade's own figures stand where they are within what the purpose allows; else the purpose's. */
const meet = ([low, high]: readonly [number, number], own: readonly [number, number]): [number, number] => {
  const [from, to] = [Math.max(low, own[0]), Math.min(high, own[1])];
  return from <= to ? [from, to] : [low, high];
};

/** A dose for a purpose: the row's own figures inside it, at the bottom of the range the first time, effort by the school. */
export function proposedDose(
  row: Pick<Variation, "dose" | "startsBy">,
  purpose: Purpose,
  { isFirst, school }: { isFirst: boolean; school: Pick<School, "positions"> },
): ProposedDose {
  const given = BY_PURPOSE[purpose];
  const reasons: DoseReason[] = [{ code: "purpose", purpose }];
  const left = LEFT_BY_EFFORT[school.positions["effort"] ?? ""] ?? 3;
  // rounds, lengths and holds are never turned into repetitions: such a row keeps its own figures
  if (row.dose.counts || isTimed(row.dose)) {
    const setCount = isFirst ? 1 : row.dose.setCount;
    return {
      dose: { ...row.dose, setCount },
      unit: isTimed(row.dose) ? "seconds" : "repetitions",
      leftInTank: isFirst ? Math.max(left, 4) : left,
      reasons: [
        ...reasons,
        { code: "rows-own-figures" },
        ...(isFirst ? [{ code: "first-time" as const }] : []),
        { code: "school", axisId: "effort" },
      ],
    };
  }
  const own: [number, number] = [row.dose.repetitionsLow, row.dose.repetitionsHigh];
  const [low, high] = given.workS === undefined ? meet(given.repetitions, own) : [1, 1];
  if (given.workS === undefined && low >= own[0] && high <= own[1]) reasons.push({ code: "rows-own-figures" });
  const byFeel = isFirst && school.positions["sets"] === "by-feel";
  if (isFirst) reasons.push({ code: "first-time" });
  if (byFeel) reasons.push({ code: "school", axisId: "sets" });
  const tempo =
    given.workS === undefined
      ? ((given.tempo ? tempoFrom(given.tempo, row.startsBy) : null) ?? row.dose.tempo)
      : { lowerS: 0, pauseS: given.workS, riseS: 0 };
  reasons.push({ code: "school", axisId: "effort" });
  return {
    dose: {
      setCount: isFirst ? given.sets[0] : given.sets[1],
      repetitionsLow: byFeel ? Math.max(1, Math.ceil(low / 2)) : low,
      repetitionsHigh: isFirst ? low : high,
      tempo,
      restS: given.restS,
    },
    unit: given.workS === undefined ? "repetitions" : "seconds",
    leftInTank: isFirst ? Math.max(left, 4) : left,
    reasons,
  };
}
