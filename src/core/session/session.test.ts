import { describe, expect, test } from "vitest";
import { CATALOGUE, variationByCode, variationById } from "../catalogue/catalogue";
import type { Variation } from "../catalogue/variation";
import { complaint, contextWith, limit } from "../judge/fit.fixture";
import { judge } from "../judge/judge";
import { schoolOf } from "../approach/approach";
import { SCREEN_RULES } from "../screen/rules.data";
import { buildSession, hardAndHold, partOf } from "./build";
import { scan } from "./scan";
import {
  countsAs,
  demandOnWeakLink,
  dropOrder,
  groupsOf,
  inOrder,
  kitChanges,
  lengthsS,
  missingFrom,
  moved,
  onLightDay,
  paired,
  pairWorthIt,
  type SessionItem,
  sessionS,
  setUpS,
  trimmed,
  waiting,
  without,
  workS,
} from "./session";
import { ASKED } from "./session.fixture";
import { SKELETONS } from "./skeletons.data";

const context = contextWith();
const item = (code: string, part: SessionItem["part"] = "main", more: Partial<SessionItem> = {}): SessionItem => {
  const row = variationByCode(code)!;
  return { id: code, variationId: row.id, setting: {}, part, dose: row.dose, sides: [], ...more };
};

describe("minutes", () => {
  const dose = { setCount: 3, repetitionsLow: 12, repetitionsHigh: 12, tempo: { lowerS: 3, pauseS: 0, riseS: 2 }, restS: 30 };
  test("are sets, sides and rest as a hand reckons them: 3 × 12 at 3-2 on both sides with 30 s is seven minutes", () => {
    const sides = [
      { side: "left", setCount: 3, repetitions: 12 },
      { side: "right", setCount: 3, repetitions: 12 },
    ] as const;
    expect(workS({ dose, sides })).toBe(3 * 2 * 60 + 2 * 30);
    expect(workS({ dose, sides: [] })).toBe(3 * 60 + 2 * 30);
    expect(workS({ dose, sides: [{ ...sides[0], setCount: 4 }, sides[1]] })).toBe(4 * 60 + 3 * 60 + 3 * 30);
  });
  test("add up over the session, and kit that stands there already is not set up again", () => {
    const items = [item("S02"), item("S03"), item("L01")];
    expect(sessionS(items)).toBe(120 + lengthsS(items).reduce((total, each) => total + each, 0));
    expect(lengthsS([item("A06"), item("A05")])[1]).toBe(workS(item("A05")));
    expect(lengthsS([item("A05")])[0]).toBeGreaterThan(workS(item("A05")));
    expect(kitChanges([item("A05"), item("A06"), item("S02")])).toBe(1);
  });
});

