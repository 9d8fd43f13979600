import { describe, expect, test } from "vitest";
import type { CalendarEntry } from "../../formats/visits";
import { clientIn, keptOf, preview } from "./calendar-preview";

const clients = [
  { id: "m", name: "Maren Holt" },
  { id: "i", name: "Ines Farrow" },
  { id: "j", name: "Ines Holt" },
];
const entry = (uid: string, title: string, at = "09:00"): CalendarEntry => ({
  title,
  day: "2026-10-06",
  visit: { day: "2026-10-06", at, minutes: 45, everyWeeks: null, untilDay: null, except: [], uid },
});

describe("a calendar beside the studio's visits", () => {
  test("a name is found whole, or by a part that nobody else has; never inside another word", () => {
    expect(clientIn("Knee: Maren Holt, 45 min", clients)).toBe("m");
    expect(clientIn("maren", clients)).toBe("m");
    expect(clientIn("Farrow (back)", clients)).toBe("i");
    expect(clientIn("Ines", clients)).toBeNull();
    expect(clientIn("Holt", clients)).toBeNull();
    expect(clientIn("Marenka", clients)).toBeNull();
    expect(clientIn("Ines Holt", clients)).toBe("j");
  });
  test("read in again nothing is doubled: the same is left, the moved is changed under its own id", () => {
    const first = keptOf(preview([entry("a", "Maren"), entry("b", "Farrow"), entry("c", "choir")], clients, []));
    expect(first.map(({ clientId }) => clientId)).toEqual(["m", "i"]);
    expect(keptOf(preview([entry("a", "Maren"), entry("b", "Farrow")], clients, first))).toEqual([]);
    const again = keptOf(preview([entry("a", "Maren", "10:00"), entry("b", "Farrow")], clients, first));
    expect(again).toEqual([{ ...first[0], at: "10:00" }]);
  });
});
