import { type Finding, sidesApart } from "../../core/assess/finding";
import { PROTOCOLS } from "../../core/assess/protocols.data";
import type { Pattern } from "../../core/catalogue/variation";
import type { Day } from "../../core/day";
import { plannedOf, responseTo } from "../../core/record/standing/history";
import { doneSets } from "../../core/record/programme/programme";
import type { ClientRecord } from "../../core/record/facts/record";
import { painLimitOf } from "../../core/record/standing/approach";
import type { PresetId, SchoolChoice } from "../../core/approach/approach";
import { weekTotals } from "../../core/week/totals";
import { type LeverId, LEVERS, LEVER_IDS } from "../../core/templates/lever";
import type { DecisionMove } from "../../core/progress/decide";

/** One small chart of several that stand on one line of time. */
export interface Track {
  id: "pain" | "morning" | "use" | "stair" | "share" | "symmetry" | "volume" | "task" | LeverId;
  /** Drawn as bars for what happens once, steps for what stands until it is changed, a line for what is measured. */
  as: "bars" | "line" | "steps";
  points: readonly { day: Day; value: number; sessionId: string | null }[];
  reference: number | null;
}
export interface Mark {
  day: Day;
  kind: "limit" | "limit-ends" | "retest";
  id: string;
}
export interface TimeLine {
  from: Day;
  to: Day;
  tracks: readonly Track[];
  marks: readonly Mark[];
  /** Which school held, from when to when. */
  schools: readonly { from: Day; to: Day; preset: PresetId }[];
  decisions: readonly { day: Day; move: DecisionMove; sessionId: string }[];
}

/** Sides match where the weaker reaches so much of the stronger. Source: handbook J ◊ */
const MATCHED_PERCENT = 90;

/** The weaker side against the stronger on each day that both sides of a like-for-like test are known by: of several tests, the one furthest apart. */
function symmetryPoints(findings: readonly Finding[]): Track["points"] {
  const sided = PROTOCOLS.filter(({ isSided }) => isSided);
  const days = [...new Set(findings.flatMap(({ day, protocol }) => (sided.some(({ id }) => id === protocol) ? [day] : [])))].toSorted();
  return days.flatMap((day) => {
    const known = findings.filter((finding) => finding.day <= day);
    const percents = sided
      .filter(({ id }) => known.some((finding) => finding.protocol === id && finding.day === day))
      .flatMap((protocol) => {
        const deficit = sidesApart(protocol, known)?.deficitFraction ?? null;
        return deficit === null ? [] : [100 * (1 - deficit)];
      });
    return percents.length > 0 ? [{ day, value: Math.min(...percents), sessionId: null }] : [];
  });
}

/** The school of each stretch of time, from the day it was chosen to the day before the next. */
function schoolsBetween(schools: readonly SchoolChoice[], from: Day, to: Day): TimeLine["schools"] {
  const chosen = schools.filter(({ day }, i) => schools[i + 1]?.day !== day); // of one day the last
  return chosen
    .map(({ day, preset }, i) => ({ from: day < from ? from : day, to: chosen[i + 1]?.day ?? to, preset }))
    .filter((stretch) => stretch.from < stretch.to || (stretch.from === to && stretch.to === to));
}

