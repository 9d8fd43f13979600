import { describe, expect, test } from "vitest";
import { variationById } from "../catalogue/catalogue";
import { type FloorEvent, type FloorEventBody, floorState, HARMLESS_ENDS, unansweredSet } from "./events";
import { hintsOf } from "./hint";
import { orderedBy } from "./order";
import { redFlags } from "./referral";
import { UNTOLD } from "./told";

let made = 0;
const event = (body: FloorEventBody): FloorEvent => {
  made++;
  const occurredAt = new Date(Date.UTC(2026, 10, 26, 16, 0, made)).toISOString();
  return { id: `e${made}`, deviceId: "tablet", sequence: made, sessionId: "s", occurredAt, body };
};
const set = (setId: string, more: Partial<Extract<FloorEventBody, { kind: "set-ended" }>> = {}): FloorEvent =>
  event({
    kind: "set-ended",
    setId,
    itemId: "i",
    setting: { seatHeightM: 0.6 },
    repetitions: 8,
    painScore: 2,
    faults: [],
    endedBy: "pain-tap",
    ...more,
  });
const tell = (setId: string, change: Extract<FloorEventBody, { kind: "set-corrected" }>["change"]): FloorEvent =>
  event({ kind: "set-corrected", setId, change });

describe("what is told of a set", () => {
  test("stays unsaid until somebody says it, and the last word counts", () => {
    const [a] = floorState([set("a")]).sets;
    expect(a).toMatchObject(UNTOLD);
    const place = { place: "kneecap", side: "right" } as const;
    const told = floorState([
      set("a"),
      tell("a", { painKind: "ache" }),
      tell("a", { painKind: "strain", painPlace: place, hurtsAt: "bottom" }),
    ]);
    expect(told.sets[0]).toMatchObject({ painKind: "strain", painPlace: place, hurtsAt: "bottom", endedBy: "pain-tap" });
  });
  test("sharp told afterwards ends the set as sharp, whatever its number, and asks", () => {
    const state = floorState([set("a", { painScore: 1 }), tell("a", { painKind: "sharp" })]);
    expect(state.sets[0]?.endedBy).toBe("sharp");
    expect(unansweredSet(state, 3)?.id).toBe("a");
    const lost = floorState([set("b", { endedBy: "form-lost" }), tell("b", { painKind: "sharp" })]);
    expect(lost.sets[0]?.endedBy).toBe("sharp");
    expect(floorState([set("c", { endedBy: "spreading" }), tell("c", { painKind: "sharp" })]).sets[0]?.endedBy).toBe("spreading");
  });
  test("sharp told of an earlier set of today asks as well, once; and not again after it was answered", () => {
    const eased = () => event({ kind: "eased", itemId: "i", levers: [], to: { variationId: "x", setting: {} }, setCount: null });
    const before = [set("a"), eased(), set("b")];
    expect(unansweredSet(floorState(before), 3)).toBeNull();
    const said = [...before, tell("a", { painKind: "sharp" })];
    expect(unansweredSet(floorState(said), 3)?.id).toBe("a");
    expect(unansweredSet(floorState([...said, eased(), tell("a", { painScore: 2 })]), 3)).toBeNull();
    expect(floorState([...said, tell("a", { painKind: "ache" })]).sets[0]?.endedBy).toBe("pain-tap"); // a slip
  });
  test("a muscle at work is no pain of a joint: over the number it asks nothing", () => {
    const asks = (painKind: "muscle-work" | "ache"): string | null =>
      unansweredSet(floorState([set("a", { painScore: 6 }), tell("a", { painKind })]), 3)?.id ?? null;
    expect([asks("muscle-work"), asks("ache")]).toEqual([null, "a"]);
  });
  test("after a cramp or lost form it can be gone on with, but not where it hurt", () => {
    for (const endedBy of HARMLESS_ENDS) {
      const asked = unansweredSet(floorState([set("a", { endedBy })]), 3);
      expect(asked?.id).toBe("a");
      expect(unansweredSet(floorState([set("a", { endedBy }), event({ kind: "went-on", itemId: "i" })]), 3)).toBeNull();
      expect(unansweredSet(floorState([set("a", { endedBy, painScore: 5 }), event({ kind: "went-on", itemId: "i" })]), 3)?.id).toBe("a");
    }
    for (const endedBy of ["sharp", "joint"] as const)
      expect(unansweredSet(floorState([set("a", { endedBy }), event({ kind: "went-on", itemId: "i" })]), 3)?.id).toBe("a");
  });
  test("a change by hand or a build answers no set that hurt; an ease or a swap does", () => {
    const moved = (by: "ease" | "build" | "set-up" | "swap"): FloorEvent =>
      event({ kind: "eased", itemId: "i", levers: [], to: { variationId: "x", setting: {} }, setCount: null, by });
    const open = (by: "ease" | "build" | "set-up" | "swap") =>
      unansweredSet(floorState([set("a", { endedBy: "sharp" }), moved(by)]), 3) !== null;
    expect((["ease", "build", "set-up", "swap"] as const).map(open)).toEqual([false, true, true, false]);
  });
});

test("an added exercise counts once; an order by hand holds, and what came later keeps its place", () => {
  const add = event({
    kind: "item-added",
    itemId: "new",
    place: { variationId: "x", setting: {} },
    side: "left",
    dose: variationById("goblet-squat").dose,
  });
  expect(floorState([add, { ...add, id: "again" }]).added.map(({ itemId, reason }) => [itemId, reason])).toEqual([["new", ""]]);
  const items = ["a", "b", "c", "d"].map((itemId) => ({ itemId }));
  const ids = (ordered: string[] | null): string =>
    orderedBy(items, ordered)
      .map(({ itemId }) => itemId)
      .join("");
  expect([ids(null), ids(["c", "a", "b", "d"]), ids(["c", "b"]), ids(["d", "c", "b"])]).toEqual(["abcd", "cabd", "acdb", "adcb"]);
});

