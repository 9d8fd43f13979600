import { describe, expect, test } from "vitest";
import { DRILLS } from "../catalogue/bends.data";
import { CATALOGUE, variationByCode, variationById } from "../catalogue/catalogue";
import { MEASURED_SITES, SPARED_SITES } from "../limits/complaint";
import { type Limit, LIMIT_BOUNDS, LIMIT_CHANNELS } from "../limits/limit";
import { LOADS_SITE } from "../limits/spared.data";
import { CHANNELS } from "../mechanics/channels";
import { startSetting } from "../templates/form";
import { calmCeilings, complaint, contextWith, idOf, limit, SUBJECT } from "./fit.fixture";
import { judge } from "./judge";

const SIDES = ["left", "right", "both"] as const;
const codesOf = (id: string, limits: Limit[]): string[] =>
  judge(contextWith({ limits }), variationById(id), startSetting(SUBJECT, variationById(id)), "closing").reasons.map(({ code }) => code);

/** Machines, bands, hands on the floor: what these carry nobody knows, and a limit on it is never taken for kept. */
const UNREAD_FORCES = 40;

describe("every limit on every row is read or refused", () => {
  test("at the tightest bound nothing passes unseen", () => {
    let [read, refused] = [0, 0];
    for (const { id } of CATALOGUE)
      for (const channel of LIMIT_CHANNELS)
        for (const side of CHANNELS[channel].sided ? SIDES : (["both"] as const)) {
          const { max } = LIMIT_BOUNDS[channel];
          const tight = codesOf(id, [limit({ kind: "most", channel, most: -1000 }, { side })]);
          const loose = codesOf(id, [limit({ kind: "most", channel, most: max * 100 }, { side })]);
          const isRefused = tight.includes("limit-unread");
          expect([id, channel, side, isRefused || tight.includes("over-limit") || tight.includes("pose-impossible")]).toEqual([
            id,
            channel,
            side,
            true,
          ]);
          if (channel !== "spineLoad" && channel !== "handWeight" && !DRILLS[variationById(id).code]?.includes(channel))
            expect([id, channel, loose.includes("limit-unread")]).toEqual([id, channel, ["M15", "M16"].includes(variationById(id).code)]);
          if (isRefused) refused++;
          else read++;
        }
    expect(read).toBeGreaterThan(2500);
    expect(refused).toBeGreaterThan(UNREAD_FORCES);
    expect(refused).toBeLessThan(200);
  });
  test("room for the belly is read on every row but hands-on and the free block of stretches", () => {
    for (const { id, code } of CATALOGUE) {
      const codes = codesOf(id, [limit({ kind: "room", leastDeg: 181 }, { side: "both" })]);
      expect([code, codes.some((each) => each === "room-short" || each === "pose-impossible")]).toEqual([
        code,
        !["M15", "M16"].includes(code),
      ]);
    }
  });
  test("what was dropped in silence is not: part-weight, a hip on a chair or a bike, a knee on all fours, a bent-knee calf's shin", () => {
    const over = (code: string, channel: (typeof LIMIT_CHANNELS)[number], most: number): boolean =>
      codesOf(idOf(code), [limit({ kind: "most", channel, most }, { side: "both" })]).includes("over-limit");
    for (const code of ["L32", "C06", "C02", "A05", "A07", "A16"]) expect([code, over(code, "legWeight", 0.3)]).toEqual([code, true]);
    for (const code of ["K03", "K04", "E01", "E02", "C01", "A13", "A14"])
      expect([code, over(code, "hipFlexion", 75)]).toEqual([code, true]);
    for (const code of ["T08", "A13", "A14", "M01", "M02", "C01"]) expect([code, over(code, "kneeFlexion", 70)]).toEqual([code, true]);
    for (const code of ["P05", "P04", "T08"]) expect([code, over(code, "trunkLean", 30)]).toEqual([code, true]);
    for (const code of ["C04", "C05"]) expect([code, over(code, "shankLean", 20)]).toEqual([code, true]);
    expect(over("C08", "kneeFlexion", 20)).toBe(false);
  });
  test("what is held comes on top of the weight on a foot", () => {
    const carry = variationById(idOf("T04"));
    const at = (loadKg: number) =>
      judge(contextWith({ limits: [limit({ kind: "most", channel: "legWeight", most: 1.3 }, { side: "both" })] }), carry, {
        loadKg,
        setS: 30,
      }).blocked;
    expect([at(0), at(20)]).toEqual([false, true]);
    const unsaid = judge(contextWith({ limits: [limit({ kind: "most", channel: "legWeight", most: 1.3 }, { side: "both" })] }), carry, {
      setS: 30,
    });
    expect(unsaid.reasons[0]?.code).toBe("limit-unread"); // a load nobody said is not none
  });
  test("a limit on the hands of a weight reads its kilograms, and of a machine is not read", () => {
    const on = (code: string, loadKg: number) =>
      judge(
        contextWith({ limits: [limit({ kind: "most", channel: "handWeight", most: 100 }, { side: "both" })] }),
        variationById(idOf(code)),
        {
          loadKg,
          setS: 30,
        },
      ).reasons.map(({ code: reason }) => reason);
    expect(on("P09", 5)).not.toContain("over-limit");
    expect(on("P09", 15)).toContain("over-limit");
    expect(on("P11", 5)).toContain("limit-unread");
  });
});

