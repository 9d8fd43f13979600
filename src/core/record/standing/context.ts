import { DEFAULT_KIT, type Kit, kitOf, kitWithCushion } from "../../kit/kit";
import type { Place } from "../../kit/equipment";
import { asVariation } from "../../catalogue/own";
import { variationById } from "../../catalogue/catalogue";
import type { Day } from "../../day";
import type { FitContext } from "../../judge/context";
import { isBack } from "../../limits/complaint";
import type { Careful } from "../../limits/rails";
import { otherSide, type Side } from "../../mechanics/channels";
import { onceByName, oncePer } from "../../once";
import { carefulFrom, namedJoints } from "../../screen/screen";
import type { ClientRecord } from "../facts/record";
import { schoolIn } from "./approach";
import { ceilingsToday } from "./ceilings";
import { calmLoads, calmRows, ownRange } from "./history";
import { ledBy, subjectOf } from "./subject";

const carefulOf = ({ complaints, screen }: ClientRecord): Careful[] => [
  ...new Set([...(complaints.some(({ site }) => isBack(site)) ? (["back"] as const) : []), ...carefulFrom(screen)]),
];

/** Somebody was asked, and nothing hurts; an empty list of complaints alone says nothing. */
const saysNothingHurts = ({ complaints, screen }: Pick<ClientRecord, "complaints" | "screen">): boolean =>
  complaints.length === 0 && screen.nothingHurts === true;

/** The last share that was weighed for each leg with a calm pose on two feet; the other leg bears the rest. */
function ownShare({ calmPoses }: Pick<ClientRecord, "calmPoses">): NonNullable<FitContext["ownShare"]> {
  const share: Partial<Record<Side, number>> = {};
  for (const { side, shareFraction, variationId } of calmPoses.toSorted((a, b) => a.day.localeCompare(b.day))) {
    if (shareFraction === null || variationById(variationId).template !== "two-feet") continue;
    share[side] = shareFraction;
    share[otherSide(side)] = 1 - shareFraction;
  }
  return share;
}

/** What can be set up at a place, with the studio's own cushion. */
function kitAt({ cushionM, studioKit, homeKit }: ClientRecord, place: Place): Kit {
  const listed = { studio: studioKit, home: homeKit, travel: null };
  return kitOf(cushionM === null ? DEFAULT_KIT : kitWithCushion(cushionM), place, listed[place]);
}

/** Everything that decides what fits today, for the leg that leads; null until a body is measured. */
export const fitContextOf = (record: ClientRecord, today: Day, leadSide?: Side, place: Place = "studio"): FitContext | null =>
  contextsOf(record)(`${today} ${leadSide} ${place}`, () => contextOf(record, today, leadSide, place));
/** A record never changes: what fits is asked of it for many exercises, and made once for each day, leg and place. */
const contextsOf = oncePer((_: ClientRecord) => onceByName<FitContext | null>());
function contextOf(record: ClientRecord, today: Day, leadSide: Side | undefined, place: Place): FitContext | null {
  const own = subjectOf(record);
  if (!own) return null;
  const subject = leadSide ? ledBy(own, leadSide) : own;
  const school = schoolIn(record);
  const { usable, unusable } = ceilingsToday(record, today);
  return {
    subject,
    complaints: record.complaints,
    conditions: namedJoints(record.screen),
    nothingHurts: saysNothingHurts(record),
    careful: carefulOf(record),
    limits: record.limits,
    ceilings: usable,
    unusable,
    calmLoads: calmLoads(record),
    calmRows: calmRows(record),
    ownRange: ownRange(record),
    today,
    kit: kitAt(record, place),
    own: record.ownRows.map(asVariation),
    ownDay: [...new Set(record.dailyTasks.map(({ kind }) => kind))],
    school,
    targetUseFraction: school.targetUseFraction,
    ownShare: ownShare(record),
  };
}
