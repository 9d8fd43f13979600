import { fitContextOf } from "../standing/context";
import { type Plan, planInLine } from "../standing/plans";
import { ceilingProposal, isCeilingProvisional, openWarningsOf, outcomeOf, plannedOf } from "../standing/history";
import { awayToday } from "./away";
import { isTrained } from "./undecided";
import { variationById } from "../../catalogue/catalogue";
import type { FitContext } from "../../judge/context";
import { judge } from "../../judge/judge";
import { buildOnce, easeOnce, easeTwice, easeUntilAllowed, fewerSets, isEaseTo, type Stepped } from "../../progressions/step";
import { byLevers, byVariation, changesBetween, footAt, treadAfter, watchedOf } from "../../progressions/tread";
import type { Day } from "../../day";
import { once } from "../../once";
import { otherSide } from "../../mechanics/channels";
import { isHarder, parametersOf, templateOf } from "../../templates/form";
import { decide, type Decision, type DecisionInput } from "../../progress/decide";
import { shortfall } from "../../progress/outcome";
import { isSameLine } from "../facts/line";
import { supportStanding, turnAfter } from "./long-run";
import type { ClientRecord, ItemFact, RungFact, SessionFact } from "../facts/record";
import { painLimitOf } from "../standing/approach";

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
