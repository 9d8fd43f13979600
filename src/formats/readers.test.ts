import fc from "fast-check";
import { expect, test } from "vitest";
import { archiveFrom } from "./archive";
import { calendarFrom } from "./calendar";
import { summaryFrom } from "./fhir";
import { visitsFrom } from "./visits";

const pieces = fc.constantFrom(
  "BEGIN:VCALENDAR\r\n",
  "BEGIN:VEVENT\r\n",
  "DTSTART:",
  "20261006T0900",
  "RRULE:FREQ=WEEKLY;BYDAY=",
  "TU",
  "UID:1\r\n",
  "END:VEVENT\r\n",
  "END:VCALENDAR",
  "\0",
  "\ud800",
  '{"format":"ponderis",',
  '"version":2,',
  '"clients":[',
  "]}",
);
const file = fc.oneof(
  fc.string(),
  fc.json(),
  fc.array(pieces, { maxLength: 14 }).map((all) => all.join("")),
);

test("no file whatever makes a reader throw: it is read, or is none", () => {
  let read = 0;
  fc.assert(
    fc.property(file, (text) => {
      read++;
      const archive = archiveFrom(text);
      expect(archive.ok || archive.problem.code.length > 0).toBe(true);
      const visits = visitsFrom(text, "Europe/Copenhagen");
      expect(visits === null || Array.isArray(visits)).toBe(true);
      calendarFrom(text);
    }),
    { numRuns: 2000, seed: 11 },
  );
  fc.assert(
    fc.property(fc.object({ key: fc.constantFrom("resourceType", "entry", "resource", "id", "x"), maxDepth: 4 }), (value) => {
      read++;
      summaryFrom({ resourceType: "Bundle", entry: [value], ...value });
    }),
    { numRuns: 2000, seed: 11 },
  );
  expect(read).toBe(4000);
});