describe("a pair", () => {
  const dose = { setCount: 3, repetitionsLow: 10, repetitionsHigh: 10, tempo: { lowerS: 3, pauseS: 0, riseS: 2 }, restS: 60 };
  const two = [item("A05", "main", { dose, pairedWithNext: true }), item("A06", "main", { dose: { ...dose, setCount: 2, restS: 90 } })];
  test("goes in turn and rests after both: work of both, the longer rest as often as the longer one comes round again", () => {
    expect(lengthsS(two).reduce((sum, each) => sum + each, 0) - lengthsS([two[0]!])[0]! + workS(two[0]!)).toBe(3 * 50 + 2 * 50 + 2 * 90);
    expect(groupsOf([...two, item("S02")]).map((group) => group.map(({ id }) => id))).toEqual([["A05", "A06"], ["S02"]]);
  });
  test("ends when one of it goes or is moved, and takes in what is put inside", () => {
    const three = [...two, item("S02")];
    expect(without(three, three[1]!)).toEqual([item("A05", "main", { dose }), three[2]]);
    expect(moved(three, 0, 2).map(({ id, pairedWithNext }) => [id, pairedWithNext])).toEqual([
      ["A06", undefined],
      ["S02", undefined],
      ["A05", undefined],
    ]);
    expect(groupsOf(moved(three, 2, 1))).toHaveLength(1);
    expect(paired(paired(three, 1, true), 0, false).map(({ pairedWithNext }) => pairedWithNext)).toEqual([undefined, true, undefined]);
    const chain = paired(three, 1, true);
    expect(groupsOf(without(chain, chain[1]!))).toHaveLength(1);
  });
  test("of nobody leaves the session as it is, and before the first there is no pair to be put into", () => {
    const three = [...two, item("S02")];
    expect(moved(three, 7, 0)).toEqual(three);
    expect(moved(three, 2, 0).map(({ id }) => id)).toEqual(["S02", "A05", "A06"]);
  });
  test("is the one that saves most, of main and accessory work, with nothing slow to set up, and no less than a minute", () => {
    const rest = (restS: number) => ({ ...dose, restS });
    const [a, b, c] = [
      item("A05", "main", { dose: rest(60) }),
      item("T08", "accessory", { dose: rest(60) }),
      item("A06", "main", { dose: rest(150) }),
    ];
    expect(pairWorthIt([a, b, c], { kind: "knee" })?.at).toBe(0);
    expect(pairWorthIt([a, b], { kind: "knee" })).toEqual({ at: 0, savedS: 120 });
    expect(pairWorthIt([b, b, { ...a, dose: rest(90) }, { ...c, dose: rest(90) }], { kind: "knee" })).toEqual({ at: 2, savedS: 180 });
    expect(pairWorthIt([b, { ...b, id: "2" }, { ...b, id: "3" }], { kind: "knee" })?.at).toBe(0); // as good as the next: the first
    expect(
      pairWorthIt(
        [
          { ...a, dose: rest(30) },
          { ...b, dose: rest(30) },
        ],
        { kind: "knee" },
      ),
    ).toEqual({ at: 0, savedS: 60 });
    expect(
      pairWorthIt(
        [
          { ...a, dose: rest(29) },
          { ...b, dose: rest(29) },
        ],
        { kind: "knee" },
      ),
    ).toBeNull();
    const slow = item(CATALOGUE.find((row) => setUpS(row) > 30 && row.tags.knee < 2)!.code, "main", { dose });
    expect(pairWorthIt([a, slow], { kind: "knee" })).toBeNull();
    expect(pairWorthIt([slow, a], { kind: "knee" })).toBeNull();
  });
  test("is proposed where it saves a minute and the weak link is not asked twice", () => {
    const [squat, side, bridge] = [item("S02", "main", { dose }), item("A05", "main", { dose }), item("B01", "main", { dose })];
    const found = pairWorthIt([squat, side, bridge], { kind: "knee" });
    expect(found?.savedS).toBe(120);
    expect(pairWorthIt([item("S08", "main", { dose }), item("L01", "main", { dose })], { kind: "knee" })).toBeNull();
    expect(pairWorthIt([item("E01", "warm-up", { dose }), side], { kind: "knee" })).toBeNull();
    expect(pairWorthIt(paired([squat, side], 0, true), { kind: "knee" })).toBeNull();
  });
});

describe("setting up", () => {
  test("takes no time without kit, half a minute with it, a minute where any of it is slow", () => {
    expect([setUpS({ equipment: [] }), setUpS({ equipment: ["chair"] }), setUpS({ equipment: ["chair", "cable"] })]).toEqual([0, 30, 60]);
    for (const slow of ["barbell", "leg-press", "thrust-machine", "track-bar", "cable", "strap", "hex-bar"] as const)
      expect([slow, setUpS({ equipment: [slow] })]).toEqual([slow, 60]);
  });
  test("is done once where the next station stands on the same kit, in whatever order it is named", () => {
    const withKit = CATALOGUE.find(({ equipment }) => equipment.length === 2)!;
    const part = CATALOGUE.find(({ equipment }) => equipment.length === 1 && withKit.equipment.includes(equipment[0]!))!;
    const [two, one] = [item(withKit.code), item(part.code)];
    expect([kitChanges([two, one]), kitChanges([one, two]), kitChanges([two, two]), kitChanges([one])]).toEqual([1, 1, 0, 0]);
  });
});

