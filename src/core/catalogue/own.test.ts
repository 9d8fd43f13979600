import { describe, expect, test } from "vitest";
import { contextWith, limit } from "../judge/fit.fixture";
import { judge } from "../judge/judge";
import { fitCatalogue } from "../progressions/list";
import { startSetting } from "../templates/form";
import { isInCatalogue, takeIn, variationById, variationsOf } from "./catalogue";
import { asVariation, fileOf, isOwn, OWN_ID, ownFrom, type OwnProblem, ownProblems, type OwnRow } from "./own";

const ID = "own-00000000-0000-4000-8000-000000000001";
const base = variationById("raised-sit-to-stand");
const own: OwnRow = { ...ownFrom(base, ID), name: "Deck-chair rise" };
const codes = (row: OwnRow, others: readonly OwnRow[] = []): OwnProblem["code"][] => [
  ...new Set(ownProblems(row, others).map(({ code }) => code)),
];

describe("a row of one's own", () => {
  test("made from one of the catalogue is whole as it is, stands above it and shares its form", () => {
    expect(ownProblems(own)).toEqual([]);
    const row = asVariation(own);
    expect(row).toMatchObject({ id: ID, basedOn: "S02", easier: [base.id], pattern: "squat", template: "two-feet" });
    expect(row.ladderPlace).toBe(base.ladderPlace + 1);
    expect([isOwn(own), isOwn(base), OWN_ID.test("own-x")]).toEqual([true, false, false]);
  });
  test("is refused for what the catalogue's own rows are checked for", () => {
    expect(codes({ ...own, parameters: { depth: "moon" } })).toEqual(["form"]);
    expect(codes({ ...own, levers: [] })).toEqual(["lever-missing", "start-impossible"]);
    expect(codes({ ...own, levers: [{ lever: "seatHeightM", min: 0.2, max: 3, start: 2.5 }] })).not.toContain("form");
    expect(codes({ ...own, levers: [{ lever: "loadKg", min: 0, max: 3, start: 0 }] })).toContain("lever-missing");
    expect(codes({ ...own, basedOn: "Z99" })).toEqual(["no-such-row"]);
    expect(codes({ ...own, easierCodes: ["S08"], harderCodes: ["S01"] })).toEqual(["leads-back"]);
    expect(codes({ ...own, trains: {}, cues: ["one"], setUp: "short" })).toEqual(["trains-nothing", "too-few-cues", "set-up-short"]);
    expect(codes({ ...own, id: ID.replace("1", "2") }, [own])).toEqual(["name-taken"]);
    expect(codes(own, [own])).toEqual([]);
    const hinge = ownFrom(variationById("floor-deadlift"), ID);
    const far = hinge.levers.map((range) => (range.lever === "handleHeightM" ? { ...range, min: 0.85, start: 0.9, max: 0.9 } : range));
    expect(codes({ ...hinge, levers: far })).toContain("start-impossible");
  });
  test("opens by its id once it is taken in, is fitted beside the others, and is gone from lists when retired", () => {
    expect(isInCatalogue(ID)).toBe(false);
    takeIn([asVariation(own)]);
    expect(isInCatalogue(ID)).toBe(true);
    const context = contextWith({ own: [asVariation(own)] });
    const found = fitCatalogue(context, variationsOf("squat", context.own));
    const [mine, theirs] = [ID, base.id].map((id) => found.find(({ variationId }) => variationId === id));
    expect(mine?.setting).toEqual(theirs?.setting);
    expect(mine?.state).toBe(theirs?.state);
    expect(variationsOf("squat").some(({ id }) => id === ID)).toBe(false); // no other studio's list names it
    takeIn([asVariation({ ...own, isRetired: true })]);
    expect(variationById(ID)).toMatchObject({ name: "Deck-chair rise", isRetired: true });
    expect(isInCatalogue(ID)).toBe(false);
  });
  test("is closed by the rules of the row it was made from", () => {
    const row = asVariation(own);
    const context = contextWith({ limits: [limit({ kind: "rows", codes: ["S02"], instead: ["S01"] }, { id: "r" })] });
    expect(judge(context, row, startSetting(context.subject, row)).reasons[0]).toMatchObject({ code: "not-for", limitId: "r" });
  });
  test("goes from studio to studio as a file", () => {
    expect(JSON.parse(JSON.stringify(fileOf([own])))).toEqual({ format: "ponderis-rows", version: 1, rows: [own] });
  });
});
