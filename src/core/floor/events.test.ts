import fc from "fast-check";
import type { LeverChange } from "../progressions/tread";
import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import {
  asksAtOnce,
  doseLeft,
  type FloorEvent,
  type FloorEventBody,
  floorState,
  inOrder,
  placeNow,
  SET_ENDS,
  type SetEnd,
  stopsFirst,
  unansweredSet,
} from "./events";

let made = 0;
const event = (body: FloorEventBody, second: number): FloorEvent => ({
  id: `event-${made++}`,
  deviceId: "tablet",
  sequence: second,
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
const STOPS: readonly string[] = ["spreading", "belly", "warning-sign"];
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
  event({ kind: "effort-told", effortScore: 8 }, 210),
  event({ kind: "effort-told", effortScore: 6 }, 215),
];

describe("a session's events", () => {
  test("add up to what was done", () => {
    const state = floorState(SESSION);
    expect(state.sets.map(({ id, repetitions, leftInTank }) => [id, repetitions, leftInTank])).toEqual([
      ["a", 11, null],
      ["b", 12, 2],
    ]);
    expect(state.moves).toHaveLength(1);
    expect(state.endedAt).not.toBeNull();
    expect([state.effortScore, floorState([]).effortScore]).toEqual([6, null]); // the last word counts, and none is none
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
  test("begin with nothing: what nobody did is not there", () =>
    expect(floorState([])).toEqual({
      checkIn: null,
      moves: [],
      added: [],
      ordered: null,
      compared: [],
      wentOn: [],
      stoppedItemIds: [],
      skippedItemIds: [],
      warnings: [],
      endedAt: null,
      effortScore: null,
      sets: [],
    }));
  test("keep what the check-in said, and read what it did not say as unsaid", () => {
    const said = { painScore: 3, newSwelling: true, choice: "as-planned" } as const;
    expect(floorState([event({ kind: "checked-in", ...said }, 0)]).checkIn).toEqual({
      ...said,
      underRelief: false,
      satLong: false,
      reason: "",
    });
    const more = { ...said, underRelief: true, satLong: true, reason: "she insists" };
    expect(floorState([event({ kind: "checked-in", ...more }, 0)]).checkIn).toEqual(more);
    expect(floorState([eased(1)]).moves[0]).toMatchObject({ by: "ease", reason: "", dose: null });
  });
  test("an exercise left for today is left until it is taken up again, and no other with it", () => {
    const left = (itemId: string, second: number) => event({ kind: "item-skipped", itemId }, second);
    const events = [left("x", 1), left("y", 2), left("x", 3)];
    expect(floorState(events).skippedItemIds).toEqual(["y", "x"]);
    expect(floorState([...events, event({ kind: "item-resumed", itemId: "x" }, 4)]).skippedItemIds).toEqual(["y"]);
  });
  test("two exercises added on the floor are two, the order by hand is kept, and what was compared", () => {
    const add = (itemId: string, second: number) =>
      event({ kind: "item-added", itemId, place: EASED, side: "left", dose: variationById("goblet-squat").dose }, second);
    const state = floorState([
      add("p", 1),
      add("q", 2),
      event({ kind: "items-ordered", itemIds: ["q", "p"] }, 3),
      event({ kind: "compared", itemId: "p", cues: ["heel", "toe"], lighter: 1 }, 4),
    ]);
    expect(state.added.map(({ itemId }) => itemId)).toEqual(["p", "q"]);
    expect(state.ordered).toEqual(["q", "p"]);
    expect(state.compared).toEqual([{ itemId: "p", cues: ["heel", "toe"], lighter: 1 }]);
  });
  test("an undone ease leaves the set-up as planned", () => {
    const ease = SESSION[3];
    if (!ease) throw new Error("no ease");
    const undone = event({ kind: "ease-undone", easedEventId: ease.id }, 90);
    expect(placeNow(PLANNED, "item", floorState([...SESSION, undone]).moves)).toMatchObject(PLANNED);
    expect(placeNow(PLANNED, "item", floorState(SESSION).moves)).toMatchObject(EASED);
    expect(placeNow(PLANNED, "another", floorState(SESSION).moves)).toMatchObject(PLANNED);
  });
  test("fewer sets stay fewer, whatever is eased after", () => {
    expect(placeNow(PLANNED, "item", floorState([eased(10, 2), eased(20)]).moves)).toMatchObject({ ...EASED, setCount: 2 });
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

describe("a session of any events", () => {
  const uuid = fc.constantFrom("a", "b", "c");
  const item = fc.constantFrom("item", "other");
  const place = fc.record({
    variationId: fc.constantFrom("raised-sit-to-stand", "goblet-squat"),
    setting: fc.constant({ seatHeightM: 0.6 }),
  });
  const body: fc.Arbitrary<FloorEventBody> = fc.oneof(
    fc.record({
      kind: fc.constant("checked-in" as const),
      painScore: fc.integer({ min: 0, max: 10 }),
      newSwelling: fc.boolean(),
      choice: fc.constantFrom("as-planned" as const, "ease-all" as const),
    }),
    fc.record({
      kind: fc.constant("set-ended" as const),
      setId: uuid,
      itemId: item,
      setting: fc.constant({ seatHeightM: 0.6 }),
      repetitions: fc.nat(20),
      painScore: fc.option(fc.nat(10)),
      faults: fc.constant([] as string[]),
      endedBy: fc.constantFrom(...SET_ENDS),
    }),
    fc.record({
      kind: fc.constant("set-corrected" as const),
      setId: uuid,
      change: fc.record(
        {
          repetitions: fc.nat(20),
          painScore: fc.nat(10),
          endedBy: fc.constantFrom(...SET_ENDS),
          painKind: fc.constantFrom("ache" as const, "sharp" as const, null),
          hurtsAt: fc.constantFrom("bottom" as const, null),
        },
        { requiredKeys: [] },
      ),
    }),
    fc.record({ kind: fc.constant("set-voided" as const), setId: uuid }),
    fc.record({
      kind: fc.constant("eased" as const),
      itemId: item,
      levers: fc.constant<LeverChange[]>([]),
      to: place,
      setCount: fc.option(fc.integer({ min: 1, max: 4 })),
      by: fc.constantFrom("ease" as const, "build" as const, "swap" as const),
    }),
    fc.record({ kind: fc.constant("ease-undone" as const), easedEventId: fc.nat(30).map((n) => `event-${n}`) }),
    fc.record({ kind: fc.constant("warning-sign" as const), sign: fc.constantFrom("faint", "chest-pain") }),
    fc.record({
      kind: fc.constantFrom("item-stopped" as const, "item-skipped" as const, "item-resumed" as const, "went-on" as const),
      itemId: item,
    }),
    fc.record({ kind: fc.constant("items-ordered" as const), itemIds: fc.shuffledSubarray(["item", "other"]) }),
    fc.record({ kind: fc.constantFrom("session-ended" as const, "session-continued" as const) }),
    fc.record({ kind: fc.constant("effort-told" as const), effortScore: fc.nat(10) }),
  );
  /** Events of two tablets whose clocks are 40 s apart; some are received by the studio, in one order; the last are still on the tablet in hand. */
  const session = fc.tuple(fc.array(body, { minLength: 4, maxLength: 24 }), fc.nat(24)).map(([bodies, receivedCount]) =>
    bodies.map((each, i): FloorEvent => ({
      id: `event-${i}`,
      deviceId: i % 2 === 0 || i >= receivedCount ? "fast" : "slow",
      sequence: i,
      sessionId: "session",
      occurredAt: new Date(Date.UTC(2026, 10, 26, 16, 0, i + (i % 2 === 0 ? 40 : 0))).toISOString(),
      ...(i < receivedCount ? { receipt: i + 1 } : {}),
      body: each,
    })),
  );
  test("ends in one state in 1,000 shuffled, doubled orders", () => {
    const seen = new Set<string>();
    fc.assert(
      fc.property(
        session.chain((events) =>
          fc.tuple(fc.constant(events), fc.shuffledSubarray([...events, ...events], { minLength: 2 * events.length })),
        ),
        ([events, arrived]) => {
          const state = floorState(events);
          for (const { body: told } of events) seen.add(told.kind);
          expect(floorState(arrived)).toEqual(state);
          // a sign is never lost, and never less than what was tapped
          const isStop = ({ body: told }: FloorEvent): boolean =>
            told.kind === "warning-sign" ||
            STOPS.includes((told.kind === "set-ended" ? told.endedBy : told.kind === "set-corrected" ? told.change.endedBy : null) ?? "");
          expect(state.warnings.length > 0).toBe(inOrder(events).some(isStop));
        },
      ),
      { numRuns: 1000 },
    );
    expect(seen.size).toBe(15); // every kind was among them
  });
});

test("mixed sets are harder first, as many as were said, and none once something was eased", () => {
  const plain = { setCount: 3, repetitionsLow: 8, repetitionsHigh: 12, tempo: { lowerS: 3, pauseS: 1, riseS: 2 }, restS: 90 };
  const mixed = { ...plain, mixed: { setting: { seatHeightM: 0.6 }, setCount: 2 } };
  expect([0, 1, 2, 3].map((done) => doseLeft(mixed, done, false))).toEqual([mixed, mixed, plain, plain]);
  expect(doseLeft(mixed, 0, true)).toEqual(plain);
  expect(doseLeft(plain, 0, false)).toEqual(plain);
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

describe("no clock orders a session", () => {
  const at = (minutes: number, of: FloorEvent, more: Partial<FloorEvent>): FloorEvent => ({
    ...of,
    ...more,
    occurredAt: new Date(Date.parse(of.occurredAt) + minutes * 60_000).toISOString(),
  });
  test("200 of 200 corrections count from tablets a day and two minutes apart, and the last received wins", () => {
    let counted = 0;
    for (let i = 0; i < 200; i++) {
      const [aheadMinutes, behindMinutes] = [i % 2 === 0 ? 24 * 60 : 2, i % 3 === 0 ? -24 * 60 : -2];
      const set = at(aheadMinutes, ended("x", 60), { receipt: 1, deviceId: "fast", sequence: 900 });
      const first = at(aheadMinutes, event({ kind: "set-corrected", setId: "x", change: { repetitions: 5 } }, 1), {
        receipt: 2,
        deviceId: "fast",
      });
      const last = at(behindMinutes, event({ kind: "set-corrected", setId: "x", change: { repetitions: 7 } }, 2), {
        receipt: 3,
        deviceId: "slow",
      });
      if (floorState([last, first, set]).sets[0]?.repetitions === 7) counted++;
    }
    expect(counted).toBe(200);
  });
  test("what only this tablet knows comes after what the studio has, in the order of its taps", () => {
    const here = [event({ kind: "session-ended" }, 8), event({ kind: "session-continued" }, 9)] as const;
    const there = at(60 * 24, event({ kind: "session-ended" }, 500), { receipt: 12 });
    expect(floorState([here[1], there, here[0]]).endedAt).toBeNull();
    expect(floorState([{ ...here[1], sequence: 7 }, there, here[0]]).endedAt).not.toBeNull();
  });
  test("an event that comes back from the studio takes its place there, and counts once", () => {
    const mine = ended("a", 5);
    const ordered = inOrder([mine, at(0, ended("b", 1), { receipt: 4 }), { ...mine, receipt: 3 }]);
    expect(ordered.map(({ receipt }) => receipt)).toEqual([3, 4]);
  });
  test("a warning sign tapped anywhere stops, whatever comes before or after it", () => {
    const sign = at(-60 * 24, event({ kind: "warning-sign", sign: "chest-pain" }, 1), { receipt: 2, deviceId: "slow" });
    expect(floorState([sign, ...SESSION.map((each, i) => ({ ...each, receipt: 10 + i }))]).warnings).toHaveLength(1);
  });
  test("an ease answers only a set that came before it", () => {
    const sharp = { ...ended("s", 10, { endedBy: "sharp" }), receipt: 5 };
    expect(unansweredSet(floorState([{ ...eased(900), receipt: 4 }, sharp]), 3)?.id).toBe("s");
    expect(unansweredSet(floorState([{ ...eased(1), receipt: 6 }, sharp]), 3)).toBeNull();
  });
  test("an ease undone before it arrives is undone", () => {
    const ease = eased(10);
    expect(
      floorState([
        { ...event({ kind: "ease-undone", easedEventId: ease.id }, 9), receipt: 1 },
        { ...ease, receipt: 2 },
      ]).moves,
    ).toEqual([]);
  });
});

describe("how a set ended is a warning by itself", () => {
  const endedBy = (end: SetEnd) => ended("s1", 90, { endedBy: end });
  test("spreading and belly pressure open one, whatever a screen adds; a sign that was told is not told twice", () => {
    const spread = endedBy("spreading");
    expect(floorState([spread]).warnings).toMatchObject([{ eventId: spread.id, sign: "spreading-pain" }]);
    expect(floorState([endedBy("belly")]).warnings).toMatchObject([{ sign: "belly-or-pelvic" }]);
    expect(floorState([endedBy("warning-sign")]).warnings).toMatchObject([{ sign: "other-sign" }]);
    const told = event({ kind: "warning-sign", sign: "spreading-pain" }, 100);
    expect(floorState([spread, told]).warnings).toMatchObject([{ eventId: told.id }]);
    for (const end of ["sharp", "joint", "cramp", "form-lost", "pain-tap"] as const)
      expect(floorState([endedBy(end)]).warnings).toEqual([]);
  });
  test("it stays when the set is taken back, and comes of a correction too", () => {
    const spread = endedBy("spreading");
    const back = event({ kind: "set-voided", setId: "s1" }, 100);
    expect(floorState([spread, back]).warnings).toHaveLength(1);
    const later = event({ kind: "set-corrected", setId: "s1", change: { endedBy: "belly" } }, 101);
    expect(floorState([endedBy("pain-tap"), later]).warnings).toMatchObject([{ eventId: later.id, sign: "belly-or-pelvic" }]);
  });
});

test("stopping is offered first for sharp or spreading pain and from seven on, not for a muscle at work", () => {
  const at = (more: Partial<Parameters<typeof stopsFirst>[0]>) =>
    stopsFirst({ endedBy: "pain-tap", painScore: 3, painKind: null, ...more });
  expect([at({}), at({ painScore: 6 }), at({ painScore: 7 }), at({ painScore: 10 }), at({ painScore: NaN })]).toEqual([
    false,
    false,
    true,
    true,
    true,
  ]);
  expect([
    at({ endedBy: "sharp" }),
    at({ endedBy: "spreading" }),
    at({ painScore: 8, painKind: "muscle-work" }),
    at({ painScore: null }),
  ]).toEqual([true, true, false, false]);
});