test("a pair of one-sided work comes round as often as its side with more", () => {
  const dose = { setCount: 2, repetitionsLow: 10, repetitionsHigh: 10, tempo: { lowerS: 3, pauseS: 0, riseS: 2 }, restS: 60 };
  const sides = [
    { side: "right", setCount: 4, repetitions: 10 },
    { side: "left", setCount: 2, repetitions: 10 },
  ] as const;
  const [first, second] = lengthsS([item("A05", "main", { dose, sides, pairedWithNext: true }), item("A06", "main", { dose })]);
  expect(first! + second!).toBe(setUpS(variationByCode("A05")!) + 6 * 50 + 2 * 50 + 3 * 60);
});

test("what waits opens once everything before it was calm; the warm-up says nothing", () => {
  const items = [item("E01", "warm-up"), item("K02"), item("K03", "main", { waits: true }), item("S02", "main", { waits: true })];
  const ids = (calm: string[]) =>
    waiting(
      items,
      calm.map((code) => variationByCode(code)!.id),
    ).map(({ id }) => id);
  expect(ids([])).toEqual(["K03", "S02"]);
  expect(ids(["K02"])).toEqual(["S02"]);
  expect(ids(["K02", "K03"])).toEqual([]);
});

test("a light day has a set fewer, at the low end, and never none", () => {
  const dose = { setCount: 3, repetitionsLow: 8, repetitionsHigh: 12, tempo: { lowerS: 3, pauseS: 0, riseS: 2 }, restS: 60 };
  const sides = [{ side: "left", setCount: 1, repetitions: 12 }] as const;
  const light = onLightDay(item("S02", "main", { dose, sides }));
  expect([light.dose.setCount, light.dose.repetitionsHigh, light.sides]).toEqual([2, 8, [{ side: "left", setCount: 1, repetitions: 8 }]]);
});

describe("order", () => {
  test("falls in demand on the weak muscle, so that it is not tired first; other parts keep their place", () => {
    const weak = { kind: "muscle", trained: "hamstrings" } as const;
    const items = [item("S02"), item("A10", "finish"), item("L18"), item("H07"), item("E01", "warm-up")];
    const ordered = inOrder(items, "weak-first", weak);
    expect(ordered[0]?.id).toBe("E01");
    expect(ordered.at(-1)?.id).toBe("A10");
    const main = ordered.filter(({ part }) => part === "main").map(({ variationId }) => demandOnWeakLink(variationById(variationId), weak));
    expect(main).toEqual(main.toSorted((a, b) => b - a));
    expect(new Set(main).size).toBeGreaterThan(1);
  });
  test("goes by the knee or the back where that is the weak link", () => {
    const row = { trains: { quads: 2 }, tags: { ...variationByCode("S02")!.tags, knee: 3, back: 1 } } as const;
    expect(demandOnWeakLink(row, { kind: "knee" })).toBe(3);
    expect(demandOnWeakLink(row, { kind: "back" })).toBe(1);
    expect(demandOnWeakLink(row, { kind: "muscle", trained: "quads" })).toBe(2);
    expect(demandOnWeakLink(row, { kind: "muscle", trained: "calf" })).toBe(0);
  });
  test("leaves what is no main work where it stands", () => {
    const items = [item("K05", "accessory"), item("L18", "accessory"), item("T08", "accessory")];
    for (const order of ["weak-first", "circuit", "ground-up", "four-patterns"] as const) {
      expect(inOrder(items, order, { kind: "knee" }).map(({ id }) => id)).toEqual(["K05", "L18", "T08"]);
      expect(inOrder(items.toReversed(), order, { kind: "knee" }).map(({ id }) => id)).toEqual(["T08", "L18", "K05"]);
    }
  });
  test("of four patterns is thrust, squat, hinge and side hip; what is none of them stands with the last", () => {
    const items = [item("T08"), item("A06"), item("H01"), item("S02"), item("B01")];
    expect(inOrder(items, "four-patterns", { kind: "knee" }).map(({ id }) => id)).toEqual(["B01", "S02", "H01", "T08", "A06"]);
  });
  test("is a fixed circuit or from the ground up where a school has it so", () => {
    const items = [item("S15"), item("C04"), item("H01"), item("L01")];
    expect(inOrder(items, "circuit", { kind: "knee" }).map(({ id }) => id)).toEqual(["L01", "H01", "C04", "S15"]);
    expect(inOrder(items, "ground-up", { kind: "knee" })[0]?.id).toBe("C04");
  });
});

