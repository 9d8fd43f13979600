import { describe, expect, test } from "vitest";
import { answerTo } from "../../cli/answer";
import { variationByCode } from "../../src/core/catalogue/catalogue";
import { SCRIPTED } from "./clients.data";

interface Row {
  code: string;
  state: "open" | "try" | "not-measured" | "closed";
  reasons: { code: string; rule?: string }[];
}
const codes = (list: string): string[] => list.split(" ");

describe.each(SCRIPTED.map((each) => ({ ...each })))("$name", ({ input, closed, offered, by }) => {
  const { exitCode, value } = answerTo("fit", JSON.stringify(input));
  const rows = new Map((value as Row[]).map((row) => [row.code, row]));
  test("is answered", () => expect([exitCode, rows.size]).toEqual([0, 208]));
  test("closes what the trade closes", () => {
    expect(codes(closed).filter((code) => rows.get(code)?.state !== "closed")).toEqual([]);
    if (by) expect(codes(closed).filter((code) => !rows.get(code)?.reasons.some(({ rule }) => rule === by))).toEqual([]);
  });
  test("offers what the trade takes", () =>
    expect(
      codes(offered).flatMap((code) => {
        const row = rows.get(code);
        return row?.state === "open" || row?.state === "try"
          ? []
          : [`${code} ${row?.state} ${row?.reasons[0]?.rule ?? row?.reasons[0]?.code}`];
      }),
    ).toEqual([]));
});

test("the clients name rows of the catalogue, and most conditions are among them", () => {
  const named = new Set(SCRIPTED.flatMap(({ closed, offered }) => [...codes(closed), ...codes(offered)]));
  expect([...named].filter((code) => !variationByCode(code))).toEqual([]);
  expect(named.size).toBeGreaterThan(80);
  expect(SCRIPTED.length).toBeGreaterThanOrEqual(20);
});
