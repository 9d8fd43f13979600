import type { Day } from "../../core/day";
import type { HomeEntry } from "../../core/record/facts/home-told";
import type { Side } from "../../core/mechanics/channels";
import { dayAt } from "../../words/basics/day";
import type { HomeExercise, HomePage } from "./home-page";

/** One set of the sheet: whose side it is, and how many there are of it. */
export interface Due {
  exercise: HomeExercise;
  side: Side | null;
  repetitions: number;
}
export const duesOf = (exercise: HomeExercise): Due[] =>
  exercise.sides.flatMap(({ side, setCount, repetitions }) => Array.from({ length: setCount }, () => ({ exercise, side, repetitions })));

/** Sets of today by what the studio has and what is only on the phone yet; what was taken back is none. */
export function doneToday(
  page: HomePage,
  fresh: readonly HomeEntry[],
  { today, timeZone }: { today: Day; timeZone: string },
): { id: string; line: string; side: Side | null }[] {
  const undone = fresh.flatMap(({ told }) => (told.kind === "undone" ? [told.entryId] : []));
  const here = fresh.flatMap(({ id, at, told }) =>
    told.kind === "set" && dayAt(at, timeZone) === today ? [{ id, line: told.line, side: told.side }] : [],
  );
  return [...(page.today === today ? page.done : []), ...here].filter(({ id }) => !undone.includes(id));
}