test("a lunge counts as squat and a kickback as thrust; what is missing is named", () => {
  expect([countsAs(variationByCode("L21")!), countsAs(variationByCode("A15")!), countsAs(variationByCode("A06")!)]).toEqual([
    "squat",
    "thrust",
    "side-hip",
  ]);
  expect(missingFrom([item("L21"), item("A15")])).toEqual(["hinge", "side-hip"]);
  const kinds = (of: (row: Variation) => boolean) => new Set(CATALOGUE.filter(of).map(countsAs));
  const isKickback = ({ code }: Variation): boolean => code === "A14" || code === "A15";
  for (const pattern of ["squat", "step"] as const)
    expect([pattern, kinds((row) => row.pattern === pattern && !isKickback(row))]).toEqual([pattern, new Set(["squat"])]);
  expect(kinds(({ pattern, template }) => pattern === "hinge" && template !== "split")).toEqual(new Set(["hinge"]));
  expect(kinds(({ pattern, template }) => pattern === "bridge" && template !== "split")).toEqual(new Set(["thrust"]));
  expect(kinds(({ template }) => template === "split")).toEqual(new Set(["squat"]));
  expect(kinds(isKickback)).toEqual(new Set(["thrust"]));
  expect(kinds((row) => row.pattern === "helper" && row.template !== "split" && !isKickback(row))).toEqual(new Set(["side-hip", null]));
});

test("what goes first is the last of the least needed, never the only one of its kind while others are left", () => {
  const items = [item("E01", "warm-up"), item("S02"), item("S03"), item("H07"), item("T08", "accessory"), item("A10", "finish")];
  const short = trimmed(items, sessionS(items) - 1);
  expect(short.dropped.map(({ id }) => id)).toEqual(["T08"]); // the finish is the only side-hip work
  const tiny = trimmed(items, 60);
  expect(tiny.items).toHaveLength(1);
  expect(sessionS(short.items)).toBeLessThan(sessionS(items));
});

test("of parts the least needed goes first, from the last of it on; what counts for nothing needed is never the only one of its kind", () => {
  const parts = ["warm-up", "main", "activation", "mobility", "accessory", "finish", "conditioning"] as const;
  const items = parts.flatMap((part) => [item("T08", part, { id: `${part} 1` }), item("T08", part, { id: `${part} 2` })]);
  expect(dropOrder(items).map(({ id }) => id)).toEqual(parts.toReversed().flatMap((part) => [`${part} 2`, `${part} 1`]));
  const squats = [item("S02", "main", { id: "one" }), item("T08", "main"), item("S03", "main", { id: "two" })];
  expect(dropOrder(squats).map(({ id }) => id)).toEqual(["two", "T08", "one"]);
  expect(dropOrder(squats.slice(0, 2)).map(({ id }) => id)).toEqual(["T08", "one"]);
  const whole = sessionS(squats);
  expect(trimmed(squats, whole)).toEqual({ items: squats, dropped: [] });
});

test("half a minute hard and half a minute held go in turn, four rounds, of what is open in the room", () => {
  const pair = hardAndHold(context);
  expect(pair?.map(({ variationId }) => variationById(variationId).code[0])).toEqual(["E", "T"]);
  expect(groupsOf(pair ?? [])).toHaveLength(1);
  // 4 × (30 + 30) of work, three rests of 30
  expect(lengthsS(pair!).reduce((sum, each) => sum + each, 0) - lengthsS([pair![0]])[0]! + workS(pair![0])).toBeLessThanOrEqual(
    4 * 60 + 3 * 30 + 60,
  );
  expect(pair!.reduce((sum, each) => sum + workS({ ...each, dose: { ...each.dose, restS: 0 } }), 0)).toBe(240);
  const barred = contextWith({ limits: [limit({ kind: "rows", codes: ["E05", "E01", "E08"], instead: [] }, { side: "both" })] });
  expect(hardAndHold(barred)).toBeNull();
});

