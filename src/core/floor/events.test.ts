import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { easedSetting, type FloorEvent, type FloorEventBody, floorState } from "./events";

let made = 0;
const event = (body: FloorEventBody, second: number): FloorEvent => ({
  id: `event-${made++}`,
  deviceId: "tablet",
  sessionId: "session",
  occurredAt: new Date(Date.UTC(2026, 10, 26, 16, 0, second)).toISOString(),
  body,
});
const ended = (setId: string, second: number, repetitions = 12): FloorEvent =>
  event(
    { kind: "set-ended", setId, itemId: "item", setting: { seatHeightM: 0.6 }, repetitions, painScore: 1, faults: [], endedBy: "pain-tap" },
    second,
  );

const SESSION: readonly FloorEvent[] = [
  event({ kind: "checked-in", painScore: 1, newSwelling: false, choice: "as-planned" }, 0),
  ended("a", 60),
  event({ kind: "set-corrected", setId: "a", change: { repetitions: 11, faults: ["heel-lifts"] } }, 70),
  event({ kind: "eased", itemId: "item", lever: "seatHeightM", from: 0.6, to: 0.62 }, 80),
  ended("b", 160),
  ended("c", 161),
  event({ kind: "set-voided", setId: "c" }, 165),
  event({ kind: "set-corrected", setId: "b", change: { leftInTank: 2 } }, 170),
  event({ kind: "session-ended" }, 200),
];

describe("a session's events", () => {
  test("add up to what was done", () => {
    const state = floorState(SESSION);
    expect(state.sets.map(({ id, repetitions, leftInTank }) => [id, repetitions, leftInTank])).toEqual([
      ["a", 11, null],
      ["b", 12, 2],
    ]);
    expect(state.eases).toHaveLength(1);
    expect(state.endedAt).not.toBeNull();
  });
  test("add up to the same in any order and however often they arrive", () => {
    const expected = floorState(SESSION);
    fc.assert(
      fc.property(fc.shuffledSubarray([...SESSION, ...SESSION], { minLength: 2 * SESSION.length }), (arrived) => {
        expect(floorState(arrived)).toEqual(expected);
      }),
    );
  });
  test("a correction that overtakes its set still lands on it", () => {
    expect(floorState([...SESSION].reverse()).sets[0]?.repetitions).toBe(11);
  });
  test("an undone ease leaves the set-up as planned", () => {
    const ease = SESSION[3];
    if (!ease) throw new Error("no ease");
    const undone = event({ kind: "ease-undone", easedEventId: ease.id }, 90);
    expect(easedSetting({ seatHeightM: 0.6 }, "item", floorState([...SESSION, undone]).eases)).toEqual({ seatHeightM: 0.6 });
    expect(easedSetting({ seatHeightM: 0.6 }, "item", floorState(SESSION).eases)).toEqual({ seatHeightM: 0.62 });
    expect(easedSetting({ seatHeightM: 0.6 }, "another", floorState(SESSION).eases)).toEqual({ seatHeightM: 0.6 });
  });
  test("a warning sign tapped by mistake is taken back, and both are kept", () => {
    const sign = event({ kind: "warning-sign", sign: "on-the-floor" }, 100);
    expect(floorState([...SESSION, sign]).warningSigns).toEqual(["on-the-floor"]);
    expect(floorState([...SESSION, sign, event({ kind: "warning-withdrawn" }, 104)]).warningSigns).toEqual([]);
  });
});
