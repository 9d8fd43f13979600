import type { RungFact } from "./record";

/** One line of work: a pattern's own on one side, or one place of the programme. */
export type Line = Pick<RungFact, "pattern" | "side" | "line">;
export const lineKey = ({ pattern, side, line }: Line): string => `${line ?? pattern} ${side}`;
export const isSameLine = (a: Line, b: Line): boolean => lineKey(a) === lineKey(b);