describe("a school's order", () => {
  const by = (position: string, minutes = 90) => {
    const school = schoolOf({ preset: "mainstream", positions: { "session-order": position } });
    return buildSession(contextWith({ school }), { ...ASKED, minutes }).items;
  };
  const kinds = (items: readonly SessionItem[]) => items.map(({ variationId }) => countsAs(variationById(variationId)));
  test("of four patterns is thrust, squat, hinge and side hip, after the warm-up, and no more", () => {
    const items = by("four-patterns");
    expect(items[0]?.part).toBe("warm-up");
    expect(kinds(items.slice(1))).toEqual(["thrust", "squat", "hinge", "side-hip"]);
  });
  test("with the trunk every time has it before the main work, and short time does not drop it", () => {
    for (const minutes of [30, 90]) {
      const items = by("core-every-session", minutes);
      const trunk = items.findIndex(({ variationId }) => variationById(variationId).code.startsWith("T"));
      expect(trunk).toBeGreaterThanOrEqual(0);
      expect(trunk).toBe(items.findIndex(({ part }) => part === "main"));
    }
  });
  test("with the knee straightened at both ends begins and ends with it", () => {
    const codes = by("extension-both-ends")
      .filter(({ part }) => part !== "warm-up")
      .map(({ variationId }) => variationById(variationId).code);
    expect(["K05", "K06"]).toContain(codes[0]);
    expect(codes.at(-1)).toBe(codes[0]);
    const items = by("extension-both-ends");
    expect(new Set(items.map(({ id }) => id)).size).toBe(items.length);
  });
});

describe("a session built", () => {
  test("by a gated skeleton waits after its first, by any other not at all", () => {
    const gated = buildSession(context, { ...ASKED, skeletonId: "gentle-knee" }).items;
    expect(gated.length).toBeGreaterThan(2);
    expect(gated.map(({ waits }) => waits === true)).toEqual(gated.map((_, i) => i > 0));
    expect(buildSession(context, { ...ASKED, skeletonId: "buttock" }).items.some(({ waits }) => waits)).toBe(false);
  });
  test("fits its minutes, stands in order, and asks nothing that is closed", () => {
    for (const minutes of [20, 40, 60]) {
      const { items } = buildSession(context, { ...ASKED, minutes });
      expect(items.length).toBeGreaterThan(2);
      expect(sessionS(items)).toBeLessThanOrEqual(minutes * 60);
      for (const each of items)
        expect([each.id, judge(context, variationById(each.variationId), each.setting, "closing").state]).not.toContain("closed");
    }
  });
  test("takes what is planned as it stands, the weak side first by the school's rule", () => {
    const setting = { stepHeightM: 0.12, handForceN: 60, loadKg: 0 };
    const at = (preset: "mainstream" | "one-leg") =>
      buildSession(contextWith({ school: schoolOf({ preset }) }), {
        ...ASKED,
        planned: [{ variationId: "step-up-rail", setting }],
      }).items.find(({ variationId }) => variationId === "step-up-rail");
    expect(at("mainstream")?.setting).toEqual(setting);
    expect(at("mainstream")?.sides.map(({ side }) => side)).toEqual(["right", "left"]);
    const [weak, good] = at("one-leg")?.sides ?? [];
    expect(weak?.repetitions).toBe(2 * (good?.repetitions ?? NaN)); // its school doubles the weak side
  });
  test("warms up shorter on a sore knee, and keeps activation light", () => {
    const sore = buildSession(contextWith({ complaints: [complaint({ site: "knee", side: "right" })] }), ASKED).items;
    const bike = sore.find(({ part }) => part === "warm-up");
    expect(bike?.dose.tempo.riseS).toBe(120);
    for (const { dose } of sore.filter(({ part }) => part === "activation")) expect(dose.setCount).toBe(1);
  });
  test("puts the drill of a limited ankle before everything that works", () => {
    const { items } = buildSession(context, { ...ASKED, stiff: ["ankle"] });
    const drill = items.findIndex(({ variationId }) => ["M13", "M04"].includes(variationById(variationId).code));
    expect(drill).toBeGreaterThanOrEqual(0);
    expect(items.slice(0, drill).every(({ part }) => part === "warm-up")).toBe(true);
  });
  test("fills every named session for this client, its rows all in the catalogue", () => {
    for (const { id, stations } of SKELETONS) {
      for (const codes of stations) for (const code of codes) expect([id, code, variationByCode(code)?.code]).toEqual([id, code, code]);
      const { items, unfilled } = buildSession(context, { ...ASKED, minutes: 120, skeletonId: id });
      expect([id, items.length > 0, items.length + unfilled.length >= stations.length - 3]).toEqual([id, true, true]);
    }
  });
  test("puts each row where it belongs", () => {
    expect(["E01", "M07", "A06", "S02", "T08", "A10"].map((code) => partOf(variationByCode(code)!))).toEqual([
      "warm-up",
      "mobility",
      "activation",
      "main",
      "accessory",
      "finish",
    ]);
  });
});

