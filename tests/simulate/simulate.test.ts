import { expect, test } from "vitest";
import { tallyOf } from "./shares";

/** The short form of `npm run simulate`: enough to see every move and most reasons. */
test("forty seeded histories, eight clients on every row and sixty tightened limits break nothing", () => {
  const { broken, seen } = tallyOf({ histories: 40, clients: 8, tightenings: 60 });
  expect(broken).toEqual({});
  expect(seen["sessions"]).toBeGreaterThan(400);
  for (const move of ["ease", "hold", "build", "rest", "stop"]) expect([move, (seen[`decided: ${move}`] ?? 0) > 5]).toEqual([move, true]);
  expect(seen["rows open or tried"]).toBeGreaterThan(200);
  expect(seen["limits tightened"]).toBe(60);
});