/** What is worth a look back, of one pattern, on true dates: what was never told has no track. Schools come oldest first. */
export function timeLine(record: ClientRecord, pattern: Pattern, today: Day, schools: readonly SchoolChoice[]): TimeLine {
  const { sessions, limits, findings, tasksTold, decisions } = record;
  const done = sessions.flatMap((session) => {
    const items = session.items.flatMap((item) => {
      const rung = plannedOf(record, item)?.rung;
      const sets = session.sets.filter(({ itemId }) => itemId === item.id);
      return rung?.pattern === pattern && sets.length > 0 ? [{ item, rung, sets }] : [];
    });
    return items.length > 0 ? [{ session, items }] : [];
  });
  const from = done[0]?.session.day ?? today;
  const worst = (values: readonly (number | null)[]): number | null => {
    const told = values.flatMap((value) => (value === null ? [] : [value]));
    return told.length > 0 ? Math.max(...told) : null;
  };
  type Point = Track["points"][number];
  const points = (valueOf: (each: (typeof done)[number]) => number | null): Point[] =>
    done.flatMap((each) => {
      const value = valueOf(each);
      return value === null ? [] : [{ day: each.session.day, value, sessionId: each.session.id }];
    });
  const levers = LEVER_IDS.filter((lever) => ["support", "range", "load"].includes(LEVERS[lever].kind)).filter(
    (lever) => new Set(done.flatMap(({ items }) => items.map(({ rung }) => rung.setting[lever]))).size > 1,
  );
  const weeks = weekTotals(doneSets({ ...record, sessions: done.map(({ session }) => session) }));
  const painLimit = painLimitOf(record);
  const ownItems = new Set(done.flatMap(({ items }) => items.map(({ item }) => item.id)));
  const own = decisions.filter(({ itemId }) => ownItems.has(itemId));
  const dayOf = new Map(done.map(({ session }) => [session.id, session.day]));
  const before = (day: Day): typeof own => own.filter(({ sessionId }) => (dayOf.get(sessionId) ?? day) < day);
  const climbed = (day: Day): number => before(day).reduce((sum, { move }) => sum + (move === "build" ? 1 : move === "ease" ? -1 : 0), 0);
  const all: Track[] = [
    {
      id: "pain",
      as: "bars",
      points: points(({ items }) => worst(items.flatMap(({ sets }) => sets.map(({ painScore }) => painScore)))),
      reference: painLimit,
    },
    { id: "morning", as: "bars", points: points(({ session }) => responseTo(record, session)?.painScore ?? null), reference: null },
    {
      id: "use",
      as: "line",
      points: points(({ items }) => worst(items.map(({ rung }) => (rung.useFraction === null ? null : 100 * rung.useFraction)))),
      reference: 100,
    },
    { id: "stair", as: "steps", points: own.length > 0 ? points(({ session }) => climbed(session.day)) : [], reference: null },
    ...levers.map((lever): Track => ({
      id: lever,
      as: "steps",
      points: points(({ items }) => items[0]?.rung.setting[lever] ?? null),
      reference: null,
    })),
    {
      id: "share",
      as: "line",
      points: points(({ items }) => {
        const shares = items.flatMap(({ sets }) =>
          sets.flatMap(({ foot }) => (foot && foot.isStandIn === undefined ? [100 * foot.shareFraction] : [])),
        );
        return shares.length > 0 ? shares.reduce((sum, share) => sum + share, 0) / shares.length : null;
      }),
      reference: 50,
    },
    { id: "symmetry", as: "line", points: symmetryPoints(findings), reference: MATCHED_PERCENT },
    {
      id: "volume",
      as: "bars",
      points: weeks.map(({ monday, repetitionsBy }) => ({
        day: monday < from ? from : monday,
        value: repetitionsBy[pattern] ?? 0,
        sessionId: null,
      })),
      reference: null,
    },
    { id: "task", as: "line", points: tasksTold.map(({ day, level }) => ({ day, value: level, sessionId: null })), reference: null },
  ];
  const isIn = ({ day }: { day: Day }): boolean => day >= from && day <= today;
  const marks: Mark[] = [
    ...limits
      .filter(({ owner }) => owner.kind === "clinician")
      .flatMap((limit): Mark[] => [
        { day: limit.fromDay, kind: "limit", id: limit.id },
        ...(limit.lift ? [{ day: limit.lift.day, kind: "limit-ends" as const, id: limit.id }] : []),
      ]),
    ...[...new Set(findings.map(({ day }) => day))].map((day): Mark => ({ day, kind: "retest", id: day })),
  ];
  return {
    from,
    to: today,
    tracks: all.map((track) => ({ ...track, points: track.points.filter(isIn) })).filter(({ points: told }) => told.length > 0),
    marks: marks.filter(isIn).toSorted((a, b) => a.day.localeCompare(b.day)),
    schools: schoolsBetween(schools, from, today),
    decisions: own.map(({ day, move, sessionId }) => ({ day, move, sessionId })),
  };
}
