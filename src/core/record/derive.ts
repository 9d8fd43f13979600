import { variationById } from "../catalogue/catalogue";
import type { Place } from "../catalogue/equipment";
import type { Pattern } from "../catalogue/variation";
import { asVariation } from "../catalogue/own";
import { kitOf } from "../fit/assemble";
import { DEFAULT_KIT, type FitContext, type Kit, kitWithCushion } from "../fit/context";
import { judge } from "../fit/judge";
import { buildOnce, easeOnce, easeTwice, easeUntilAllowed, fewerSets, isEaseTo, type Stepped } from "../fit/step";
import { byLevers, byVariation, changesBetween, footAt, treadAfter, watchedOf } from "../fit/tread";
import { isBack } from "../limits/complaint";
import type { Day } from "../day";
import type { Careful } from "../limits/rails";
import { once, onceByName, oncePer } from "../once";
import { otherSide, type Side } from "../mechanics/channels";
import { isHarder, parametersOf, templateOf } from "../templates/form";
import { type Away, awaySince } from "../progress/away";
import { decide, type Decision, type DecisionInput } from "../progress/decide";
import { shortfall } from "../progress/outcome";
import { usualPainScore } from "../progress/morning";
import { openWarnings, type Warning } from "../progress/warning";
import { carefulFrom, namedJoints } from "../screen/screen";
import { ceilingsToday } from "./ceilings";
import { calmLoads, calmRows, ceilingProposal, isCeilingProvisional, outcomeOf, ownRange, plannedOf, responseTo } from "./history";
import { isSameLine, type Line, lineKey } from "./line";
import { supportStanding, turnAfter } from "./long-run";
import type { ClientRecord, ItemFact, PrescriptionFact, RungFact, SessionFact } from "./record";
import { painLimitOf, schoolIn } from "./school";
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

/** A prescription in force, and the rung it is for. */
export interface Plan {
  prescription: PrescriptionFact;
  rung: RungFact;
}
const latestByLine = oncePer((record: ClientRecord): ReadonlyMap<string, Plan> => {
  const latest = new Map<string, Plan>();
  for (const prescription of record.prescriptions) {
    const planned = plannedOf(record, { prescriptionId: prescription.id });
    if (planned) latest.set(lineKey(planned.rung), planned);
  }
  return latest;
});
/** The plans in force: the latest of each pattern and side, so that keeping a hinge does not erase the squat. */
export const currentPlans = (record: ClientRecord): Plan[] => [...latestByLine(record).values()].filter(({ rung }) => rung.line === null);
/** The plan in force of one line of work. */
export const planInLine = (record: ClientRecord, line: Line): Plan | null => latestByLine(record).get(lineKey(line)) ?? null;
export const planOf = (record: ClientRecord, pattern: Pattern, side?: Side): Plan | null =>
  currentPlans(record).findLast(({ rung }) => rung.pattern === pattern && (side === undefined || rung.side === side)) ?? null;

/** Usual pain of a complaint before a day, from the mornings before it. */
export function usualScoreOn({ responses, complaints }: ClientRecord, complaintId: string, day: Day): number {
  const before = responses
    .filter((response) => response.day < day)
    .flatMap(({ pains }) => pains.filter((pain) => pain.complaintId === complaintId).map(({ painScore }) => painScore));
  return usualPainScore(before, complaints.find(({ id }) => id === complaintId)?.usualPainScore ?? 0);
}

export const openWarningsOf = ({ warnings, clearances }: Pick<ClientRecord, "warnings" | "clearances">): Warning[] =>
  openWarnings(warnings, clearances);

const isTrained = ({ sets, warnings }: SessionFact, itemId: string): boolean =>
  warnings.length > 0 || sets.some((set) => set.itemId === itemId);
interface DoneItem {
  session: SessionFact;
  item: ItemFact;
}
/**
 * What waits for a decision, one item a line of work and the last that was trained: whatever came before it and nobody decided on
 * is judged with it. Oldest first. A decision covers what was trained before it, so that nothing older is decided after something newer.
 */
