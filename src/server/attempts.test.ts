import { RateLimiterMemory } from "rate-limiter-flexible";
import { describe, expect, test } from "vitest";
import { ATTEMPT_RULES, Attempts } from "./attempts";

const attempts = (): Attempts => new Attempts((rule) => new RateLimiterMemory({ ...ATTEMPT_RULES[rule], keyPrefix: rule }));
const tries = async (of: Attempts, count: number, email: (i: number) => string, address: (i: number) => string): Promise<number> => {
  let through = 0;
  for (let i = 0; i < count; i++) if (await of.begin({ email: email(i), address: address(i) })) through++;
  return through;
};

describe("failed sign-ins", () => {
  test("of one account from one address are let through five times in a while", async () => {
    expect(
      await tries(
        attempts(),
        9,
        () => "a@x",
        () => "1",
      ),
    ).toBe(5);
  });
  test("many at once are counted like one after the other", async () => {
    const of = attempts();
    const all = await Promise.all(Array.from({ length: 60 }, () => of.begin({ email: "a@x", address: "1" })));
    expect(all.filter(Boolean)).toHaveLength(5);
  });
  test("of a stranger lock nobody out who signs in from elsewhere", async () => {
    const of = attempts();
    await tries(
      of,
      50,
      () => "a@x",
      () => "stranger",
    );
    expect(await of.begin({ email: "a@x", address: "home" })).toBe(true);
  });
  test("of many accounts from one address are let through thirty times", async () => {
    expect(
      await tries(
        attempts(),
        60,
        (i) => `${i}@x`,
        () => "1",
      ),
    ).toBe(ATTEMPT_RULES.address.points);
  });
  test("good ones never count", async () => {
    const of = attempts();
    for (let i = 0; i < 100; i++) {
      expect(await of.begin({ email: "a@x", address: "1" })).toBe(true);
      await of.succeeded({ email: "a@x", address: "1" });
    }
  });
  test("sprayed from everywhere stop everyone's second try, and nobody's first", async () => {
    const of = attempts();
    await tries(
      of,
      ATTEMPT_RULES.overall.points,
      (i) => `${i}@x`,
      (i) => `address ${i}`,
    );
    expect(await of.begin({ email: "me@x", address: "home" })).toBe(true);
    expect(await of.begin({ email: "me@x", address: "home" })).toBe(false);
  });
});
