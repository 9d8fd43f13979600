import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import { nFromKgf } from "../units";
import { leversOf, rangeOf } from "../templates/form";
import { CUSHION_M, type Setting } from "../templates/lever";
import type { Place } from "../judge/context";
import { kitWithCushion } from "../kit/kit";
import { DEFAULT_SCHOOL } from "../approach/approach";
import { calmCeilings, contextWith, kneeLimit, SUBJECT } from "../judge/fit.fixture";
import { judge } from "../judge/judge";
import { snapSetting, valuesOn } from "../kit/on-hand";
import { buildOnce, closesBy, easeByLever, easeOnce, easeTwice, easeUntilAllowed, isEaseTo, nextBuild } from "./step";
import { footAt } from "./tread";

const context = contextWith();
const START: Place = { variationId: "box-squat-pole", setting: { seatHeightM: 0.62, handForceN: nFromKgf(8) } };
const DOSE = variationById("box-squat-pole").dose;
const { smallRiserFraction: SMALL, largestRiserFraction: LARGEST } = DEFAULT_SCHOOL;
const useAt = (setting: Setting): number => judge(context, variationById("box-squat-pole"), setting).tightest?.head ?? NaN;

describe("build", () => {
  test("frees the hands before it lowers the seat, when the school says support first", () => {
    const step = nextBuild(context, START);
    expect(step?.change?.levers.map(({ lever }) => lever)).toEqual(["handForceN"]);
    const other = contextWith({ school: { ...DEFAULT_SCHOOL, buildOrder: ["range", "support", "load"] } });
    expect(nextBuild(other, START)?.change?.levers.map(({ lever }) => lever)).toEqual(["seatHeightM"]);
  });
  test("takes the smallest change that is worth a step, or says small", () => {
    const step = nextBuild(context, { ...START, setting: { seatHeightM: 0.62, handForceN: 0 } });
    if (!step?.change?.levers[0]) throw new Error("no step");
    const { to } = step.change.levers[0];
    expect(step.size).toBe("even");
    expect(step.riserFraction).toBeGreaterThanOrEqual(SMALL - 1e-9);
    expect(step.riserFraction).toBeLessThanOrEqual(LARGEST + 1e-9);
    expect(useAt({ seatHeightM: to + 0.01, handForceN: 0 }) / useAt({ seatHeightM: 0.62, handForceN: 0 }) - 1).toBeLessThan(SMALL);
  });
  test("gives height back with a support whose least removal is too big a jump", () => {
    const kit = { ...context.kit, increments: { ...context.kit.increments, handForceN: nFromKgf(20) } };
    const step = nextBuild(contextWith({ kit }), { ...START, setting: { seatHeightM: 0.62, handForceN: nFromKgf(20) } });
    expect(step?.change?.levers.map(({ lever }) => lever)).toEqual(["handForceN", "seatHeightM"]);
    expect(step?.riserFraction).toBeLessThanOrEqual(LARGEST + 1e-9);
  });
  test("says too big where the equipment allows nothing finer", () => {
    const kit = { ...context.kit, increments: { ...context.kit.increments, seatHeightM: 0.06 } };
    const step = nextBuild(contextWith({ kit }), { ...START, setting: { seatHeightM: 0.6, handForceN: 0 } });
    expect(step).toMatchObject({ size: "too-big" });
  });
  describe("where the kit's smallest step is too big for every set", () => {
    const coarse = contextWith({ kit: { ...context.kit, increments: { ...context.kit.increments, seatHeightM: 0.03 } } });
    const low: Place = { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.66, shareFraction: 0.5 } };
    const dose = { ...variationById(low.variationId).dose, setCount: 3 };
    const NEW = { ...low.setting, seatHeightM: 0.63 };
    test("one set takes it first, then one more at a time, until all are there and the rung has moved", () => {
      expect(nextBuild(coarse, low)?.size).toBe("too-big");
      const first = buildOnce(coarse, low, dose);
      expect(first?.tread).toMatchObject({ setting: low.setting, size: "even", change: { mixed: { setCount: 1, of: 3 } } });
      expect(first?.tread.change?.levers).toEqual([{ lever: "seatHeightM", from: 0.66, to: 0.63 }]);
      expect(first?.dose).toEqual({ ...dose, mixed: { setting: NEW, setCount: 1 } });
      expect(first?.tread.judgement).toMatchObject({ state: "open", tightest: { head: expect.closeTo(judgedHead(NEW), 9) as number } });
      const second = first && buildOnce(coarse, low, first.dose);
      expect(second?.dose.mixed).toEqual({ setting: NEW, setCount: 2 });
      const third = second && buildOnce(coarse, low, second.dose);
      expect(third).toMatchObject({ dose, tread: { setting: NEW } });
      expect(third?.dose.mixed).toBeUndefined();
      expect(third?.tread.change?.mixed).toBeUndefined();
    });
    test("its riser is the mean over the sets", () => {
      const whole = nextBuild(coarse, low)?.riserFraction ?? NaN;
      expect(buildOnce(coarse, low, dose)?.tread.riserFraction).toBeCloseTo(whole / 3, 9);
    });
    test("easing gives the harder sets up before anything else", () => {
      const mixed = { ...dose, mixed: { setting: NEW, setCount: 2 } };
      const eased = easeOnce(coarse, low, mixed);
      expect(eased).toMatchObject({
        dose,
        tread: { setting: low.setting, change: { mixed: { setCount: 0, of: 3 }, levers: [{ from: 0.63, to: 0.66 }] } },
      });
      expect(eased?.dose.mixed).toBeUndefined();
      expect(easeTwice(coarse, low, mixed)?.tread.setting.seatHeightM).toBeGreaterThan(0.66);
    });
    test("a limit that forbids the harder sets alone gives those up, and one that forbids the rung too goes on easing", () => {
      const bendOf = (setting: Setting): number =>
        judge(coarse, variationById(low.variationId), setting).demands.find(({ channel }) => channel === "kneeFlexion")?.head ?? NaN;
      const mixed = { ...dose, mixed: { setting: NEW, setCount: 1 } };
      const between = { ...coarse, limits: [kneeLimit((bendOf(NEW) + bendOf(low.setting)) / 2)] };
      expect(judge(between, variationById(low.variationId), NEW).blocked).toBe(true);
      expect(easeUntilAllowed(between, low, mixed)).toMatchObject({
        dose,
        tread: { setting: low.setting, change: { mixed: { setCount: 0 } } },
      });
      const under = easeUntilAllowed({ ...coarse, limits: [kneeLimit(bendOf(low.setting) - 4)] }, low, mixed);
      expect(under?.tread.setting.seatHeightM).toBeGreaterThan(0.66);
      expect(under?.dose.mixed).toBeUndefined();
    });
    test("nothing is mixed with one set alone, or into what is not open", () => {
      expect(buildOnce(coarse, low, { ...dose, setCount: 1 })?.dose).toMatchObject({ setCount: 2 });
      const coarser = contextWith({ kit: { ...context.kit, increments: { ...context.kit.increments, seatHeightM: 0.06 } } });
      expect(buildOnce(coarser, low, dose)).toMatchObject({ tread: { size: "too-big", judgement: { state: "open" } }, dose });
      const tight = contextWith({ ...coarse, ceilings: calmCeilings("kneecap", 0.64) });
      expect(buildOnce(tight, low, dose)).toMatchObject({ tread: { size: "too-big", judgement: { state: "closed" } }, dose });
    });
    const judgedHead = (setting: Setting): number => judge(coarse, variationById(low.variationId), setting).tightest?.head ?? NaN;
  });
  test("gives sets that were taken away back first, one at a time", () => {
    const built = buildOnce(context, START, { ...DOSE, setCount: DOSE.setCount - 1 });
    expect(built?.dose.setCount).toBe(DOSE.setCount);
    expect(built?.tread.setting).toEqual(START.setting);
    expect(buildOnce(context, START, DOSE)?.tread.setting).not.toEqual(START.setting);
  });
});

