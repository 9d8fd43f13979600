import { expect, test } from "vitest";
import { tallyOf } from "./shares";

/** The short form of `npm run simulate`: enough to see every move and most reasons. */
test("twenty seeded histories, four clients on every row and forty tightened limits break nothing", () => {
  const { broken, seen } = tallyOf({ histories: 20, clients: 4, tightenings: 40 });
  expect(broken).toEqual({});
  expect(seen["sessions"]).toBeGreaterThan(200);
  for (const move of ["ease", "hold", "build", "rest", "stop"]) expect([move, (seen[`decided: ${move}`] ?? 0) > 0]).toEqual([move, true]);
  expect(seen["rows open or tried"]).toBeGreaterThan(100);
  expect(seen["limits tightened"]).toBe(40);
}, 120_000); // a busy machine is slow, not wrong
