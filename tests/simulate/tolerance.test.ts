import { expect, test } from "vitest";
import { simulate } from "../bench/tolerance.sim";

test("on simulated clients it has fewer flares at the same gain than 5 % after two calm mornings", () => {
  const plain = simulate("as-modelled", "plain-rule", 16, 7);
  const learnt = simulate("as-modelled", "learnt", 16, 7, { flare: 0.125, noticed: 0.5 });
  expect(plain.flares).toBeGreaterThan(3); // there is something to be better than
  expect(learnt.gain).toBeGreaterThan(0.95 * plain.gain);
  expect(learnt.flares).toBeLessThan(0.6 * plain.flares);
});
