import "server-only";
import { today as todayIn } from "@internationalized/date";
import { RateLimiterRes } from "rate-limiter-flexible";
import { validate as isUuid } from "uuid";
import type { Day } from "../core/day";
import { readStudio } from "../data/orm";
import type { Opens } from "../core/studio/private-link";
import { type Behind, behindLink, hashOf } from "../data/repos/private-link.repo";
import { counted } from "./pool";

/** Somebody with a private link, `studio.secret`: whose it is and what day it is there. */
export interface Visitor extends Behind {
  studioId: string;
  /** What the link can be told by, in the studio's keeping and on the phone; nothing is opened with it. */
  linkHash: string;
  today: Day;
}
const SECRET_LENGTH = 43;
/** Wrong links an address may try in a while; and how often one right link may be used. */
const WRONG = { points: 30, duration: 900 };
const USED = { points: 600, duration: 300 };
/** Years of birth that an address may try on a link in a while; and wrong ones in a link's whole life, from wherever. */
const YEARS = { points: 5, duration: 900 };
const FOR_GOOD_S = 0;
const YEARS_EVER = { points: 10, duration: FOR_GOOD_S };

const held = globalThis as typeof globalThis & { ponderisPrivate?: ReturnType<typeof limiters> };
const limiters = () => ({
  wrong: counted("link wrong", WRONG),
  used: counted("link used", USED),
  years: counted("link year", YEARS),
  yearsEver: counted("link years ever", YEARS_EVER),
});
const limits = () => (held.ponderisPrivate ??= limiters());
const isTooMany = (reason: unknown): boolean => {
  if (reason instanceof RateLimiterRes) return true;
  throw reason;
};

/** Opens a private link, or says why not: a link that was stopped, or whose last day is over, is as if it never was. */
export async function openPrivate(token: string, opens: Opens, address: string): Promise<Visitor | "unknown" | "too-many"> {
  const { wrong, used } = limits();
  const [studioId = "", secret = ""] = token.split(".");
  const behind =
    isUuid(studioId) && secret.length === SECRET_LENGTH
      ? await readStudio(studioId, (em) => behindLink(studioId, em, opens, secret))
      : null;
  const today = behind ? todayIn(behind.timeZone).toString() : "";
  if (!behind || (behind.untilDay !== null && behind.untilDay < today)) {
    // a right link is opened whatever else was tried from there: only what opens nothing is counted
    return wrong.consume(address).then(
      () => "unknown" as const,
      (reason: unknown) => (isTooMany(reason) ? "too-many" : "unknown"),
    );
  }
  const linkHash = hashOf(secret);
  const isOver = await used.consume(linkHash).then(() => false, isTooMany);
  return isOver ? "too-many" : { ...behind, studioId, linkHash, today };
}

export type YearTry = "may-try" | "too-many" | "for-good";
/**
 * Whether one more year of birth may be tried on a link. Wrong ones from elsewhere close a phone's own way only once ten were
 * wrong in the link's life: then nobody new comes in by it, and the trainer makes another. A phone that told it is not asked again.
 */
export async function mayTryYear({ linkHash }: Visitor, address: string): Promise<YearTry> {
  const { years, yearsEver } = limits();
  if (await areYearsGuessed(linkHash)) return "for-good";
  const isOver = await years.consume(`${linkHash} ${address}`).then(() => false, isTooMany);
  if (isOver) return "too-many";
  return yearsEver.consume(linkHash).then(
    () => "may-try" as const,
    (reason: unknown) => (isTooMany(reason) ? "for-good" : "may-try"),
  );
}
/** A right one takes its tries back. */
export async function yearWasRight({ linkHash }: Visitor, address: string): Promise<void> {
  const { years, yearsEver } = limits();
  await years.delete(`${linkHash} ${address}`);
  await yearsEver.reward(linkHash);
}
/** Whether ten wrong years were tried on a link: the trainer is told. */
export const areYearsGuessed = async (linkHash: string): Promise<boolean> =>
  ((await limits().yearsEver.get(linkHash))?.consumedPoints ?? 0) >= YEARS_EVER.points;
