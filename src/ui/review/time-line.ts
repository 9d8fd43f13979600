import type { Pattern } from "../../core/catalogue/variation";
import type { Day } from "../../core/day";
import { plannedOf, responseTo } from "../../core/record/history";
import { doneSets } from "../../core/record/programme";
import type { ClientRecord } from "../../core/record/record";
import { painLimitOf } from "../../core/record/school";
import { weekTotals } from "../../core/week/totals";
import { type LeverId, LEVERS, LEVER_IDS } from "../../core/templates/lever";
import type { DecisionMove } from "../../core/progress/decide";

/** One small chart of several that stand on one line of time. */
export interface Track {
  id: "pain" | "morning" | "use" | "share" | "volume" | "task" | LeverId;
  /** Drawn as bars for what happens once, steps for what stands until it is changed, a line for what is measured. */
  as: "bars" | "line" | "steps";
  points: readonly { day: Day; value: number; sessionId: string | null }[];
  reference: number | null;
}
export interface Mark {
  day: Day;
  kind: "limit" | "limit-ends" | "school" | "retest";
  id: string;
}
export interface TimeLine {
  from: Day;
  to: Day;
  tracks: readonly Track[];
  marks: readonly Mark[];
  decisions: readonly { day: Day; move: DecisionMove; sessionId: string }[];
}

/** What is worth a look back, of one pattern, on true dates: what was never told has no track. */
export function timeLine(record: ClientRecord, pattern: Pattern, today: Day): TimeLine {
  const { sessions, limits, school, findings, tasksTold, decisions } = record;
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
    ...(school ? [{ day: school.day, kind: "school" as const, id: school.id }] : []),
    ...[...new Set(findings.map(({ day }) => day))].map((day): Mark => ({ day, kind: "retest", id: day })),
  ];
  const ownItems = new Set(done.flatMap(({ items }) => items.map(({ item }) => item.id)));
  return {
    from,
    to: today,
    tracks: all.map((track) => ({ ...track, points: track.points.filter(isIn) })).filter(({ points: told }) => told.length > 0),
    marks: marks.filter(isIn),
    decisions: decisions.filter(({ itemId }) => ownItems.has(itemId)).map(({ day, move, sessionId }) => ({ day, move, sessionId })),
  };
}
