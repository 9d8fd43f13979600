import ICAL from "ical.js";
import { describe, expect, test } from "vitest";
import { calendarFile, calendarFrom, type CalendarSession } from "./calendar";

describe("the calendar file", () => {
  const sessions: CalendarSession[] = [
    {
      id: "leg-circuit",
      sequence: 2,
      title: "Knee; legs, both",
      note: "Shoes\nand water: the long hour that goes on and on past the seventy-fifth octet of its line, ærlig talt",
      startDay: "2026-10-20",
      at: "09:00",
      minutes: 45,
      repeats: { weekdays: [2, 5], untilDay: "2026-11-10" },
      exceptDays: ["2026-10-27"],
    },
    { id: "moved", sequence: 0, title: "Moved", note: "", startDay: "2026-10-28", at: "17:30", minutes: 30, repeats: null, exceptDays: [] },
  ];
  const file = calendarFile({ timeZone: "Europe/Oslo", madeAt: "2026-10-01T08:00:00Z", sessions });
  test("is read back without loss", () => {
    expect(calendarFrom(file)).toEqual({ timeZone: "Europe/Oslo", sessions });
    expect(calendarFrom("no calendar")).toBeNull();
  });
  test("keeps nine at nine when the clocks change, leaves out what was moved, and folds its lines", () => {
    const root = new ICAL.Component(ICAL.parse(file) as unknown[]);
    for (const zone of root.getAllSubcomponents("vtimezone")) ICAL.TimezoneService.register(zone);
    const event = new ICAL.Event(root.getFirstSubcomponent("vevent")!);
    const walk = event.iterator();
    const starts: string[] = [];
    for (let next = walk.next(); next; next = walk.next()) starts.push(next.toJSDate().toISOString());
    expect(starts).toEqual([
      "2026-10-20T07:00:00.000Z",
      "2026-10-23T07:00:00.000Z",
      "2026-10-30T08:00:00.000Z",
      "2026-11-03T08:00:00.000Z",
      "2026-11-06T08:00:00.000Z",
      "2026-11-10T08:00:00.000Z",
    ]);
    expect(file.split("\r\n").every((line) => Buffer.byteLength(line) <= 75)).toBe(true);
    expect(file).toContain("SEQUENCE:2");
    expect(file).toContain("UID:leg-circuit@ponderis");
  });
});
