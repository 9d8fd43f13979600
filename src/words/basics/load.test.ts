import { describe, expect, test } from "vitest";
import { nFromKgf } from "../../core/units";
import { bandsText, dropSetText, goalLoadText, nextLoadText } from "./load";

describe("what a load comes to, in words", () => {
  test("a goal is a share of body weight, held to what is here, with how much of the way is done", () => {
    expect(goalLoadText("steep-squat", 70, { loadKg: 7 }, [5, 7, 16], "metric")).toBe(
      "Goal: 17.5 kg, 25% of body weight (16 kg of what is here). 40% of the way.",
    );
    // half the height and none of the load
    expect(goalLoadText("knee-forward-step", 70, { loadKg: 0, stepHeightM: 0.075 }, null, "imperial")).toBe(
      "Goal: 75 lb at 6 in, 50% of body weight. 25% of the way.",
    );
  });
  test("the next load is named, or why there is none and what plate would do", () => {
    expect(nextLoadText(20, [20, 21.5, 25], "metric")).toBe("Next load: 21.5 kg, 7% more.");
    const refused = nextLoadText(20, [20, 25], "metric");
    expect(refused).toContain("25 kg is 25% more");
    expect(refused).toContain("0.4 kg to 2 kg more would do");
    expect(nextLoadText(25, [20, 25], "metric")).toContain("Nothing heavier is here");
  });
  test("a drop set counts its repetitions and volume, and needs something to drop to", () => {
    expect(dropSetText(110, [50, 70, 90, 110, 130], "metric")).toBe(
      "Drop set: 110 kg, 90 kg, 70 kg × 10: 30 repetitions, 2700 kg in all; drops of 18% and 22%.",
    );
    expect([dropSetText(5, [5, 10], "metric"), dropSetText(0, [5, 10], "metric")]).toEqual([null, null]);
  });
  test("what resists starts with the lightest band, what supports with the strongest", () => {
    const band = (value: number, name: string) => ({ value, recipe: [{ kind: "band" as const, size: value, count: 1, name }] });
    const bands = [{ value: 0, recipe: [] }, band(5, "grey"), band(12, "amber"), band(2, "white")];
    expect(bandsText(bands, nFromKgf(5), "resists", "metric")).toContain("white (2 kg); grey (5 kg), now; amber (12 kg)");
    expect(bandsText(bands, null, "supports", "metric")).toContain("amber (12 kg); grey (5 kg); white (2 kg)");
    expect(bandsText([], null, "supports", "metric")).toBeNull();
  });
});