describe("what follows for the next set", () => {
  const row = variationById("raised-sit-to-stand");
  test("less range at the bottom, hands in the middle; where there is no such lever, none is named", () => {
    const lever = (hurtsAt: "bottom" | "middle" | "top", of = row) =>
      hintsOf({ ...UNTOLD, hurtsAt }, of, null).map((hint) => (hint.code === "ease-by" ? hint.lever : null))[0];
    expect(lever("bottom")).toBe("seatHeightM");
    expect(lever("middle", variationById("box-squat-pole"))).toBe("handForceN");
    expect(lever("top", variationById("goblet-squat"))).toBe("loadKg");
    expect(lever("bottom", { ...row, levers: [] })).toBeNull();
    const only = (...levers: string[]) => ({ ...row, levers: row.levers.filter(({ lever: each }) => levers.includes(each)) });
    expect(lever("middle", only("seatHeightM"))).toBe("seatHeightM"); // no hands: the next thing that helps
  });
  test("felt in what it trains well is right; elsewhere gets the school's cue; a ridge is said first", () => {
    expect(hintsOf({ ...UNTOLD, feltIn: "quads" }, row, "cue")).toEqual([{ code: "felt-right" }]);
    expect(hintsOf({ ...UNTOLD, feltIn: "calf" }, row, "cue")).toEqual([{ code: "felt-elsewhere", cue: "cue" }]);
    expect(hintsOf({ ...UNTOLD, feltIn: "elsewhere" }, row, "cue")).toEqual([{ code: "felt-elsewhere", cue: "cue" }]);
    expect(hintsOf({ ...UNTOLD, belly: "ridge", hurtsAt: "top" }, row, null)[0]).toEqual({ code: "belly-ridge" });
    expect(hintsOf(UNTOLD, row, "cue")).toEqual([]);
  });
});

describe("what is told to a clinician", () => {
  const planned = { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.7 } };
  const flags = (...events: FloorEvent[]) => redFlags(floorState(events), () => planned);
  test("is the set with its set-up as it stood, what came, and what was done", () => {
    const told = flags(
      set("a"),
      set("b", { endedBy: "sharp", painScore: 6 }),
      tell("b", { hurtsAt: "bottom" }),
      event({ kind: "item-stopped", itemId: "i" }),
    );
    expect(told).toMatchObject([
      {
        place: { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.6 } },
        setNumber: 2,
        endedBy: "sharp",
        painScore: 6,
        told: { hurtsAt: "bottom" },
        done: "exercise-stopped",
      },
    ]);
  });
  test("names a sign with the set it ended, and one that came with no set by itself", () => {
    const sign = event({ kind: "warning-sign", sign: "spreading-pain" });
    expect(flags(set("a", { endedBy: "spreading" }), sign)).toMatchObject([
      { setNumber: 1, signs: ["spreading-pain"], done: "still-open" },
    ]);
    const faint = event({ kind: "warning-sign", sign: "faint" });
    expect(flags(set("a"), faint, event({ kind: "session-ended" }))).toMatchObject([
      { itemId: null, signs: ["faint"], done: "session-ended" },
    ]);
    expect(flags(set("a"))).toEqual([]);
  });
  test("counts the sets of its own exercise up to it, and says what was done after it alone", () => {
    const easing = (itemId: string, by?: "set-up") =>
      event({ kind: "eased", itemId, levers: [], to: planned, setCount: null, ...(by ? { by } : {}) });
    const red = { endedBy: "sharp" } as const;
    const told = flags(set("x", { itemId: "other" }), set("a"), set("b", red), set("c"), event({ kind: "session-ended" }));
    expect(told).toMatchObject([{ itemId: "i", setNumber: 2, signs: [], done: "session-ended" }]);
    expect(flags(easing("i"), set("b", red))).toMatchObject([{ done: "still-open" }]); // eased before it
    expect(flags(set("b", red), easing("other"))).toMatchObject([{ done: "still-open" }]);
    expect(flags(set("b", red), easing("i", "set-up"))).toMatchObject([{ done: "still-open" }]);
    expect(flags(set("b", red), easing("i"))).toMatchObject([{ done: "eased" }]);
  });
  test("a move of another exercise moved nothing here", () => {
    const other = event({ kind: "eased", itemId: "other", levers: [], to: { variationId: "other", setting: {} }, setCount: null });
    expect(flags(other, set("a", { endedBy: "sharp" }))).toMatchObject([{ place: { variationId: planned.variationId } }]);
  });
  test("a sign stands with the last set that was no sharp one, and with that alone", () => {
    const sign = event({ kind: "warning-sign", sign: "spreading-pain" });
    const told = flags(set("a", { endedBy: "spreading" }), set("b", { endedBy: "belly" }), set("c", { endedBy: "sharp" }), sign);
    expect(told.map(({ signs }) => signs.length > 0)).toEqual([false, true, false]);
  });
  test("a sign with no set says whether the session goes on", () => {
    const faint = event({ kind: "warning-sign", sign: "faint" });
    expect(flags(set("a"), faint)).toMatchObject([{ signs: ["faint"], done: "still-open" }]);
  });
  test("takes the row it had been eased to by then, not the one after", () => {
    const eased = (variationId: string): FloorEvent =>
      event({ kind: "eased", itemId: "i", levers: [], to: { variationId, setting: {} }, setCount: null });
    const told = flags(eased("before"), set("a", { endedBy: "sharp" }), eased("after"));
    expect(told).toMatchObject([{ place: { variationId: "before" }, done: "eased" }]);
  });
});