export function undecidedItems(record: ClientRecord): DoneItem[] {
  const { sessions, decisions } = record;
  const last = new Map<string, DoneItem>();
  for (const session of sessions.toSorted((a, b) => a.day.localeCompare(b.day)))
    for (const item of session.items) {
      if (!isTrained(session, item.id)) continue;
      const rung = plannedOf(record, item)?.rung;
      const key = rung ? lineKey(rung) : item.id;
      last.delete(key); // it waits where it was trained last
      last.set(key, { session, item });
    }
  return [...last.values()]
    .filter(({ item }) => !decisions.some(({ itemId }) => itemId === item.id))
    .toSorted((a, b) => a.session.day.localeCompare(b.session.day));
}
/** Whether something newer of the same line waits: that is decided, and this with it. */
export const isCoveredByNewer = (record: ClientRecord, item: ItemFact): boolean => {
  const rung = plannedOf(record, item)?.rung;
  return undecidedItems(record).some(({ item: other }) => {
    const own = plannedOf(record, other)?.rung;
    return other.id !== item.id && rung !== undefined && own !== undefined && isSameLine(own, rung);
  });
};
/** How long this client has not trained, as far as it takes something off today. */
export const awayToday = ({ sessions }: Pick<ClientRecord, "sessions">, today: Day): Away | null =>
  awaySince(lastTrainedDay(sessions, today), today);
const lastTrainedDay = (sessions: readonly SessionFact[], today: Day): Day | undefined =>
  sessions
    .filter(({ day, sets }) => day < today && sets.length > 0)
    .map(({ day }) => day)
    .toSorted()
    .at(-1);
/** Whether the gate has given something back for the time away already: the floor does not take it again. */
export const isAwayGiven = (record: ClientRecord, line: Line, today: Day): boolean => {
  const last = lastTrainedDay(record.sessions, today) ?? "";
  return record.decisions.some(({ itemId, rule, day }) => {
    const item = record.sessions.flatMap(({ items }) => items).find(({ id }) => id === itemId);
    const own = item && plannedOf(record, item)?.rung;
    return rule === "time-away" && day > last && own !== undefined && isSameLine(own, line);
  });
};

/** A session whose morning after nobody has told. */
export const missesMorning = (record: ClientRecord, session: SessionFact, today: Day): boolean =>
  session.day < today && session.sets.length > 0 && responseTo(record, session) === null;

/** Outcomes of an item's rung in a row, up to and with the given session, in the order of time. */
function outcomesAtRung(record: ClientRecord, session: SessionFact, { rung }: Plan): ReturnType<typeof outcomeOf>[] {
  const trained = record.sessions
    .flatMap((each) => each.items.map((item) => ({ session: each, item, planned: plannedOf(record, item) })))
    .filter(({ planned }) => planned && isSameLine(planned.rung, rung))
    .filter(({ session: each, item }) => isTrained(each, item.id) || each.id === session.id)
    .toSorted((a, b) => a.session.day.localeCompare(b.session.day));
  const upTo = trained.slice(0, trained.findLastIndex((each) => each.session.id === session.id) + 1);
  const firstOther = upTo.findLastIndex(({ planned }) => planned?.rung.id !== rung.id);
  return upTo.slice(firstOther + 1).map((each) => outcomeOf(record, each.session, each.item));
}

/** Whether one side of a one-sided exercise stands harder than the other: by a lever, or further up the ladder. */
function isAhead(record: ClientRecord, rung: RungFact): boolean {
  const row = variationById(rung.variationId);
  const other = planInLine(record, { ...rung, side: otherSide(rung.side) })?.rung;
  if (!other || templateOf(row).isEven(parametersOf(row))) return false;
  if (other.variationId !== row.id) return variationById(other.variationId).ladderPlace < row.ladderPlace;
  const compared = row.levers.map(({ lever }) => [lever, rung.setting[lever], other.setting[lever]] as const);
  const harder = (a: (typeof compared)[number], isOwn: boolean): boolean => {
    const [lever, own, others] = a;
    return own !== undefined && others !== undefined && (isOwn ? isHarder(lever, own, others) : isHarder(lever, others, own));
  };
  return compared.some((each) => harder(each, true)) && !compared.some((each) => harder(each, false));
}

/** Whether the other side of a one-sided exercise, in the same session, falls short of its own dose. */
function isOtherShort(record: ClientRecord, session: SessionFact, rung: RungFact): boolean {
  const row = variationById(rung.variationId);
  if (templateOf(row).isEven(parametersOf(row))) return false;
  return session.items.some((item) => {
    const planned = plannedOf(record, item);
    if (!planned || planned.rung.side === rung.side || !isSameLine({ ...planned.rung, side: rung.side }, rung)) return false;
    return shortfall(outcomeOf(record, session, item), planned.prescription.dose) !== null;
  });
}

