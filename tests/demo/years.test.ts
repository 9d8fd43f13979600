import { randomUUID } from "node:crypto";
import { expect, test } from "vitest";
import { areYearsGuessed, mayTryYear, type Visitor, yearWasRight } from "../../src/server/private-door";

/** On the counters of the demo's own database: nothing of anybody is read. */
const visitor = (): Visitor => ({
  studioId: "s",
  clientId: "c",
  linkHash: randomUUID(),
  timeZone: "UTC",
  untilDay: null,
  asksYear: true,
  today: "2026-10-10",
});

test("a year of birth is guessed at five times from one place, ten times in a link's life, and then the trainer is told", async () => {
  const link = visitor();
  const from = (place: string) => mayTryYear(link, `${link.linkHash} ${place}`);
  for (let i = 0; i < 5; i++) expect(await from("a")).toBe("may-try");
  expect(await from("a")).toBe("too-many");
  expect(await areYearsGuessed(link.linkHash)).toBe(false);
  // a stranger's tries from elsewhere close nobody else's way
  for (let i = 0; i < 5; i++) expect(await from("b")).toBe("may-try");
  expect(await areYearsGuessed(link.linkHash)).toBe(true);
  expect(await from("c")).toBe("for-good");
  expect(await mayTryYear(visitor(), "c")).toBe("may-try");
});

test("a right year takes its tries back", async () => {
  const link = visitor();
  for (let turn = 0; turn < 12; turn++) {
    expect(await mayTryYear(link, link.linkHash)).toBe("may-try");
    await yearWasRight(link, link.linkHash);
  }
  expect(await areYearsGuessed(link.linkHash)).toBe(false);
});
