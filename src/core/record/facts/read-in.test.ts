import { expect, test } from "vitest";
import { asReadIn, readInFrom, saidToBeBy } from "./read-in";

test("what came from a file is whoever read it in's to answer for, and says whose it is said to be", () => {
  const once = asReadIn("tove", "2026-12-01", "peer");
  expect(readInFrom(once)).toEqual({ by: "tove", day: "2026-12-01", saidBy: "peer" });
  expect(readInFrom(asReadIn("joss", "2026-12-03", once))).toEqual({ by: "joss", day: "2026-12-03", saidBy: "peer" });
  expect(readInFrom(asReadIn("tove", "2026-12-01", "two words"))?.saidBy).toBe("two words");
  expect(readInFrom("peer")).toBeNull();
  expect(readInFrom("read-in tove someday peer")).toBeNull();
  expect([saidToBeBy("peer"), saidToBeBy(once)]).toEqual(["peer", "peer"]);
});
