import type { Day } from "../../core/day";
import type { FitContext, Place } from "../../core/judge/context";
import type { Change } from "../../core/progressions/tread";
import { decisionFor } from "../../core/record/gate/decision";
import { undecidedItems } from "../../core/record/gate/undecided";
import { openWarningsOf, plannedOf, responseTo } from "../../core/record/standing/history";
import { currentPlans } from "../../core/record/standing/plans";
import { fitContextOf } from "../../core/record/standing/context";
import { byNeed, type Need } from "../../core/studio/needs";
import { programmeItems, programmeNow } from "../../core/record/programme/programme";
import type { ClientRecord } from "../../core/record/facts/record";
import type { ClientLine } from "../../core/studio/client-line";
import type { Side } from "../../core/mechanics/channels";
import { UNREAD_FACT } from "../../core/progress/warning";
import { sessionS } from "../../core/session/session";
import type { Coming } from "../../core/week/visit";

/** One client as today has them: when they come and how they stand. */
export interface TodayRow {
  line: ClientLine;
  needs: readonly Need[];
  /** Null where the programme has a session today and nobody has said when. */
  coming: Coming | null;
}
/** What the record says besides: what was done today, and what waits on the floor. */
export interface Told {
  trained: { itemCount: number; painScore: number | null; isSharp: boolean } | null;
  /** What is done first, drawn, and how much follows; null where nothing is kept. */
  next: { place: Place; side: Side; otherCount: number; minutes: number | null } | null;
  drawn: (Pick<FitContext, "subject"> & { increments: FitContext["kit"]["increments"] }) | null;
  /** Something stored of them cannot be read, which only the record knows: nothing is open until a lead has looked. */
  isUnread: boolean;
}

/** Warm-ups and drills come first on the floor and say little: what a client comes for is the first main exercise. */
function nextOf(record: ClientRecord, today: Day): Told["next"] {
  const items = programmeItems(record, today);
  const main = items.find(({ part }) => part === "main") ?? items[0];
  const programme = programmeNow(record);
  if (main && programme) {
    const lines = new Set(items.map(({ line }) => line));
    const minutes = Math.round(sessionS(programme.items, programme.rounds) / 60);
    return { place: main.place, side: main.side, otherCount: lines.size - 1, minutes };
  }
  const plans = currentPlans(record);
  const [first] = plans;
  return first ? { place: first.rung, side: first.rung.side, otherCount: plans.length - 1, minutes: null } : null;
}

export function toldOf(record: ClientRecord, today: Day): Told {
  const session = record.sessions.findLast(({ day }) => day === today);
  const next = nextOf(record, today);
  const context = next && fitContextOf(record, today, next.side);
  const scores = session?.sets.flatMap(({ painScore }) => (painScore === null ? [] : [painScore])) ?? [];
  return {
    trained: session
      ? {
          itemCount: new Set(session.sets.map(({ itemId }) => itemId)).size,
          painScore: scores.length > 0 ? Math.max(...scores) : null,
          isSharp: session.sets.some(({ endedBy }) => endedBy === "sharp"),
        }
      : null,
    next,
    drawn: context && { subject: context.subject, increments: context.kit.increments },
    isUnread: openWarningsOf(record).some(({ sign }) => sign === UNREAD_FACT),
  };
}

/** Who comes today: by the hour, those without one last, the more pressing first; who only has needs is not among them. */
export function whoComes(lines: readonly ClientLine[], comings: readonly Coming[], today: Day): TodayRow[] {
  const ordered = byNeed(lines, today).filter(({ line }) => line.archivedDay === null);
  const atTheirHour = comings.flatMap((coming) =>
    ordered.filter(({ line }) => line.id === coming.clientId).map((each) => ({ ...each, coming })),
  );
  const some = ordered.filter(({ line }) => line.isToday && !comings.some(({ clientId }) => clientId === line.id));
  return [...atTheirHour, ...some.map((each) => ({ ...each, coming: null }))];
}

/** What the rules say about what was trained last and nobody has decided on: builds are what somebody waits for. */
export interface Waiting {
  clientId: string;
  builds: readonly { variationId: string; toVariationId: string; change: Change }[];
  otherCount: number;
}
export function waitingOf(record: ClientRecord, today: Day): Waiting {
  const decided = undecidedItems(record)
    .filter(({ session }) => responseTo(record, session) !== null)
    .flatMap(({ session, item }) => {
      const rung = plannedOf(record, item)?.rung;
      const decision = rung && decisionFor(record, session, item, today)?.decision;
      return rung && decision ? [{ rung, decision }] : [];
    });
  const builds = decided.flatMap(({ rung, decision: { move, next } }) =>
    move === "build" && next ? [{ variationId: rung.variationId, toVariationId: next.variationId, change: next.change }] : [],
  );
  return { clientId: record.client.id, builds, otherCount: decided.length - builds.length };
}
