import fc from "fast-check";
import { expect, test } from "vitest";
import { countHolding } from "./count-holding";

test("counting what holds agrees with counting one by one", () => {
  fc.assert(
    fc.property(fc.nat(60), fc.nat(60), (length, last) => {
      const values = Array.from({ length }, (_, i) => i);
      let asked = 0;
      const count = countHolding(values, (value) => {
        asked++;
        return value < last;
      });
      expect(count).toBe(values.filter((value) => value < last).length);
      expect(asked).toBeLessThanOrEqual(Math.ceil(Math.log2(length + 1)) + 1);
    }),
  );
});
