import { describe, expect, test } from "vitest";
import { CATALOGUE, takeIn, variationByCode, variationById } from "../catalogue/catalogue";
import { asVariation, ownFrom } from "../catalogue/own";
import { calmCeilings, complaint, contextWith, idOf, limit } from "../judge/fit.fixture";
import { fitVariation } from "../progressions/search";
import type { Limit } from "../limits/limit";
import { scan } from "./scan";
import type { SessionItem } from "./session";

const context = contextWith();
const at = (of: typeof context, code: string): SessionItem => {
  const row = variationByCode(code)!;
  return { id: code, variationId: row.id, setting: fitVariation(of, row).setting, part: "main", dose: row.dose, sides: [] };
};
const never = (what: Extract<Limit["rule"], { kind: "never" }>["what"]) =>
  contextWith({ limits: [limit({ kind: "never", what }, { side: "both" })] });
const aboutOf = (of: typeof context, code: string): string[] => scan(of, [at(of, code)]).findings.map(({ about }) => about);

describe("what a session is looked through for", () => {
  test.each([
    ["P05", { belly: 1 }],
    ["B01", { lying: 1 }],
    ["T08", { kneeling: 1 }],
    ["S02", {}],
  ])("%s is counted for what it is", (code, counts) => expect(scan(context, [at(context, code)]).counts).toMatchObject(counts));
  test("each row of the catalogue is counted by its own tags and kit, and twice where it is there twice", () => {
    const seen = new Set<string>();
    for (const row of CATALOGUE) {
      const { counts } = scan(context, [at(context, row.code), { ...at(context, row.code), id: "again" }]);
      const { tags, equipment, traits } = row;
      const isGripped = tags.back >= 1 && equipment.some((kind) => ["barbell", "hex-bar", "dumbbell", "strap"].includes(kind));
      const expected = [
        ...(tags.back >= 2 ? ["spine-load"] : []),
        ...(traits.includes("spine-bends") ? ["spine-bends"] : []),
        ...(tags.position === "face-down" ? ["belly"] : []),
        ...(tags.position === "on-the-back" || traits.includes("lying") ? ["lying"] : []),
        ...(tags.position === "kneeling" || traits.includes("kneeling") ? ["kneeling"] : []),
        ...(tags.balance >= 2 ? ["balance"] : []),
        ...(tags.isImpact || traits.includes("impact") ? ["impact"] : []),
        ...(isGripped ? ["grip"] : []),
      ];
      for (const about of expected) seen.add(about);
      expect([row.code, counts]).toEqual([row.code, Object.fromEntries(expected.map((about) => [about, 2]))]);
    }
    expect([...seen].toSorted()).toEqual(["balance", "belly", "grip", "impact", "kneeling", "lying", "spine-bends", "spine-load"]);
  });
});

describe("what runs against this client", () => {
  const closes = { lying: "B01", kneeling: "T08", "face-down": "P05" } as const;
  test("a position that nobody may take is said, and that the row is closed by it; for anybody else it is only counted", () => {
    for (const [what, code] of Object.entries(closes) as [keyof typeof closes, string][]) {
      const of = never(what);
      expect(aboutOf(of, code)).toEqual([what === "face-down" ? "belly" : what, "closed"]);
      expect(aboutOf(context, code)).not.toContain(what);
    }
  });
  test("impact is said where it is barred, and nowhere else", () => {
    const lands = CATALOGUE.find(({ tags }) => tags.isImpact)!;
    expect(aboutOf(never("impact"), lands.code)).toContain("impact");
    expect(aboutOf(never("lying"), lands.code)).not.toContain("impact");
  });
  test("a load on the spine is said of anybody to be careful with, a bending spine of a back alone", () => {
    const loads = CATALOGUE.find(({ tags }) => tags.back >= 2)!;
    const bends = CATALOGUE.find(({ traits }) => traits.includes("spine-bends"))!;
    const careful = (what: (typeof context.careful)[number]) => contextWith({ careful: [what] });
    expect(aboutOf(context, loads.code)).not.toContain("spine-load");
    expect(aboutOf(careful("back"), loads.code)).toContain("spine-load");
    expect(aboutOf(careful("bone-thinning"), loads.code)).toContain("spine-load");
    expect(aboutOf(careful("back"), bends.code)).toContain("spine-bends");
    expect(aboutOf(careful("bone-thinning"), bends.code)).not.toContain("spine-bends");
  });
  test("a limit that has ended runs against nobody", () => {
    const ended = limit(
      { kind: "never", what: "lying" },
      { side: "both", lift: { kind: "mistake", by: "", role: "", day: "2026-11-01", reason: "" } },
    );
    expect(aboutOf(contextWith({ limits: [ended] }), "B01")).not.toContain("lying");
  });
  test("a place that is closed is said as closed, by its own setting", () => {
    const low = { ...at(context, "S02"), setting: { seatHeightM: 0.3, shareFraction: 0.5 } };
    expect(scan(context, [low]).findings.map(({ itemId, about }) => [itemId, about])).toEqual([["S02", "closed"]]);
    expect(scan(context, [at(context, "S02")]).findings).toEqual([]);
  });
});

