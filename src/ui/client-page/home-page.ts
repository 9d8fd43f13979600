import type { Dose, Variation } from "../../core/catalogue/variation";
import { variationById } from "../../core/catalogue/catalogue";
import { isTimed, repetitionS } from "../../core/dose/dose";
import type { Day } from "../../core/day";
import type { Side } from "../../core/mechanics/channels";
import type { HomeTask, TaskTold } from "../../core/record/facts/home-told";
import { homeDay, homeItems, onRestDay, restAtHome } from "../../core/record/programme/home";
import type { ClientRecord } from "../../core/record/facts/record";
import { asksBelly } from "../../core/screen/screen";
import type { UnitSystem } from "../../core/units";
import { boxOf, type PlainBox, type PlainFigure } from "../figure/plain-drawn";
import { plainFrames } from "../figure/plain";
import { jointText } from "../../words/client/client";
import { daysText, sheetLine, type SheetLine } from "../../words/training/sheet";
import { programmeNow } from "../../core/record/programme/programme";

/** So many pictures of one repetition: smooth enough for a phone, and few enough to be sent. */
const FRAMES = 13;

/** One exercise as the client's page has it: everything said and drawn beforehand, so that the phone needs no model. */
export interface HomeExercise extends SheetLine {
  line: string;
  sides: { side: Side | null; setCount: number; repetitions: number }[];
  dosed: Dose;
  startsBy: Variation["startsBy"];
  /** Seconds of one hold, where it goes by time. */
  holdS: number | null;
  figure: { frames: PlainFigure[]; box: PlainBox; isLowAtEnd: boolean } | null;
  /** Several times a day, or once. */
  isOften: boolean;
}
/** A set that the studio has of today. */
export interface DoneAtHome {
  id: string;
  line: string;
  side: Side | null;
  repetitions: number;
}
export interface HomePage {
  firstName: string;
  studioName: string;
  today: Day;
  days: string;
  note: string;
  isClosed: boolean;
  /** Only the small ones today. */
  isRestDay: boolean;
  exercises: HomeExercise[];
  done: DoneAtHome[];
  /** What the studio had from the phone of late when it made this page. */
  toldIds: readonly string[];
  /** Each sore place asked about this morning; null where nothing is asked. */
  asked: { complaintId: string; joint: string }[] | null;
  task: { task: HomeTask; isDue: boolean };
  trend: TaskTold[];
  consentVersion: number;
  /** What the trainer wrote for the client's eyes. */
  notes: string[];
  asksBelly: boolean;
}

export function homePage(
  record: ClientRecord,
  {
    today,
    units,
    studioName,
    toldIds,
    consentVersion,
    notes,
  }: { today: Day; units: UnitSystem; studioName: string; consentVersion: number; notes: string[]; toldIds: string[] },
): HomePage {
  const [plan, home, day] = [programmeNow(record), homeItems(record, today), homeDay(record, today)];
  const isRestDay = restAtHome(record, today) !== null;
  const items = home === null ? [] : isRestDay ? onRestDay(home.items) : home.items;
  const exercises = items.map((sheet, i): HomeExercise => {
    const { item, variationId, setting } = sheet;
    const row = variationById(variationId);
    const { frames, isLowAtEnd } = home ? plainFrames(home.context.subject, row, setting, FRAMES) : { frames: [], isLowAtEnd: true };
    const whole = { setCount: item.dose.setCount, repetitions: item.dose.repetitionsHigh };
    return {
      ...sheetLine(sheet, units, items[i + 1]),
      line: item.id,
      sides:
        item.sides.length > 0
          ? item.sides.map(({ side, setCount, repetitions }) => ({ side, setCount, repetitions }))
          : [{ side: null, ...whole }],
      dosed: item.dose,
      startsBy: row.startsBy,
      holdS: isTimed(item.dose) ? repetitionS(item.dose) : null,
      figure: frames.length > 0 ? { frames, box: boxOf(...frames), isLowAtEnd } : null,
      isOften: row.often === "several-a-day",
    };
  });
  return {
    firstName: record.client.name.split(" ")[0] ?? "",
    studioName,
    today,
    days: plan ? daysText(plan) : "",
    note: plan?.note ?? "",
    isClosed: day.isClosed,
    isRestDay,
    exercises,
    done: record.homeSets.filter((set) => set.day === today).map(({ id, line, side, repetitions }) => ({ id, line, side, repetitions })),
    asked: day.asked ? record.complaints.map((complaint) => ({ complaintId: complaint.id, joint: jointText(complaint) })) : null,
    task: day.task,
    trend: day.trend.slice(-12),
    toldIds,
    consentVersion,
    notes,
    asksBelly: asksBelly(record.screen),
  };
}
