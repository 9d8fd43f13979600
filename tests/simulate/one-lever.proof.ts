import { expect, test } from "vitest";
import { CATALOGUE } from "../../src/core/catalogue/catalogue";
import { valuesOn } from "../../src/core/kit/on-hand";
import { judge } from "../../src/core/judge/judge";
import { fitVariation } from "../../src/core/progressions/search";
import { leversOf } from "../../src/core/templates/form";
import { withLever } from "../../src/core/templates/lever";
import { chanceFrom } from "./chance";
import { clientOf } from "./clients";

test("no row is closed that one lever would open, but for the share, which is the client's and is told", () => {
  let closedCount = 0;
  const openable: string[] = [];
  for (let seed = 1; seed <= 20; seed++) {
    const context = clientOf(chanceFrom(1_000_000 + seed));
    for (const row of CATALOGUE) {
      const { state, setting } = fitVariation(context, row);
      if (state !== "closed" || row.template === "no-model") continue;
      closedCount++;
      for (const range of leversOf(context.subject, row))
        if (range.lever !== "shareFraction")
          for (const value of valuesOn(context, row, range))
            if (judge(context, row, withLever(setting, range.lever, value), "closing").state === "open")
              openable.push(`client ${seed}: ${row.id} by ${range.lever} ${value}`);
    }
  }
  expect(openable).toEqual([]);
  expect(closedCount).toBeGreaterThan(400);
}, 180_000);
