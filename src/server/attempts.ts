import { type RateLimiterAbstract, RateLimiterRes } from "rate-limiter-flexible";

/** Who tries to sign in, and from where: the address is the one our own server saw, or its operator's proxy named. */
export interface Attempt {
  email: string;
  address: string;
}
/** Failed tries that are let through in a while: of one account from one address, of one address, and of everyone together. */
export const ATTEMPT_RULES = {
  pair: { points: 5, duration: 300 },
  address: { points: 30, duration: 900 },
  overall: { points: 500, duration: 300 },
} as const;
export type AttemptRule = keyof typeof ATTEMPT_RULES;

const isRefusal = (reason: unknown): reason is RateLimiterRes => reason instanceof RateLimiterRes;

/**
 * Counts failed sign-ins. A try is counted before it is judged, so that many at once cannot slip through together, and
 * given back when it succeeds. A stranger's tries lock nobody else out: they count against the stranger's address.
 */
export class Attempts {
  private readonly limiters: Readonly<Record<AttemptRule, RateLimiterAbstract>>;

  constructor(make: (rule: AttemptRule) => RateLimiterAbstract) {
    this.limiters = { pair: make("pair"), address: make("address"), overall: make("overall") };
  }

  /** Whether the password may be looked at. */
  async begin({ email, address }: Attempt): Promise<boolean> {
    try {
      const mine = await this.limiters.pair.consume(`${email} ${address}`);
      await this.limiters.address.consume(address);
      await this.limiters.overall.consume("all").catch((reason: unknown) => {
        // while passwords are sprayed from everywhere, the first try of anyone still counts
        if (!isRefusal(reason) || mine.consumedPoints > 1) throw reason;
      });
      return true;
    } catch (reason) {
      if (isRefusal(reason)) return false;
      throw reason;
    }
  }

  async succeeded({ email, address }: Attempt): Promise<void> {
    await this.limiters.pair.delete(`${email} ${address}`);
    await this.limiters.address.reward(address);
    await this.limiters.overall.reward("all");
  }
}
