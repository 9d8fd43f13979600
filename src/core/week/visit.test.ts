import { describe, expect, test } from "vitest";
import { comingBetween, type Visit, withEnd, withLeftOut, withMoved } from "./visit";

const weekly: Visit = {
  id: "v",
  clientId: "c",
  day: "2026-10-06",
  at: "09:00",
  minutes: 45,
  everyWeeks: 1,
  untilDay: null,
  except: [],
  uid: null,
};
const days = (visit: Visit | null, from: string, to: string): string[] =>
  visit ? comingBetween([visit], from, to).map(({ day, at }) => `${day} ${at}`) : [];

describe("visits", () => {
  test("fall on their weekday from their first day to their last, both included", () => {
    expect(days(weekly, "2026-10-01", "2026-10-20")).toEqual(["2026-10-06 09:00", "2026-10-13 09:00", "2026-10-20 09:00"]);
    expect(days(weekly, "2026-10-14", "2026-10-19")).toEqual([]);
    expect(days({ ...weekly, everyWeeks: 2 }, "2026-10-07", "2026-11-03")).toEqual(["2026-10-20 09:00", "2026-11-03 09:00"]);
    expect(days({ ...weekly, untilDay: "2026-10-13" }, "2026-10-01", "2026-12-31")).toHaveLength(2);
    expect(days({ ...weekly, untilDay: "2026-12-31" }, "2026-10-01", "2026-10-14")).toHaveLength(2);
    expect(days({ ...weekly, everyWeeks: null }, "2026-10-01", "2026-10-05")).toEqual([]);
    expect(days({ ...weekly, everyWeeks: null }, "2026-10-06", "2026-10-06")).toHaveLength(1);
    expect(days({ ...weekly, everyWeeks: null }, "2026-10-07", "2026-12-06")).toEqual([]);
  });
  test("one is moved and takes no other with it, also out of the range that is asked", () => {
    const moved = withMoved(weekly, "2026-10-13", { day: "2026-10-15", at: "17:30" });
    expect(days(moved, "2026-10-12", "2026-10-20")).toEqual(["2026-10-15 17:30", "2026-10-20 09:00"]);
    expect(days(moved, "2026-10-15", "2026-10-15")).toEqual(["2026-10-15 17:30"]);
    expect(days(moved, "2026-10-13", "2026-10-14")).toEqual([]);
    expect(days(moved, "2026-10-16", "2026-10-19")).toEqual([]);
    const back = withMoved(moved, "2026-10-13", { day: "2026-10-14", at: "08:00" });
    expect(days(back, "2026-10-12", "2026-10-19")).toEqual(["2026-10-14 08:00"]);
  });
  test("one is left out, or all from a day on", () => {
    expect(days(withLeftOut(weekly, "2026-10-13"), "2026-10-06", "2026-10-20")).toEqual(["2026-10-06 09:00", "2026-10-20 09:00"]);
    expect(days(withEnd(weekly, "2026-10-13"), "2026-10-01", "2026-12-31")).toEqual(["2026-10-06 09:00"]);
    expect(withEnd(weekly, "2026-10-06")).toBeNull();
    expect(withLeftOut({ ...weekly, everyWeeks: null }, "2026-10-06")).toBeNull();
    expect(withEnd({ ...weekly, everyWeeks: null }, "2026-10-20")).toBeNull();
    // each day is left out or moved once, as it was last said, and what is past the end is forgotten
    const both = withMoved(withMoved(weekly, "2026-10-13", { day: "2026-10-14", at: "10:00" }), "2026-10-20", {
      day: "2026-10-21",
      at: "10:00",
    });
    const out = withLeftOut(both, "2026-10-13");
    expect(out?.except.map(({ day, movedTo }) => [day, movedTo?.day ?? null])).toEqual([
      ["2026-10-20", "2026-10-21"],
      ["2026-10-13", null],
    ]);
    expect(withEnd(both, "2026-10-20")?.except.map(({ day }) => day)).toEqual(["2026-10-13"]);
    expect(withMoved({ ...weekly, everyWeeks: null }, "2026-10-06", { day: "2026-10-08", at: "11:00" })).toMatchObject({
      day: "2026-10-08",
      at: "11:00",
      except: [],
    });
  });
  test("two at once stand in the order of time, whoever was entered first", () => {
    const early = { ...weekly, id: "w", clientId: "d", at: "08:00" };
    expect(comingBetween([weekly, early], "2026-10-06", "2026-10-06").map(({ clientId }) => clientId)).toEqual(["d", "c"]);
  });
});
