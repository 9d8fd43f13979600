import { describe, expect, test } from "vitest";
import { rangeLimits } from "../assess/range-limits";
import type { Ceiling } from "../limits/ceiling";
import type { Limit } from "../limits/limit";
import { ceilingTable, confidenceOf } from "./ceiling-table";

const TODAY = "2026-11-27";
const limit = (most: number, more: Partial<Limit> = {}): Limit => ({
  id: `surgeon ${most}`,
  rule: { kind: "most", channel: "kneeFlexion", most },
  side: "right",
  owner: { kind: "clinician", name: "Surgeon" },
  fromDay: "2026-09-01",
  untilDay: null,
  lift: null,
  ...more,
});
const ceiling = (more: Partial<Ceiling> = {}): Ceiling => ({
  id: "c",
  channel: "kneecapStress",
  side: "right",
  value: 6,
  source: { kind: "calm-pose", id: "p" },
  fromDay: "2026-10-01",
  isShareMeasured: true,
  ...more,
});
const table = (limits: readonly Limit[], ceilings: readonly Ceiling[] = [], provisional: readonly string[] = []) =>
  ceilingTable({ limits, ceilings, unusable: [], ownRange: {}, careful: [], today: TODAY }, provisional);

describe("every ceiling", () => {
  test("has all that bounds it, the safer first: a surgeon, a measured range, the usual caution", () => {
    const measured = rangeLimits([{ id: "f", day: "2026-11-20", protocol: "knee-bend", side: "right", value: 88, setUp: {}, note: "" }]);
    const [row, ...others] = table([limit(95), ...measured]);
    expect(others).toEqual([]); // the left knee has nothing of its own
    expect(row).toMatchObject({ channel: "kneeFlexion", side: "right" });
    expect(row?.bounds.map(({ value, source }) => [value, source.kind])).toEqual([
      [88, "measured"],
      [95, "limit"],
      [130, "rail"],
    ]);
  });
  test("of a limit on both sides counts on each, and one that is lifted or still to come on none", () => {
    expect(table([limit(95, { side: "both" })]).map(({ side }) => side)).toEqual(["left", "right"]);
    expect(table([limit(95, { fromDay: "2026-12-01" })])).toEqual([]);
    const lift = { kind: "lifted", by: "Surgeon", role: "surgeon", day: "2026-11-01", reason: "healed" } as const;
    expect(table([limit(95, { lift })])).toEqual([]);
  });
  test("of a clinician past its date stays, as one to ask about", () => {
    expect(table([limit(95, { untilDay: "2026-10-01" })])[0]?.bounds[0].source).toMatchObject({ kind: "limit", state: "ask" });
    expect(table([limit(95, { untilDay: "2026-10-01", owner: { kind: "client", name: "Maren" } })])).toEqual([]);
  });
  test("says how sure it is: measured, provisional, or in part assumed", () => {
    const confidence = (one: Ceiling, provisional: string[] = []) => {
      const [row] = table([], [one], provisional);
      return row && confidenceOf(row.bounds[0]);
    };
    expect(confidence(ceiling())).toBe("measured");
    expect(confidence(ceiling(), ["c"])).toBe("provisional");
    expect(confidence(ceiling({ isShareMeasured: false }))).toBe("provisional");
    expect(confidenceOf(table([limit(95)])[0]?.bounds[0] ?? { value: 0, source: { kind: "rail" } })).toBe("said");
  });
  test("that cannot be compared today is never dropped", () => {
    const { value: _, ...lost } = ceiling({ channel: "hipFlexion" });
    const rows = ceilingTable(
      { limits: [], ceilings: [], unusable: [{ ceiling: lost, reason: "source-missing" }], ownRange: {}, careful: [], today: TODAY },
      [],
    );
    expect(rows).toMatchObject([{ channel: "hipFlexion", side: "right", unusable: [{ reason: "source-missing" }] }]);
  });
  test("of a low back to be careful with is bounded by lifting guidance", () => {
    const own = ceiling({ id: "b", channel: "lowBackCompression", side: "both", value: 4000 });
    const rows = ceilingTable({ limits: [], ceilings: [own], unusable: [], ownRange: {}, careful: ["back"], today: TODAY }, []);
    expect(rows[0]?.bounds.map(({ value }) => value)).toEqual([3400, 4000]);
  });
});
