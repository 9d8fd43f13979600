import { variationById } from "../../src/core/catalogue/catalogue";
import { daysBetween } from "../../src/core/day";
import { judge } from "../../src/core/judge/judge";
import type { Ceiling } from "../../src/core/limits/ceiling";
import { RAIL_CHANNELS, railOf } from "../../src/core/limits/rails";
import { oncePer } from "../../src/core/once";
import { learntOfAll, openWarningsOf, plannedOf, responseTo, toldDoses } from "../../src/core/record/standing/history";
import { fitContextOf } from "../../src/core/record/standing/context";
import { isSameLine } from "../../src/core/record/facts/line";
import { painLimitOf } from "../../src/core/record/standing/approach";
import type { Taken } from "./history";

/** What must never be, written from the rules and not from the gate: each says whether a decision breaks it. */
type Invariant = (taken: Taken) => boolean;

/** Sessions that trained this line, up to the one decided on, the newest last. */
function ofLine({ record, session, item }: Taken) {
  const rung = plannedOf(record, item)?.rung;
  return record.sessions
    .filter(({ day }) => day <= session.day)
    .flatMap((each) =>
      each.items.flatMap((other) => {
        const own = plannedOf(record, other)?.rung;
        const sets = each.sets.filter(({ itemId }) => itemId === other.id);
        return rung && own && isSameLine(own, rung) && sets.length > 0 ? [{ session: each, item: other, rung: own, sets }] : [];
      }),
    );
}
const isBuild = ({ found }: Taken): boolean => found.decision.move === "build";
/** The last two sessions of a line: what a build rests on. */
const rested = (taken: Taken) => ofLine(taken).slice(-2);
const answersOf = (taken: Taken) => rested(taken).map(({ session }) => responseTo(taken.record, session));
const buildWhere =
  (broken: (taken: Taken) => boolean): Invariant =>
  (taken) =>
    isBuild(taken) && broken(taken);

/** Where a decision leads, judged anew; several invariants ask for the same one. */
const judged = oncePer((taken: Taken) => {
  const { record, item, day, next } = taken;
  const rung = plannedOf(record, item)?.rung;
  const context = rung && fitContextOf(record, day, rung.side);
  if (!context || !next) return null;
  const place = placeBefore(taken);
  const before = place && judge(context, variationById(place.variationId), place.setting);
  return before && { context, before, to: judge(context, variationById(next.variationId), next.setting), next };
});
/** The place that is eased: what stands in the line when it is decided. */
function placeBefore({ record, item }: Taken) {
  const rung = plannedOf(record, item)?.rung;
  const last = record.prescriptions.findLast(({ rungId }) => {
    const own = record.rungs.find(({ id }) => id === rungId);
    return own && rung && isSameLine(own, rung);
  });
  return record.rungs.find(({ id }) => id === last?.rungId) ?? null;
}
const isEase = ({ found, next }: Taken): boolean => found.decision.move === "ease" && next !== null;
const easeWhere =
  (broken: (of: NonNullable<ReturnType<typeof judged>>, taken: Taken) => boolean): Invariant =>
  (taken) => {
    const found = isEase(taken) ? judged(taken) : null;
    return found !== null && broken(found, taken);
  };
const SLACK = 1e-6;