/** How often, one after the other, this line of work was held up to now. */
function holdsRunning(record: ClientRecord, rung: RungFact): number {
  const items = record.sessions.flatMap((each) => each.items);
  const moves = record.decisions.flatMap(({ itemId, move }) => {
    const item = items.find(({ id }) => id === itemId);
    const own = item && plannedOf(record, item)?.rung;
    return own && isSameLine(own, rung) ? [move] : [];
  });
  return moves.length - 1 - moves.findLastIndex((move) => move !== "hold");
}
/** Sets of this exercise on this side that sharp pain ended. */
const sharpMarksIn = (record: ClientRecord, { items, sets }: SessionFact, { variationId, side }: RungFact): number =>
  sets.filter(({ itemId, endedBy }) => {
    const item = items.find(({ id }) => id === itemId);
    const own = item && endedBy === "sharp" ? plannedOf(record, item)?.rung : undefined;
    return own?.variationId === variationId && own.side === side;
  }).length;

/** Everything the gate asks about one item of a session, or null where there is no plan to decide about. */
export function decisionInputOf(record: ClientRecord, session: SessionFact, item: ItemFact, today: Day): DecisionInput | null {
  const planned = plannedOf(record, item);
  const context = planned && fitContextOf(record, today, planned.rung.side);
  if (!planned || !context) return null;
  // what stands now is what is eased or built, whatever was trained then
  const standing = planInLine(record, planned.rung) ?? planned;
  const isPlanChanged = standing.prescription.id !== planned.prescription.id;
  const { rung, prescription } = standing;
  const { dose } = prescription;
  // most decisions ask for one of these, or for none
  const ease = once(() => (isPlanChanged ? easedSince(context, planned, standing, easeOnce) : easeOnce(context, rung, dose)));
  const twice = once(() => (isPlanChanged ? easedSince(context, planned, standing, easeTwice) : easeTwice(context, rung, dose, ease())));
  const until = once(() => easeUntilAllowed(context, rung, dose));
  const build = once(() => (isPlanChanged ? null : buildOnce(context, rung, dose)));
  const provisional = once(() => context.ceilings.some((ceiling) => isCeilingProvisional(record, context.subject, ceiling)));
  const proposal = once(() => ceilingProposal(record, context));
  return {
    today,
    dose: planned.prescription.dose,
    sessions: outcomesAtRung(record, session, planned),
    openWarnings: openWarningsOf(record),
    painLimitScore: painLimitOf(record),
    sessionsToBuild: context.school.sessionsToBuild,
    current: judge(context, variationById(rung.variationId), dose.mixed?.setting ?? rung.setting), // the hardest of its sets
    fewerSets: fewerSets(context, rung, dose),
    get ease() {
      return ease();
    },
    get easeTwice() {
      return twice();
    },
    get easeUntilAllowed() {
      return until();
    },
    get build() {
      return build();
    },
    get provisional() {
      return provisional();
    },
    get proposedCeiling() {
      const found = proposal();
      return found?.move === "raise" ? found.value : null;
    },
    isPlanChanged,
    away: awayToday(record, today),
    isAhead: isAhead(record, rung),
    isOtherShort: context.school.positions["both-sides"] === "tied" && isOtherShort(record, session, rung),
    holdsRunning: holdsRunning(record, rung),
    support: supportStanding(record, rung, context.subject.body.massKg, today),
    turn: turnAfter(record, context, rung, dose, today),
    sharpMarks: record.sessions.reduce((sum, each) => sum + sharpMarksIn(record, each, rung), 0),
  };
}

/**
 * An answer to what was trained at a place that is no longer the plan: where the plan has since become as easy as that, it is
 * what stands; where it has not, it is eased from where it stands now. Never nothing.
 */
function easedSince(context: FitContext, then: Plan, standing: Plan, ease: typeof easeOnce): Stepped | null {
  const target = ease(context, then.rung, then.prescription.dose);
  const { rung, prescription } = standing;
  const now = footAt(context, rung);
  if (target && isEaseTo(context, target.tread.judgement, now) && prescription.dose.setCount <= target.dose.setCount) {
    const isSameRow = rung.variationId === then.rung.variationId;
    const change = isSameRow ? byLevers(...changesBetween(then.rung.setting, rung.setting)) : byVariation(then.rung.variationId);
    const before = footAt(context, then.rung);
    return { tread: treadAfter(context, before, rung, change, watchedOf(before.judgement)), dose: prescription.dose };
  }
  return ease(context, rung, prescription.dose);
}

export function decisionFor(
  record: ClientRecord,
  session: SessionFact,
  item: ItemFact,
  today: Day,
): { input: DecisionInput; decision: Decision } | null {
  const input = decisionInputOf(record, session, item, today);
  return input && { input, decision: decide(input) };
}