describe("ease", () => {
  test("is a step that a client feels and the room can set up", () => {
    const eased = easeOnce(context, START, DOSE);
    const [change] = eased?.tread.change?.levers ?? [];
    expect(change?.lever).toBe("seatHeightM");
    expect((change?.to ?? NaN) - 0.62).toBeGreaterThanOrEqual(CUSHION_M - 1e-9);
    expect(eased?.tread.riserFraction).toBeLessThanOrEqual(-SMALL + 1e-9);
  });
  test("raises a seat by the studio's own cushion", () => {
    const raisedM = (cushionM: number): number => {
      const [change] = easeOnce({ ...context, kit: kitWithCushion(cushionM) }, START, DOSE)?.tread.change?.levers ?? [];
      return (change?.to ?? NaN) - 0.62;
    };
    for (const cushionM of [0.05, 0.07, 0.09]) expect(raisedM(cushionM)).toBeCloseTo(cushionM, 9);
  });
  test("gives back load first, then range, then hands", () => {
    const goblet: Place = { variationId: "goblet-to-box", setting: { seatHeightM: 0.62, loadKg: 12, shareFraction: 0.5 } };
    expect(easeByLever(context, goblet)?.change?.levers[0]?.lever).toBe("loadKg");
    // over the ceiling whatever it holds: what leads to an open place is another lever
    const low = { ...goblet, setting: { ...goblet.setting, seatHeightM: 0.56 } };
    expect(easeByLever(context, low)).toMatchObject({ change: { levers: [{ lever: "seatHeightM" }] }, judgement: { state: "open" } });
    const seat = rangeOf(SUBJECT, variationById(START.variationId), "seatHeightM");
    if (!seat) throw new Error("no seat");
    const high: Place = {
      ...START,
      setting: { ...START.setting, seatHeightM: Math.max(...valuesOn(context, variationById(START.variationId), seat)) },
    };
    // the hands lower what is asked most likely, and raise the most it may be: that is no ease
    expect(easeByLever(context, high)).toBeNull();
  });
  test("is an easier row where no lever is left: a joint feels that, and not a set fewer", () => {
    const chair = variationById("plain-chair-sit-to-stand");
    const place: Place = { variationId: chair.id, setting: snapSetting(context, chair, { seatHeightM: 9 }) };
    expect(easeByLever(context, place)).toBeNull();
    const eased = easeOnce(context, place, { ...DOSE, setCount: 3 });
    expect(eased).toMatchObject({ dose: { setCount: 3 }, tread: { change: { fromVariationId: chair.id, sets: null } } });
    expect(eased?.tread.riserFraction).toBeLessThan(-SMALL);
  });
  test("takes a set away where nothing easier is left, then rests", () => {
    const easiest = snapSetting(context, variationById("very-high-sit-to-stand"), { seatHeightM: 9 });
    const place: Place = { variationId: "very-high-sit-to-stand", setting: easiest };
    expect(easeByLever(context, place)).toBeNull();
    expect(easeOnce(context, place, { ...DOSE, setCount: 2 })?.tread.change?.sets).toEqual({ from: 2, to: 1 });
    expect(easeOnce(context, place, { ...DOSE, setCount: 1 })).toBeNull();
    expect(easeTwice(context, place, { ...DOSE, setCount: 1 })).toBeNull();
  });
  test("twice asks less than once", () => {
    const [once, twice] = [easeOnce(context, START, DOSE), easeTwice(context, START, DOSE)];
    expect(useAt(twice?.tread.setting ?? {})).toBeLessThan(useAt(once?.tread.setting ?? {}) * (1 - SMALL) + 1e-9);
  });
  test("from a place that a limit forbids leads to one that it allows", () => {
    const limited = contextWith({ limits: [kneeLimit(60)] });
    const eased = easeUntilAllowed(
      limited,
      { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.5, shareFraction: 0.5 } },
      DOSE,
    );
    expect(eased?.tread.judgement.state).toBe("open");
    expect(eased?.tread.judgement.demands.find(({ channel }) => channel === "kneeFlexion")?.high).toBeLessThanOrEqual(60);
  });
  test("from a place where only the kit is missing stays there: the room is at fault, not the load", () => {
    const bare = contextWith({ kit: { ...context.kit, equipment: ["chair", "cushion"] } });
    const eased = easeUntilAllowed(bare, START, DOSE);
    expect(eased?.tread).toMatchObject({ ...START, judgement: { state: "closed" } });
    expect(eased?.tread.judgement.reasons[0].code).toBe("equipment-missing");
  });
  test("from a place that no easing leads out of is nothing: rest, and ask", () => {
    const none = contextWith({ limits: [kneeLimit(5, { side: "both" })] });
    expect(
      easeUntilAllowed(none, { variationId: "very-high-sit-to-stand", setting: { seatHeightM: 0.7 } }, { ...DOSE, setCount: 1 }),
    ).toBeNull();
  });
});