describe("a range that was measured", () => {
  const measured = (channel: "kneeFlexion" | "hipFlexion", most: number) =>
    limit({ kind: "most", channel, most }, { owner: { kind: "measure", name: "knee-bend" }, id: "measured" });
  test("binds rows outside the model", () => {
    expect(codesOf(idOf("E06"), [measured("kneeFlexion", 100)])).toContain("over-limit");
    expect(codesOf(idOf("E08"), [measured("kneeFlexion", 100)])).not.toContain("over-limit");
  });
  test("leaves the drills that train that very range, by name, and asks where a person said it", () => {
    expect(codesOf(idOf("M11"), [measured("kneeFlexion", 100)])).not.toContain("over-limit");
    expect(codesOf(idOf("M11"), [measured("kneeFlexion", 100)])).not.toContain("limit-unread");
    expect(codesOf(idOf("M11"), [limit({ kind: "most", channel: "kneeFlexion", most: 100 })])).toContain("limit-unread");
    expect(codesOf(idOf("M09"), [measured("hipFlexion", 10)])).toContain("over-limit"); // of the knee, not of the hip
    for (const code of Object.keys(DRILLS)) expect([code, variationByCode(code)?.code]).toEqual([code, code]);
  });
});

describe("what no ceiling speaks for", () => {
  const on = (site: (typeof SPARED_SITES)[number], code: string, calmRows: string[] = []) =>
    judge(
      contextWith({ complaints: [complaint({ site })], calmRows }),
      variationById(idOf(code)),
      startSetting(SUBJECT, variationById(idOf(code))),
    );
  test("closes the rows that load it, until one was calm; a torn shoulder leaves dips, pull-downs and presses out", () => {
    for (const code of ["P13", "P11", "P09", "P12"]) expect([code, on("shoulder", code).state]).toEqual([code, "closed"]);
    expect(on("shoulder", "P12").reasons[0]).toMatchObject({ code: "spared", site: "shoulder" });
    expect(on("shoulder", "P12").blocked).toBe(false);
    expect(on("shoulder", "P12", [idOf("P12")]).state).toBe("open");
    expect(on("shoulder", "S02").state).toBe("open");
  });
  test("names rows that there are, some for each site", () => {
    for (const site of SPARED_SITES) {
      expect(LOADS_SITE[site].length).toBeGreaterThan(8);
      for (const code of LOADS_SITE[site]) expect([site, variationByCode(code)?.code]).toEqual([site, code]);
    }
  });
  test("a place without a name closes nothing and opens nothing: one light set of anything", () => {
    const elsewhere = contextWith({ complaints: [complaint({ site: "other" })] });
    const raised = variationById("raised-sit-to-stand");
    expect(judge(elsewhere, raised, { seatHeightM: 0.6, shareFraction: 0.5 })).toMatchObject({
      state: "try",
      reasons: [{ code: "ladder-and-trial", because: "place-unknown" }, { code: "under-ceilings" }],
    });
    expect(judge({ ...elsewhere, calmRows: [raised.id] }, raised, { seatHeightM: 0.6, shareFraction: 0.5 }).state).toBe("open");
  });
});

