import { parentPort } from "node:worker_threads";
import { takeIn } from "../../core/catalogue/catalogue";
import { asVariation } from "../../core/catalogue/own";
import { letterPdf } from "../letter/letter-pdf";
import { homeSheet } from "../plan/home-sheet";
import { sheetPdf } from "../plan/sheet-pdf";
import type { Paper } from "./paper";

/** Draws papers on a thread of its own (draw-paper.ts): one takes a third of a second, in which nothing else would be answered. */
function draw(paper: Paper): Promise<Buffer> | null {
  if (paper.kind === "letter") return letterPdf(paper.letter);
  const { record, today, units, isLarge } = paper;
  takeIn(record.ownRows.map(asVariation)); // this thread knows none of the studio's own rows
  const sheet = homeSheet(record, today, units);
  return sheet && sheetPdf({ title: "At home", ...sheet, isLarge });
}

parentPort?.on("message", ({ id, paper }: { id: number; paper: Paper }) => {
  void (async () => {
    try {
      const bytes = await draw(paper);
      parentPort?.postMessage({ id, bytes });
    } catch (error) {
      parentPort?.postMessage({ id, error: error instanceof Error ? (error.stack ?? error.name) : "no error" });
    }
  })();
});