test("build raises and ease lowers what is watched, from any set-up of any row, and both are found", () => {
  const of = { ease: 0, build: 0 };
  const backs = contextWith({
    ceilings: [...calmCeilings("kneecap", 0.58), ...calmCeilings("hip", 0.55), ...calmCeilings("low-back", 0.55)],
  });
  fc.assert(
    fc.property(fc.constantFrom(...CATALOGUE), fc.double({ min: 0.1, max: 0.9, noNaN: true }), (variation, part) => {
      const wanted = Object.fromEntries(leversOf(SUBJECT, variation).map(({ lever, min, max }) => [lever, min + part * (max - min)]));
      const place: Place = { variationId: variation.id, setting: snapSetting(backs, variation, wanted) };
      const before = judge(backs, variation, place.setting);
      if (!before.isPossible) return;
      for (const [move, step] of [
        ["ease", easeByLever(backs, place)],
        ["build", nextBuild(backs, place)],
      ] as const) {
        if (!step?.change || step.riserFraction === null || !step.judgement.isPossible) continue;
        of[move]++;
        const moved = Object.keys(place.setting).filter(
          (lever) => step.setting[lever as keyof Setting] !== place.setting[lever as keyof Setting],
        );
        expect(moved.sort()).toEqual(step.change.levers.map(({ lever }) => lever as string).sort());
        if (move === "build") expect(step.riserFraction).toBeGreaterThan(0);
        else expect(step.riserFraction).toBeLessThanOrEqual(-SMALL + 1e-9);
      }
    }),
    { numRuns: 160, seed: 7 },
  );
  expect(of.ease).toBeGreaterThan(35);
  expect(of.build).toBeGreaterThan(35);
});

