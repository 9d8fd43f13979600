import "server-only";
import { today as todayIn } from "@internationalized/date";
import { RateLimiterRes } from "rate-limiter-flexible";
import { validate as isUuid } from "uuid";
import type { Day } from "../core/day";
import { readStudio } from "../data/orm";
import type { Opens } from "../core/record/private-link";
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
const YEARS = { points: 5, duration: 900 };

const held = globalThis as typeof globalThis & { ponderisPrivate?: ReturnType<typeof limiters> };
const limiters = () => ({ wrong: counted("link wrong", WRONG), used: counted("link used", USED), years: counted("link year", YEARS) });
const limits = () => (held.ponderisPrivate ??= limiters());
const isTooMany = (reason: unknown): boolean => {
  if (reason instanceof RateLimiterRes) return true;
  throw reason;
};

/** Opens a private link, or says why not: a link that was stopped, or whose last day is over, is as if it never was. */
export async function openPrivate(token: string, opens: Opens, address: string): Promise<Visitor | "unknown" | "too-many"> {
  const { wrong, used } = limits();
  if (((await wrong.get(address))?.remainingPoints ?? 1) <= 0) return "too-many";
  const [studioId = "", secret = ""] = token.split(".");
  const behind =
    isUuid(studioId) && secret.length === SECRET_LENGTH
      ? await readStudio(studioId, (em) => behindLink(studioId, em, opens, secret))
      : null;
  const today = behind ? todayIn(behind.timeZone).toString() : "";
  if (!behind || (behind.untilDay !== null && behind.untilDay < today)) {
    await wrong.consume(address).catch(isTooMany);
    return "unknown";
  }
  const linkHash = hashOf(secret);
  const isOver = await used.consume(linkHash).then(() => false, isTooMany);
  return isOver ? "too-many" : { ...behind, studioId, linkHash, today };
}

/** Whether one more year of birth may be tried on a link; a right one takes its try back. */
export async function mayTryYear({ linkHash }: Visitor): Promise<boolean> {
  return limits()
    .years.consume(linkHash)
    .then(
      () => true,
      (reason: unknown) => !isTooMany(reason),
    );
}
export const yearWasRight = ({ linkHash }: Visitor): Promise<unknown> => limits().years.delete(linkHash);
