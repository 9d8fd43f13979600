import { expect, test } from "vitest";
import { variationByCode } from "../catalogue/catalogue";
import { contextWith, limit } from "../judge/fit.fixture";
import { blockEnd, turnOver } from "./block";
import type { SessionItem } from "./session";

const item = (code: string): SessionItem => {
  const row = variationByCode(code)!;
  return { id: code, variationId: row.id, setting: {}, part: "main", dose: row.dose, sides: [] };
};
const plan = (codes: string[], blockFrom?: string) => ({
  laid: [
    { id: "b", day: "2026-10-08", often: "three-a-week" as const },
    { id: "a", day: "2026-10-05", often: "three-a-week" as const },
  ],
  items: codes.map(item),
  ...(blockFrom ? { blockFrom } : {}),
});
const context = contextWith();

test("a block ends six weeks after its first day, and says so in its last week alone", () => {
  expect(blockEnd(context, plan([]), "2026-11-08")).toBeNull();
  expect(blockEnd(context, plan([]), "2026-11-09")).toEqual({ endsOn: "2026-11-15", isOver: false, turns: [] });
  expect(blockEnd(context, plan([]), "2026-11-16")?.isOver).toBe(true);
  expect(blockEnd(context, plan([], "2026-11-16"), "2026-11-16")).toBeNull();
  expect(blockEnd(context, { laid: [], items: [] }, "2026-11-16")).toBeNull();
});

test("knee-forward variants take turns where the next is open here, and everything else stays", () => {
  const turns = (of: typeof context) =>
    blockEnd(of, plan(["L12", "S02"]), "2026-11-12")?.turns.map(({ item: { id }, to }) => [id, to?.id ?? null]);
  expect(turns(context)).toEqual([["L12", "heel-raised-knee-forward-step"]]);
  const barred = contextWith({ limits: [limit({ kind: "rows", codes: ["L13"], instead: [] }, { side: "both" })] });
  expect(turns(barred)).toEqual([["L12", null]]);
});

test("a decision knows of the next turn once its six weeks are over, and of nothing else", () => {
  const [flat, other] = [variationByCode("L12")!, variationByCode("S02")!];
  const at = (row: typeof flat, weeks: number, of = context) =>
    turnOver(of, { variationId: row.id, setting: { stepHeightM: 0.08 } }, row.dose, weeks);
  expect([at(flat, 5), at(other, 9)]).toEqual([null, null]);
  expect(at(flat, 6)).toMatchObject({
    weeks: 6,
    step: { dose: flat.dose, tread: { variationId: "heel-raised-knee-forward-step", change: { fromVariationId: flat.id } } },
  });
  const barred = contextWith({ limits: [limit({ kind: "rows", codes: ["L13"], instead: [] }, { side: "both" })] });
  expect(at(flat, 6, barred)).toEqual({ weeks: 6, step: null });
});
