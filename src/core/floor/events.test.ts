import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { asksAtOnce, type FloorEvent, type FloorEventBody, floorState, placeNow, SET_ENDS, unansweredSet } from "./events";

let made = 0;
const event = (body: FloorEventBody, second: number): FloorEvent => ({
  id: `event-${made++}`,
  deviceId: "tablet",
  sessionId: "session",
  occurredAt: new Date(Date.UTC(2026, 10, 26, 16, 0, second)).toISOString(),
  body,
});
type Ended = Extract<FloorEventBody, { kind: "set-ended" }>;
const ended = (setId: string, second: number, more: Partial<Ended> = {}): FloorEvent =>
  event(
    {
      kind: "set-ended",
      setId,
      itemId: "item",
      setting: { seatHeightM: 0.6 },
      repetitions: 12,
      painScore: 1,
      faults: [],
      endedBy: "pain-tap",
      ...more,
    },
    second,
  );
const PLANNED = { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.6 }, setCount: 3 };
const EASED = { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.65 } };
const eased = (second: number, setCount: number | null = null): FloorEvent =>
  event({ kind: "eased", itemId: "item", levers: [{ lever: "seatHeightM", from: 0.6, to: 0.65 }], to: EASED, setCount }, second);

const SESSION: readonly FloorEvent[] = [
  event({ kind: "checked-in", painScore: 1, newSwelling: false, choice: "as-planned" }, 0),
  ended("a", 60),
  event({ kind: "set-corrected", setId: "a", change: { repetitions: 11, faults: ["heel-lifts"] } }, 70),
  eased(80),
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
    expect(placeNow(PLANNED, "item", floorState([...SESSION, undone]).eases)).toMatchObject(PLANNED);
    expect(placeNow(PLANNED, "item", floorState(SESSION).eases)).toMatchObject(EASED);
    expect(placeNow(PLANNED, "another", floorState(SESSION).eases)).toMatchObject(PLANNED);
  });
  test("fewer sets stay fewer, whatever is eased after", () => {
    expect(placeNow(PLANNED, "item", floorState([eased(10, 2), eased(20)]).eases)).toMatchObject({ ...EASED, setCount: 2 });
  });
  test("a warning sign is never taken back, and never undone into a clean set", () => {
    const sign = event({ kind: "warning-sign", sign: "chest-pain" }, 100);
    const stopped = ended("w", 301, { endedBy: "warning-sign", painScore: null });
    const clean = event({ kind: "set-corrected", setId: "w", change: { endedBy: "pain-tap", painScore: 1 } }, 302);
    const state = floorState([...SESSION, sign, stopped, clean]);
    expect(state.warnings).toMatchObject([{ sign: "chest-pain" }]);
    expect(state.sets.at(-1)).toMatchObject({ id: "w", endedBy: "warning-sign", painScore: 1 });
  });
  test("a sharp end tapped by mistake can be corrected", () => {
    const fixed = event({ kind: "set-corrected", setId: "s", change: { endedBy: "pain-tap" } }, 11);
    expect(floorState([ended("s", 10, { endedBy: "sharp" }), fixed]).sets[0]?.endedBy).toBe("pain-tap");
  });
  test("a session ended too early goes on", () => {
    expect(floorState([...SESSION, event({ kind: "session-continued" }, 210)]).endedAt).toBeNull();
  });
});

describe("what the floor asks about", () => {
  test("is any end but a tap on a number within what was agreed; a pain nobody said asks nothing", () => {
    for (const endedBy of SET_ENDS) expect(asksAtOnce({ endedBy, painScore: 1 }, 3)).toBe(endedBy !== "pain-tap");
    expect([3, 4, NaN, null].map((painScore) => asksAtOnce({ endedBy: "pain-tap", painScore }, 3))).toEqual([false, true, true, false]);
  });
  test("waits until the exercise is eased, stopped, or the session ended", () => {
    const sharp = ended("s", 10, { endedBy: "sharp" });
    const asked = (...after: FloorEvent[]) => unansweredSet(floorState([sharp, ...after]), 3)?.id ?? null;
    expect(asked()).toBe("s");
    expect(asked(eased(11))).toBeNull();
    expect(asked(event({ kind: "item-stopped", itemId: "item" }, 11))).toBeNull();
    expect(asked(event({ kind: "item-stopped", itemId: "other" }, 11))).toBe("s");
    expect(asked(event({ kind: "session-ended" }, 11))).toBeNull();
    expect(unansweredSet(floorState([eased(5), sharp]), 3)?.id).toBe("s");
  });
});
