import { describe, expect, test } from "vitest";
import { comingBetween, type Visit } from "../core/week/visit";
import { type CalendarEntry, MOST_ENTRIES, visitsFrom } from "./visits";

const file = (...events: string[]): string =>
  [
    "BEGIN:VCALENDAR",
    "VERSION:2.0",
    "PRODID:-//diary//EN",
    ...events.flatMap((each) => ["BEGIN:VEVENT", ...each.split("\n"), "END:VEVENT"]),
    "END:VCALENDAR",
  ].join("\r\n");
const entriesIn = (text: string): CalendarEntry[] => {
  const read = visitsFrom(text, "Europe/Copenhagen");
  return Array.isArray(read) ? read : [];
};
const days = (text: string, from: string, to: string): string[] =>
  entriesIn(text).flatMap((entry) =>
    "visit" in entry
      ? comingBetween([{ ...(entry.visit as Omit<Visit, "id" | "clientId">), id: "v", clientId: "c" }], from, to).map(
          ({ day, at }) => `${day} ${at}`,
        )
      : [],
  );

describe("visits read from somebody's calendar", () => {
  test("an hour in another zone is the studio's own hour, summer and winter", () => {
    const once = (at: string): string => file(`UID:a\nSUMMARY:Maren\nDTSTART:${at}\nDURATION:PT45M`);
    expect(days(once("20260701T070000Z"), "2026-07-01", "2026-07-01")).toEqual(["2026-07-01 09:00"]);
    expect(days(once("20261201T080000Z"), "2026-12-01", "2026-12-01")).toEqual(["2026-12-01 09:00"]);
    expect(days(once("20261201T233000Z"), "2026-12-01", "2026-12-02")).toEqual(["2026-12-02 00:30"]);
    expect(days(once("20261201T090000"), "2026-12-01", "2026-12-01")).toEqual(["2026-12-01 09:00"]);
  });
  test("a weekly rule is a series for each weekday, with what was moved and what was left out", () => {
    const series = file(
      "UID:b\nSUMMARY:Ines\nDTSTART:20261006T090000\nDTEND:20261006T094500\nRRULE:FREQ=WEEKLY;BYDAY=TU,FR;UNTIL=20261020T235900\nEXDATE:20261009T090000",
      "UID:b\nSUMMARY:Ines\nRECURRENCE-ID:20261013T090000\nDTSTART:20261014T170000\nDTEND:20261014T174500",
    );
    expect(days(series, "2026-10-01", "2026-12-31").toSorted()).toEqual([
      "2026-10-06 09:00",
      "2026-10-14 17:00",
      "2026-10-16 09:00",
      "2026-10-20 09:00",
    ]);
    expect(
      days(
        file("UID:c\nSUMMARY:x\nDTSTART:20261006T090000\nDURATION:PT1H\nRRULE:FREQ=WEEKLY;INTERVAL=2;COUNT=3"),
        "2026-10-01",
        "2027-10-01",
      ),
    ).toEqual(["2026-10-06 09:00", "2026-10-20 09:00", "2026-11-03 09:00"]);
  });
  test("what is no visit says why, and keeps nobody from the rest", () => {
    const mixed = file(
      "UID:1\nSUMMARY:Harbour fair\nDTSTART;VALUE=DATE:20261006",
      "UID:2\nSUMMARY:Choir\nDTSTART:20261006T190000\nDURATION:PT2H\nRRULE:FREQ=MONTHLY;BYDAY=1TU",
      "UID:3\nSUMMARY:Retreat\nDTSTART:20261006T090000\nDURATION:PT9H",
      "UID:4\nSUMMARY:Off\nSTATUS:CANCELLED\nDTSTART:20261006T090000\nDURATION:PT1H",
      "UID:5\nSUMMARY:Maren\nDTSTART:20261007T090000\nDURATION:PT1H",
    );
    expect(entriesIn(mixed).map((entry) => ("problem" in entry ? entry.problem : entry.title))).toEqual([
      "whole-day",
      "rule",
      "length",
      "cancelled",
      "Maren",
    ]);
    for (const text of ["", "no calendar", "BEGIN:VCARD\r\nEND:VCARD", "BEGIN:VCALENDAR"])
      expect(visitsFrom(text, "Europe/Copenhagen") ?? []).toEqual([]);
  });
  test("of more entries than are looked through nothing is left out unsaid: it is not begun", () => {
    const entries = (count: number): string[] =>
      Array.from({ length: count }, (_, i) => `UID:${i}\nSUMMARY:Maren\nDTSTART:20261007T090000\nDURATION:PT1H`);
    expect(entriesIn(file(...entries(MOST_ENTRIES)))).toHaveLength(MOST_ENTRIES);
    expect(visitsFrom(file(...entries(MOST_ENTRIES + 1)), "Europe/Copenhagen")).toBe("too-many");
  });
});