describe("a swap", () => {
  const swapOf = (of: typeof context, code: string, about: string): string | null | undefined =>
    scan(of, [at(of, code)]).findings.find((each) => each.about === about)?.swapTo;
  test("is first what the rule that closes a row names instead, where it is open and of the same kind", () => {
    const named = (instead: string[]) => contextWith({ limits: [limit({ kind: "rows", codes: ["S15"], instead }, { side: "both" })] });
    expect(swapOf(named(["S05"]), "S15", "closed")).toBe(idOf("S05"));
    expect(swapOf(named(["H01", "S05"]), "S15", "closed")).toBe(idOf("S05")); // a hinge is no squat
    expect(swapOf(named(["no such row", "S05"]), "S15", "closed")).toBe(idOf("S05"));
    const elsewhere = contextWith({ limits: [limit({ kind: "rows", codes: ["S16"], instead: ["S05"] }, { side: "both" })] });
    expect(swapOf(elsewhere, "S15", "closed")).toBeUndefined();
  });
  test("is else an easier neighbour, else a harder one, never one that has the same conflict or is closed", () => {
    let found = 0;
    for (const [what, about] of [
      ["lying", "lying"],
      ["kneeling", "kneeling"],
      ["face-down", "belly"],
    ] as const) {
      const of = never(what);
      for (const row of CATALOGUE.filter((each) => about in scan(context, [at(context, each.code)]).counts)) {
        const swap = swapOf(of, row.code, about);
        if (!swap) continue;
        found++;
        const to = variationById(swap);
        expect([...row.easier, ...row.harder]).toContain(swap);
        expect(to.pattern).toBe(row.pattern);
        expect(["open", "try"]).toContain(fitVariation(of, to).state);
        expect(aboutOf(of, to.code)).not.toContain(about);
        const before = [...row.easier, ...row.harder].slice(0, [...row.easier, ...row.harder].indexOf(swap)).map(variationById);
        for (const other of before)
          expect(
            other.pattern !== row.pattern || aboutOf(of, other.code).length > 0 || !["open", "try"].includes(fitVariation(of, other).state),
          ).toBe(true);
      }
    }
    expect(found).toBeGreaterThan(4);
  });
  test("of a trainer's own row is what the rule says of the row it was made from", () => {
    const own = asVariation({ ...ownFrom(variationByCode("S15")!, "own-00000000-0000-4000-8000-000000000015"), code: "own" });
    takeIn([own]);
    const of = contextWith({ limits: [limit({ kind: "rows", codes: ["S15"], instead: ["S05"] }, { side: "both" })] });
    const place = { ...at(of, "S15"), id: "own", variationId: own.id };
    expect(scan(of, [place]).findings).toEqual([{ about: "closed", itemId: "own", swapTo: idOf("S05") }]);
  });
  test("is none where nothing else is open", () => {
    const barred = contextWith({
      limits: [limit({ kind: "rows", codes: CATALOGUE.map(({ code }) => code), instead: ["S05"] }, { side: "both" })],
    });
    expect(swapOf(barred, "S15", "closed")).toBeNull();
  });
});

test("the spine's most is the highest of what its rows may come to", () => {
  const of = contextWith({ complaints: [complaint({ site: "low-back", side: "both" })], ceilings: calmCeilings("low-back", 0.55) });
  const most = (codes: string[]) =>
    scan(
      of,
      codes.map((code) => at(of, code)),
    ).mostSpineN;
  const [squat, bridge] = [most(["S02"]), most(["B01"])];
  expect(Math.min(squat, bridge)).toBeGreaterThan(0);
  expect(most(["S02", "B01"])).toBe(Math.max(squat, bridge));
  expect([scan(of, []).mostSpineN, most(["M01"])]).toEqual([0, 0]);
});