describe("the whole session looked through", () => {
  test("lists what runs against this client, each with a swap that ends it where there is one", () => {
    const kneels = contextWith({ limits: [limit({ kind: "never", what: "kneeling" }, { id: "k" })] });
    const found = scan(kneels, [item("K10"), item("T08"), item("S02", "main", { setting: { seatHeightM: 0.62 } })]);
    expect(found.counts.kneeling).toBe(2);
    expect(found.findings.filter(({ about }) => about === "kneeling").map(({ itemId }) => itemId)).toEqual(["K10", "T08"]);
    for (const { swapTo, about } of found.findings.filter((each) => each.swapTo !== null))
      expect(scan(kneels, [item(variationById(swapTo!).code)]).findings.map((each) => each.about)).not.toContain(about);
    expect(scan(context, [item("S02", "main", { setting: { seatHeightM: 0.66 } })]).findings).toEqual([]);
  });
  test("says how much the spine is pressed at most", () => {
    const [one, two] = [["S02"], ["S02", "H10"]].map(
      (codes) =>
        scan(
          context,
          codes.map((code) => item(code)),
        ).mostSpineN,
    );
    expect(two).toBeGreaterThan(one!);
  });
});

test("a drop set rests before its straight sets alone, by itself, on both sides and in turn", () => {
  const row = variationByCode("S02")!;
  const dose = { ...row.dose, setCount: 4, repetitionsHigh: 10, tempo: { lowerS: 3, pauseS: 0, riseS: 2 }, restS: 90 };
  const drops = { lever: "loadKg", values: [24, 20] } as const;
  expect(workS({ dose: { ...dose, drops }, sides: [] })).toBe(4 * 50 + 90);
  expect(workS({ dose, sides: [] })).toBe(4 * 50 + 3 * 90);
  const sides = (["left", "right"] as const).map((side) => ({ side, setCount: 4, repetitions: 10 }));
  expect(workS({ dose: { ...dose, drops }, sides })).toBe(8 * 50 + 90);
  const item = (id: string, more = {}) => ({
    id,
    variationId: row.id,
    setting: {},
    part: "main" as const,
    dose: { ...dose, drops },
    sides: [],
    ...more,
  });
  const [first, second] = lengthsS([item("a", { pairedWithNext: true }), item("b")]);
  expect((first ?? 0) + (second ?? 0)).toBe(setUpS(row) + 2 * 4 * 50 + 90); // twice round: once with the drops behind it
});

test("what a rule of a condition names first, the session begins with: straight and bent after a replacement, before strength", () => {
  const rule = SCREEN_RULES.find(({ id }) => id === "replacement-range-first");
  if (rule?.limit?.kind !== "rows") throw new Error("no such rule");
  const replaced = contextWith({ limits: [limit(rule.limit, { id: "rule", owner: { kind: "rule", name: rule.id }, untilDay: null })] });
  const built = (context: ReturnType<typeof contextWith>) => buildSession(context, { ...ASKED, minutes: 45 });
  const codes = built(replaced).items.map(({ variationId }) => variationById(variationId).code);
  expect(codes.slice(0, 2)).toEqual(["M07", "M14"]);
  expect(
    built(contextWith())
      .items.map(({ variationId }) => variationById(variationId).code)
      .slice(0, 2),
  ).not.toEqual(["M07", "M14"]);
});