test("where the model compares nothing, no easier neighbour asks more of knee, back or balance by its tags", () => {
  const walking = variationById("walking");
  expect(walking.easier).toContain("step-over-step-stairs"); // the handbook's ladder: stairs lead to hills
  const eased = easeOnce(contextWith(), { variationId: walking.id, setting: {} }, { ...walking.dose, setCount: 1 });
  expect(eased?.tread.variationId).not.toBe("step-over-step-stairs");
});

test("what is over a ceiling is no ease because the room lacks its kit as well", () => {
  const bare = contextWith({ kit: { ...contextWith().kit, equipment: [] } });
  const low: Place = { variationId: "goblet-to-box", setting: { seatHeightM: 0.4, loadKg: 12, shareFraction: 0.5 } };
  const tread = footAt(bare, low);
  expect(tread.judgement.reasons.map(({ code }) => code)).toEqual(expect.arrayContaining(["equipment-missing", "over-ceiling"]));
  expect(closesBy(tread.judgement)?.code).toBe("over-ceiling");
  expect(isEaseTo(bare, tread.judgement, tread)).toBe(false);
  const high = footAt(bare, { ...low, setting: { ...low.setting, seatHeightM: 0.7, loadKg: 2 } });
  expect(closesBy(high.judgement)).toBeNull();
});