describe("a joint that a condition names", () => {
  const knee = { condition: "knee-replacement", site: "knee", side: "right" } as const;
  const at = (more: Parameters<typeof contextWith>[0]) =>
    judge(contextWith({ complaints: [], ...more }), variationById("raised-sit-to-stand"), { seatHeightM: 0.6, shareFraction: 0.5 });
  test("is measured like one that hurts: a back's ceiling says nothing of a replaced knee", () => {
    expect(at({ ceilings: calmCeilings("low-back", 0.5), conditions: [knee] })).toMatchObject({
      state: "not-measured",
      reasons: [{ code: "condition-unmeasured", condition: "knee-replacement" }, {}],
    });
    expect(at({ ceilings: calmCeilings("knee", 0.58), conditions: [knee] }).state).toBe("open");
    expect(at({ ceilings: calmCeilings("knee", 0.58), conditions: [{ ...knee, side: "both" }] }).state).toBe("not-measured");
  });
});

describe("a client whom nothing hurts", () => {
  const raised = variationById("raised-sit-to-stand");
  const at = (more: Parameters<typeof contextWith>[0], setting = { seatHeightM: 0.5, shareFraction: 0.5 }) =>
    judge(contextWith({ complaints: [], ceilings: [], ...more }), raised, setting);
  test("was asked: an empty list alone says that nobody was", () => {
    expect(at({})).toMatchObject({ state: "not-measured", reasons: [{ code: "no-ceiling" }] });
    expect(at({ nothingHurts: true })).toMatchObject({ state: "try", reasons: [{ code: "ladder-and-trial", because: "nothing-hurts" }] });
  });
  test("one calm set stands where a calm pose would, and for no load beyond what was calm", () => {
    expect(at({ nothingHurts: true, calmRows: [raised.id] }).state).toBe("open");
    const goblet = variationById("goblet-to-box");
    const with12 = { seatHeightM: 0.5, shareFraction: 0.5, loadKg: 12 };
    const on = (calmKg: number) =>
      judge(
        contextWith({ complaints: [], ceilings: [], nothingHurts: true, calmRows: [goblet.id], calmLoads: { squat: { loadKg: calmKg } } }),
        goblet,
        with12,
      );
    expect([on(12).state, on(8).state]).toEqual(["open", "try"]);
  });
  test("a condition that names a joint asks for its measure all the same, and so does what hurts", () => {
    expect(at({ nothingHurts: true, conditions: [{ condition: "hip-replacement", site: "hip", side: "left" }] }).state).toBe(
      "not-measured",
    );
    for (const site of MEASURED_SITES) expect([site, at({ complaints: [complaint({ site })] }).state]).toEqual([site, "not-measured"]);
  });
  test("a shoulder alone is nothing that a seat could measure", () =>
    expect(at({ complaints: [complaint({ site: "shoulder" })] }).state).toBe("try"));
});

test("a ceiling that means nothing in a set-up says nothing about it, and never crashes", () => {
  const lean = calmCeilings("back-bend", 0.6).filter(({ channel }) => channel === "trunkLean");
  expect(lean).toHaveLength(1);
  let unsaid = 0;
  for (const row of CATALOGUE) {
    const { state } = judge(contextWith({ complaints: [], ceilings: lean }), row, startSetting(SUBJECT, row));
    if (row.template === "bridge") expect(state).toBe("not-measured");
    if (state === "not-measured") unsaid++;
  }
  expect(unsaid).toBeGreaterThan(15);
});
