import { expect, test } from "vitest";
import { forecast, ratesFrom, uniformFrom, weeksOfWay } from "./forecast";

test.each([0, 4, 12, 40])("eight of ten clients whose rates nobody knows end in the range it says, with %i mornings seen", (seenCount) => {
  const uniform = uniformFrom(100 + seenCount);
  const COUNT = 250;
  let covered = 0;
  for (let client = 0; client < COUNT; client++) {
    const rates = ratesFrom({ calm: 0, noticed: 0, flare: 0 }, uniform);
    const seen = { calm: 0, noticed: 0, flare: 0 };
    for (let i = 0; i < seenCount; i++) {
      const roll = uniform();
      seen[roll < rates.calm ? "calm" : roll < rates.calm + rates.noticed ? "noticed" : "flare"]++;
    }
    const way = { stepCount: 5, sessionsPerWeek: 3, sessionsToBuild: 2, missedPercent: 10, climbSessions: 2 };
    const { lowWeeks, highWeeks } = forecast({ ...way, mornings: seen, seed: client });
    const truly = weeksOfWay(way, rates, uniform);
    if (truly >= (lowWeeks ?? Infinity) - 0.05 && truly <= (highWeeks ?? Infinity) + 0.05) covered++;
  }
  expect(covered / COUNT).toBeGreaterThanOrEqual(0.76);
  expect(covered / COUNT).toBeLessThanOrEqual(0.84);
});
