import { getDocument } from "pdfjs-dist/legacy/build/pdf.mjs";
import { describe, expect, test } from "vitest";
import { variationById } from "../../core/catalogue/catalogue";
import { contextWith } from "../../core/judge/fit.fixture";
import { fitVariation } from "../../core/progressions/search";
import { sheetFor } from "../../core/session/sheet";
import { plainFigure } from "../figure/plain";
import { daysText, SHEET_CALL, SHEET_RULES, sheetLine } from "../../words/training/sheet";
import { sheetPdf } from "./sheet-pdf";

const context = contextWith();
const IDS = ["raised-sit-to-stand", "low-step-up", "two-leg-hinge", "bench-bridge", "bird-dog", "seated-band-abduction", "goblet-squat"];
const lines = (count: number, units: "metric" | "imperial" = "metric") =>
  sheetFor(
    context,
    IDS.slice(0, count).map((id) => {
      const row = variationById(id);
      const sides =
        id === "low-step-up"
          ? ([
              { side: "right", setCount: 3, repetitions: 10 },
              { side: "left", setCount: 2, repetitions: 10 },
            ] as const)
          : [];
      return { id, variationId: id, setting: fitVariation(context, row).setting, part: "main", dose: row.dose, sides };
    }),
  ).items.map((item) => ({
    ...sheetLine(item, units),
    figure: plainFigure(context.subject, variationById(item.variationId), item.setting),
  }));
/** A change of font inside a word comes out as a gap. */
const unspaced = (text: string): string => text.replace(/\s+/g, "");
const read = async (count: number, isLarge = false): Promise<{ text: string; pages: number }> => {
  const bytes = await sheetPdf({
    title: "At home",
    forWhom: "Ødegård, Łukasz",
    days: daysText({ often: "two-rest-days", weekdays: [1, 4] }),
    note: "",
    lines: lines(count),
    later: ["Not ready yet: wall sit. Try it again from 4 Dec."],
    isLarge,
  });
  const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const pages = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const { items } = await (await pdf.getPage(i + 1)).getTextContent();
      return items.map((item) => ("str" in item ? item.str : "")).join(" ");
    }),
  );
  return { text: unspaced(pages.join("")), pages: pdf.numPages };
};

describe("the sheet for home as a PDF", () => {
  test("is one page for six exercises and two for more, its text real: names, doses side by side, rules and whom to call", async () => {
    const six = await read(6);
    expect(six.pages).toBe(1);
    for (const line of lines(6)) for (const said of [line.name, line.dose, ...line.cues]) expect(six.text).toContain(unspaced(said));
    expect(six.text).toContain(unspaced("right 3 × 10, left 2 × 10; right leg first"));
    for (const said of [...SHEET_RULES, SHEET_CALL, "Ødegård, Łukasz", "on Mon, Thu", "Not ready yet: wall sit"])
      expect(six.text).toContain(unspaced(said));
    expect((await read(7)).pages).toBe(2);
  });
  test("has a large print", async () => expect((await read(6, true)).pages).toBeGreaterThan(1));
});
test("every row of it has a figure, and no words that judge", () => {
  for (const { figure, name } of lines(7)) expect([name, (figure?.strokes.length ?? 0) > 3]).toEqual([name, true]);
});
