import { variationById } from "../../core/catalogue/catalogue";
import { type Pattern, PATTERNS } from "../../core/catalogue/variation";
import { isByTime, outcomeOf, plannedOf, responseTo } from "../../core/record/standing/history";
import type { ClientRecord, DecisionFact, ItemFact, ResponseFact, RungFact, SessionFact } from "../../core/record/facts/record";
import { hasLever } from "../../core/templates/form";
import { type LeverId, LEVERS } from "../../core/templates/lever";
import { itemName } from "../../words/basics/item";

/** One item of one session in the chart: what it asked, how it hurt, and how the next morning was. */
export interface ReviewRow {
  day: string;
  usePercent: number | null;
  painDuring: number | null;
  painMorning: number | null;
  lever: { id: LeverId; value: number } | null;
  variationName: string;
  repetitions: number;
  response: "calm" | "noticed" | "flare" | null;
}

interface Done {
  session: SessionFact;
  item: ItemFact;
  rung: RungFact;
}
function donesOf(record: ClientRecord, pattern: Pattern | null): Done[] {
  return record.sessions.flatMap((session) =>
    session.items.flatMap((item) => {
      const rung = plannedOf(record, item)?.rung;
      const isDone = rung && session.sets.some(({ itemId }) => itemId === item.id);
      return isDone && (pattern === null || rung.pattern === pattern) ? [{ session, item, rung }] : [];
    }),
  );
}

/** A decision with the exercise it was about. */
export interface DecidedOn {
  decision: DecisionFact;
  name: string;
}
export const decidedOn = (record: ClientRecord): DecidedOn[] => {
  const items = new Map(record.sessions.flatMap((session) => session.items.map((item) => [item.id, item] as const)));
  return record.decisions.map((decision) => {
    const item = items.get(decision.itemId);
    const rung = item && plannedOf(record, item)?.rung;
    return { decision, name: rung ? itemName(rung) : "" };
  });
};

/** Patterns that were trained, in the order of work. */
export const reviewPatterns = (record: ClientRecord): Pattern[] => {
  const trained = new Set(donesOf(record, null).map(({ rung }) => rung.pattern));
  return PATTERNS.filter((pattern) => trained.has(pattern));
};

/** The lever that moved most often between rungs of the same row: the one worth drawing. */
function drawnLever(dones: readonly Done[]): LeverId | null {
  const moves = new Map<LeverId, number>();
  dones.forEach(({ rung }, i) => {
    const before = dones[i - 1]?.rung;
    if (!before || before.variationId !== rung.variationId || before.id === rung.id) return;
    for (const lever of Object.keys(rung.setting) as LeverId[])
      if (rung.setting[lever] !== before.setting[lever]) moves.set(lever, (moves.get(lever) ?? 0) + 1);
  });
  const [most] = [...moves].sort((a, b) => b[1] - a[1]);
  const last = dones.at(-1)?.rung;
  const first = last && variationById(last.variationId).levers.find(({ lever }) => LEVERS[lever].kind === "range")?.lever;
  return most?.[0] ?? first ?? null;
}

export function reviewRows(record: ClientRecord, pattern: Pattern): { rows: ReviewRow[]; lever: LeverId | null } {
  const dones = donesOf(record, pattern);
  const lever = drawnLever(dones);
  const rows = dones.map(({ session, item, rung }): ReviewRow => {
    const variation = variationById(rung.variationId);
    const { sets, morning } = outcomeOf(record, session, item);
    const value = lever && hasLever(variation, lever) ? rung.setting[lever] : undefined;
    const scores = sets.flatMap(({ painScore }) => (painScore === null ? [] : [painScore]));
    return {
      day: session.day,
      usePercent: rung.useFraction ? Math.round(rung.useFraction * 100) : null,
      painDuring: scores.length > 0 ? Math.max(...scores) : null,
      painMorning: responseTo(record, session)?.painScore ?? null,
      lever: lever && value !== undefined ? { id: lever, value } : null,
      variationName: variation.name,
      repetitions: sets.reduce((sum, set) => sum + set.repetitions, 0),
      response: morning.isKnown ? morning.value.class : null,
    };
  });
  return { rows, lever };
}

/** A rung that was kept by hand, past what the rules would have done, and why. */
export interface KeptByHand {
  id: string;
  day: string;
  name: string;
  note: string;
}
export const keptByHand = (record: ClientRecord): KeptByHand[] =>
  record.prescriptions.flatMap(({ id, day, rungId, note }) => {
    const rung = record.rungs.find((each) => each.id === rungId);
    return note === "" || !rung ? [] : [{ id, day, name: variationById(rung.variationId).name, note }];
  });

/** A session with everything that may be put right about it. */
export interface CorrectableSession {
  id: string;
  day: string;
  isEnded: boolean;
  hasWarning: boolean;
  response: ResponseFact | null;
  items: { id: string; name: string; isByTime: boolean; sets: SessionFact["sets"][number][] }[];
}
export const sessionsToCorrect = (record: ClientRecord): CorrectableSession[] =>
  record.sessions.map((session) => ({
    id: session.id,
    day: session.day,
    isEnded: session.endedAt !== null,
    hasWarning: session.warnings.length > 0,
    response: responseTo(record, session),
    items: session.items.map((item) => ({
      id: item.id,
      name: variationById(plannedOf(record, item)?.rung.variationId ?? "").name,
      isByTime: isByTime(record, item),
      sets: session.sets.filter(({ itemId }) => itemId === item.id),
    })),
  }));
