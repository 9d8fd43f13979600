import { variationById } from "../../core/catalogue/catalogue";
import type { Day } from "../../core/day";
import { fitContextOf } from "../../core/record/derive";
import type { ClientRecord } from "../../core/record/record";
import { sheetFor } from "../../core/session/sheet";
import type { UnitSystem } from "../../core/units";
import { plainFigure, type PlainFigure } from "../figure/plain";
import { daysText, sheetLine, type SheetLine } from "../text/sheet-text";

/** A kept programme as a sheet for home: set up from what is there, drawn on the client's own body. Null without a programme. */
export interface HomeSheet {
  forWhom: string;
  days: string;
  note: string;
  lines: (SheetLine & { figure: PlainFigure | null })[];
  leftOut: string[];
}
export function homeSheet(record: ClientRecord, today: Day, units: UnitSystem): HomeSheet | null {
  const plan = record.trainingPlan;
  const home = fitContextOf(record, today, undefined, "home");
  if (!plan || !home) return null;
  const { items, leftOut } = sheetFor(home, plan.items);
  return {
    forWhom: record.client.name,
    days: daysText(plan),
    note: plan.note,
    lines: items.map((item) => ({
      ...sheetLine(item, units),
      figure: plainFigure(home.subject, variationById(item.variationId), item.setting),
    })),
    leftOut: leftOut.map(({ variationId }) => variationById(variationId).name),
  };
}
