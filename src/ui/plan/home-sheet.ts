import { variationById } from "../../core/catalogue/catalogue";
import type { Day } from "../../core/day";
import { fitContextOf } from "../../core/record/derive";
import { programmeNow } from "../../core/record/programme";
import type { ClientRecord } from "../../core/record/record";
import { sheetFor } from "../../core/session/sheet";
import { waiting } from "../../core/session/session";
import type { UnitSystem } from "../../core/units";
import { plainFigure, type PlainFigure } from "../figure/plain";
import { daysText, laterText, sheetLine, type SheetLine } from "../text/sheet-text";

/** A kept programme as a sheet for home: set up from what is there, drawn on the client's own body. Null without a programme. */
export interface HomeSheet {
  forWhom: string;
  days: string;
  note: string;
  lines: (SheetLine & { figure: PlainFigure | null })[];
  /** Light days, what waits, and what is tried again. */
  later: string[];
  leftOut: string[];
}
export function homeSheet(record: ClientRecord, today: Day, units: UnitSystem): HomeSheet | null {
  const plan = programmeNow(record);
  const home = fitContextOf(record, today, undefined, "home");
  if (!plan || !home) return null;
  const waits = waiting(plan.items, home.calmRows);
  const { items, leftOut } = sheetFor(
    home,
    plan.items.filter((item) => !waits.includes(item)),
  );
  return {
    forWhom: record.client.name,
    days: daysText(plan),
    note: plan.note,
    later: laterText(plan, waits),
    lines: items.map((item, i) => ({
      ...sheetLine(item, units, items[i + 1]),
      figure: plainFigure(home.subject, variationById(item.variationId), item.setting),
    })),
    leftOut: leftOut.map(({ variationId }) => variationById(variationId).name),
  };
}
