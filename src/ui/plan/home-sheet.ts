import { variationById } from "../../core/catalogue/catalogue";
import type { Day } from "../../core/day";
import { homeItems } from "../../core/record/programme/home";
import { programmeNow } from "../../core/record/programme/programme";
import type { ClientRecord } from "../../core/record/facts/record";
import type { UnitSystem } from "../../core/units";
import { plainFigure } from "../figure/plain";
import type { PlainFigure } from "../figure/plain-drawn";
import { daysText, laterText, sheetLine, type SheetLine } from "../../words/training/sheet";

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
  const [plan, home] = [programmeNow(record), homeItems(record, today)];
  if (!plan || !home) return null;
  const { context, items, leftOut, waits } = home;
  return {
    forWhom: record.client.name,
    days: daysText(plan),
    note: plan.note,
    later: laterText(plan, waits),
    lines: items.map((item, i) => ({
      ...sheetLine(item, units, items[i + 1]),
      figure: plainFigure(context.subject, variationById(item.variationId), item.setting),
    })),
    leftOut: leftOut.map(({ variationId }) => variationById(variationId).name),
  };
}