export const INVARIANTS: Readonly<Record<string, Invariant>> = {
  "a build with a warning that nobody cleared": buildWhere(({ record }) => openWarningsOf(record).length > 0),
  "a build on a session nobody checked in to": buildWhere((taken) => rested(taken).some(({ session }) => session.checkIn === null)),
  "a build past a check-in that warned": buildWhere((taken) =>
    rested(taken).some(({ session: { checkIn } }) => checkIn && (checkIn.newSwelling || checkIn.painScore > painLimitOf(taken.record))),
  ),
  "a build on a morning nobody told": buildWhere((taken) => answersOf(taken).some((answer) => answer === null)),
  "a build on a memory": buildWhere((taken) =>
    rested(taken).some(({ session }) => {
      const answer = responseTo(taken.record, session);
      return answer && daysBetween(session.day, answer.day) !== 1;
    }),
  ),
  "a build on a morning that was not calm, or swollen, or with a sign": buildWhere((taken) =>
    answersOf(taken).some((answer) => answer && (answer.class !== "calm" || answer.newSwelling || answer.warningSigns.length > 0)),
  ),
  "a build under pain relief": buildWhere((taken) =>
    rested(taken).some(({ session }) => session.checkIn?.underRelief || responseTo(taken.record, session)?.underRelief),
  ),
  "a build past a stop in its own sessions": buildWhere((taken) => rested(taken).some(({ session }) => session.warnings.length > 0)),
  "a build past a set that hurt or was a muscle over five": buildWhere((taken) =>
    rested(taken).some(({ sets }) =>
      sets.some(({ endedBy, painScore, painKind }) =>
        painKind === "muscle-work"
          ? (painScore ?? 11) > 5
          : endedBy !== "pain-tap" || painScore === null || painScore > painLimitOf(taken.record),
      ),
    ),
  ),
  "a build of sessions weeks apart, or after a time away": buildWhere((taken) => {
    const [first, last] = rested(taken).map(({ session }) => session.day);
    const newest = taken.record.sessions.filter(({ sets }) => sets.length > 0).at(-1)?.day ?? taken.day;
    return !first || !last || daysBetween(first, last) >= 14 || daysBetween(newest, taken.day) >= 14;
  }),
  "a build on one session": buildWhere((taken) => rested(taken).length < 2),
  "an older session decided on after a newer one": (taken) => {
    const rung = plannedOf(taken.record, taken.item)?.rung;
    return taken.record.decisions.some(({ itemId }) => {
      const session = taken.record.sessions.find(({ items }) => items.some(({ id }) => id === itemId));
      const item = session?.items.find(({ id }) => id === itemId);
      const own = item && plannedOf(taken.record, item)?.rung;
      return session && own && rung && isSameLine(own, rung) && session.day > taken.session.day;
    });
  },
  "nothing easier after sharp pain, a flare or swelling": (taken) => {
    const [last] = ofLine(taken).slice(-1);
    const answer = last && responseTo(taken.record, last.session);
    const isBad = last?.sets.some(({ endedBy }) => endedBy === "sharp") || answer?.class === "flare" || answer?.newSwelling;
    return Boolean(isBad) && (taken.found.decision.move === "build" || taken.found.decision.move === "hold");
  },
  "an ease to a place that is closed": easeWhere(({ to }) => to.state === "closed" && to.reasons[0].code !== "equipment-missing"),
  "an ease past a limit": easeWhere(({ to }) => to.blocked),
  "an ease that asks more of a joint that limits, anywhere in its range": easeWhere(({ to, before }) =>
    before.uses.some((use) => {
      const now = to.uses.find(({ ceilingId }) => ceilingId === use.ceilingId);
      return now !== undefined && (now.head > use.head + SLACK || now.high > use.high + SLACK);
    }),
  ),
  "an ease past a guard rail, anywhere in its range": easeWhere(({ context, before, to, next }) =>
    RAIL_CHANNELS.some((channel) => {
      const highest = (of: typeof to): number =>
        Math.max(0, ...of.demands.filter((each) => each.channel === channel).map(({ high }) => high));
      const most = Math.max(railOf(variationById(next.variationId).template, channel, context.ownRange), highest(before));
      return highest(to) > most + SLACK * most;
    }),
  ),
  "an ease that nobody feels": easeWhere(({ context, next }, { found }) => {
    if (found.decision.rule === "rung-forbidden" || found.decision.rule === "time-away") return false;
    const { levers, fromVariationId, sets, mixed } = next.change;
    if (fromVariationId || sets || mixed) return false;
    return levers.every(({ lever, from, to }) => Math.abs(to - from) < context.kit.felt[lever] - SLACK);
  }),
  "a raise proposed from a present that is not quiet": ({ record, day, item }) => {
    const context = fitContextOf(record, day, plannedOf(record, item)?.rung.side); // as the gate asked it
    if (!context) return false;
    const trained = record.sessions.filter(({ sets, day: on }) => sets.length > 0 && on <= day).at(-1)?.day ?? "";
    const isQuiet = record.responses.filter((each) => each.day <= day).at(-1)?.newSwelling !== true && daysBetween(trained, day) < 14;
    const isCalm = (ceiling: Ceiling): boolean =>
      toldDoses(record, context.subject, ceiling)
        .filter((dose) => dose.day <= day)
        .at(-1)?.response === "calm";
    if (isQuiet && context.ceilings.every(isCalm)) return false; // it may propose what it likes: that takes its time to work out
    return learntOfAll(record, context).some(({ ceiling, proposal }) => proposal.move === "raise" && !(isQuiet && isCalm(ceiling)));
  },
};
