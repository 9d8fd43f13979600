import { describe, expect, test } from "vitest";
import { PROTOCOLS } from "../assess/protocols.data";
import { dayAfter } from "../day";
import type { Limit } from "../limits/limit";
import { byNeed, needGroups, needsOf } from "./needs";
import { line } from "../record/facts/record.fixture";
import type { ClientLine } from "./client-line";

const TODAY = "2026-10-10";
const limit = (more: Partial<Limit>): Limit => ({
  id: "l",
  rule: { kind: "most", channel: "kneeFlexion", most: 90 },
  side: "right",
  owner: { kind: "clinician", name: "Knee surgeon" },
  fromDay: "2026-01-01",
  untilDay: "2026-10-12",
  lift: null,
  ...more,
});
const codes = (more: Partial<ClientLine>): string[] => needsOf(line(more), TODAY).map(({ code }) => code);
const due = (daysAgo: number): Partial<ClientLine> => ({
  lastFindings: PROTOCOLS.slice(0, 1).map(({ id }) => ({ protocol: id, day: dayAfter(TODAY, -daysAgo) })),
});

describe("what asks for an eye before a client comes", () => {
  test("each by its own rule, and nothing by itself", () => {
    expect(codes({})).toEqual([]);
    expect(codes({ openSigns: ["chest-pain"] })).toEqual(["warning"]);
    expect(codes({ lastResponse: { class: "flare", day: "2026-10-08" } })).toEqual(["flare"]);
    expect(codes({ lastResponse: { class: "flare", day: "2026-09-20" } })).toEqual([]);
    expect(codes({ lastResponse: { class: "noticed", day: TODAY } })).toEqual([]);
    expect(codes({ missingMorningOf: "2026-10-09" })).toEqual(["morning-unknown"]);
    expect(codes(due(400))).toEqual(["retest-due"]);
    expect(codes(due(1))).toEqual([]);
    expect(codes({ undecidedCount: 2 })).toEqual(["decision-waits"]);
    expect(codes({ undecidedCount: 1, unlookedCount: 3 })).toEqual(["home-sets", "decision-waits"]);
    expect(codes({ undecidedCount: 2, openSigns: ["chest-pain"] })).toEqual(["warning"]); // nothing is decided under an open sign
  });
  test("a block is over after six weeks, not a day before", () => {
    expect(codes({ blockFrom: dayAfter(TODAY, -41) })).toEqual(["block-over"]);
    expect(codes({ blockFrom: dayAfter(TODAY, -40) })).toEqual([]);
  });
  test("a limit is told a week before it ends; a clinician's is not forgotten after, any other is over", () => {
    const needs = (more: Partial<Limit>) => needsOf(line({ limits: [limit(more)] }), TODAY);
    expect(needs({})).toMatchObject([{ code: "limit-ends", isPast: false }]);
    expect(needs({ untilDay: "2026-10-18" })).toEqual([]);
    expect(needs({ untilDay: "2026-10-01" })).toMatchObject([{ code: "limit-ends", isPast: true }]);
    expect(needs({ untilDay: "2026-10-01", owner: { kind: "client", name: "Maren" } })).toEqual([]);
    expect(needs({ fromDay: "2026-10-11", untilDay: "2026-10-12" })).toEqual([]);
  });
  test("the most pressing first, alike ones by name as they came; nobody put away", () => {
    const lines = [
      line({ id: "nothing" }),
      line({ id: "decide", undecidedCount: 1 }),
      line({ id: "flare", lastResponse: { class: "flare", day: TODAY }, undecidedCount: 3 }),
      line({ id: "sign", openSigns: ["fever"] }),
      line({ id: "gone", openSigns: ["fever"], archivedDay: TODAY }),
      line({ id: "morning", missingMorningOf: TODAY }),
      line({ id: "sign-2", openSigns: ["fever"] }),
    ];
    expect(byNeed(lines, TODAY).map((each) => each.line.id)).toEqual(["sign", "sign-2", "flare", "morning", "decide", "nothing", "gone"]);
  });
});

test("needs by kind are counted whole and named in part, the most pressing kind first", () => {
  const all = byNeed(
    ["a", "b", "c"].map((name) => line({ id: name, name, undecidedCount: 1, ...(name === "c" ? { missingMorningOf: "2026-10-09" } : {}) })),
    TODAY,
  );
  const groups = needGroups(all, 2);
  expect(groups.map(({ code, count, first }) => [code, count, first.map(({ id }) => id)])).toEqual([
    ["morning-unknown", 1, ["c"]],
    ["decision-waits", 3, ["c", "a"]],
  ]);
  expect(groups[1]?.first[0]?.need).toEqual({ code: "decision-waits", itemCount: 1 });
  expect(needGroups([], 2)).toEqual([]);
});
