import { expect, test } from "vitest";
import { ceilingsToday } from "./ceilings";
import { record } from "../facts/record.fixture";
import { ledBy, subjectOf } from "./subject";

const CLIENT = record();

test("the leg to watch is the one that hurts, or that a condition names", () => {
  const on = (side: "left" | "right") =>
    subjectOf({ ...CLIENT, complaints: CLIENT.complaints.map((each) => ({ ...each, side })) })?.leadSide;
  expect([on("left"), on("right")]).toEqual(["left", "right"]);
  const named = subjectOf({ ...CLIENT, complaints: [], screen: { conditions: [{ id: "knee-arthritis", side: "left", day: null }] } });
  expect(named?.leadSide).toBe("left");
});
test("the same facts are the same subject; another leg, sex or measure is another", () => {
  const own = subjectOf(CLIENT)!;
  expect(subjectOf({ ...CLIENT, sessions: [] })).toBe(own);
  const other = subjectOf({ ...CLIENT, client: { ...CLIENT.client, sex: CLIENT.client.sex === "male" ? "female" : "male" } });
  expect(other).not.toBe(own);
  expect(other?.body.sex).not.toBe(own.body.sex);
  expect(subjectOf({ ...CLIENT, measures: [] })).toBeNull();
});
test("a subject led by its own leg is itself, by the other is the same body", () => {
  const own = subjectOf(CLIENT)!;
  const other = own.leadSide === "left" ? "right" : "left";
  expect(ledBy(own, own.leadSide)).toBe(own);
  expect(ledBy(own, other)).toEqual({ ...own, leadSide: other });
  expect(ledBy(ledBy(own, other), own.leadSide)).toEqual(own);
  for (const side of ["left", "right"] as const)
    expect(ledBy({ ...own, leadSide: side === "left" ? "right" : "left" }, side).leadSide).toBe(side);
});

test("a ceiling whose pose is gone, or asks nothing of it, is shown and not used; of a channel its site does not speak for it is none", () => {
  const [ceiling] = CLIENT.ceilings;
  const [pose] = CLIENT.calmPoses;
  if (!ceiling || !pose) throw new Error("no ceiling");
  const today = (more: object) => ceilingsToday({ ...CLIENT, ...more }, "2026-12-31");
  const own = today({});
  expect(own.usable.map(({ id }) => id)).toContain(ceiling.id);
  expect(today({ calmPoses: [] })).toMatchObject({ usable: [], unusable: [{ reason: "source-missing" }] });
  expect(today({ measures: [] }).unusable.map(({ reason }) => reason)).toEqual(own.usable.map(() => "source-missing"));
  const elsewhere = { ...ceiling, side: ceiling.side === "left" ? "right" : "left" };
  expect(today({ ceilings: [elsewhere] }).unusable.map(({ reason }) => reason)).toEqual(["nothing-asked"]);
  const ofBack = { ...ceiling, channel: "lowBackCompression", side: "both" };
  expect(today({ ceilings: [ofBack] })).toEqual({ usable: [], unusable: [] });
});
