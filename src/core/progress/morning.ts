import { type Day, dayAfter } from "../day";

/** Pain is told from 0, none, to 10. */
export const PAIN_SCALE = { min: 0, max: 10 } as const;

export type MorningClass = "calm" | "noticed" | "flare";

/** What the client said the next morning: pain of each complaint, and swelling. */
export interface Morning {
  pains: readonly { complaintId: string; painScore: number }[];
  newSwelling: boolean;
  /** Told under more pain relief than usual: calm proves nothing then. */
  underRelief?: boolean;
  told?: MorningTold;
}
/** What else a morning tells; what nobody said is missing. */
export interface MorningTold {
  /** Minutes until the joint moves freely. */
  stiffMin?: number;
  sleep?: "well" | "badly";
  /** Muscles, asked apart from joints: never pain of a joint, and after something new expected. */
  muscles?: "not-sore" | "sore";
  /** Told by the client from their own page, next to a usual morning. */
  by?: "client";
  /** A word on it, or why it was corrected. */
  note?: string;
}
export const STIFF_MIN = { min: 0, max: 600 } as const;

const FLARE_ABOVE = 2;
const USUAL_WINDOW = 14;
const USUAL_FROM = 5;

/** A morning answers the day before it: told after the evening of the next day it is a memory, kept and shown, and counts for nothing calm. */
export const isMorningAfter = (sessionDay: Day, answeredDay: Day): boolean => answeredDay === dayAfter(sessionDay, 1);

/** Calm at most usual; noticed one above; a flare two or more above, or new swelling. NaN falls on the safe side. */
export function morningClass(painScore: number, newSwelling: boolean, usualScore: number): MorningClass {
  if (newSwelling || !(painScore < usualScore + FLARE_ABOVE)) return "flare";
  return painScore <= usualScore ? "calm" : "noticed";
}

const ORDER: readonly MorningClass[] = ["calm", "noticed", "flare"];
/** The worst of several: a calm knee does not make up for a back that flared. Nothing said is no calm morning. */
export const worstClass = (classes: readonly MorningClass[]): MorningClass =>
  classes.length === 0 ? "noticed" : (ORDER[Math.max(...classes.map((each) => ORDER.indexOf(each)))] ?? "flare");

/** One complaint as it answered, next to its own usual. */
export interface ComplaintAnswer {
  painScore: number;
  usualScore: number;
}
/**
 * A whole morning: every complaint against its own usual, and the one that answered worst speaks. With a warning sign in it
 * a morning is never calm, whatever else was said. Of a client whom nothing hurts it is what was said of swelling.
 */
export function classedMorning(
  answers: readonly ComplaintAnswer[],
  { newSwelling, hasSign }: { newSwelling: boolean; hasSign: boolean },
): { painScore: number | null; usualScore: number | null; class: MorningClass } {
  const each = answers.map((answer) => ({ ...answer, class: morningClass(answer.painScore, newSwelling, answer.usualScore) }));
  const worst = each.toSorted((a, b) => b.painScore - b.usualScore - (a.painScore - a.usualScore))[0];
  const found = each.length > 0 ? worstClass(each.map((answer) => answer.class)) : newSwelling ? "flare" : "calm";
  return { painScore: worst?.painScore ?? null, usualScore: worst?.usualScore ?? null, class: hasSign ? neverCalm(found) : found };
}
/** What a sign makes of a morning, at the least. */
export const neverCalm = (found: MorningClass): MorningClass => worstClass([found, "noticed"]);

/** Median pain of the last 14 mornings, or the assessed baseline while there are fewer than five. */
export function usualPainScore(before: readonly number[], baselineScore: number): number {
  const last = before.slice(-USUAL_WINDOW).toSorted((a, b) => a - b);
  if (last.length < USUAL_FROM) return baselineScore;
  const middle = Math.floor(last.length / 2);
  return last.length % 2 === 1 ? (last[middle] ?? NaN) : ((last[middle - 1] ?? NaN) + (last[middle] ?? NaN)) / 2;
}
