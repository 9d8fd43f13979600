import { type ClientRecord, type LeverId, rangeOf, rungOf, type SessionFact, variationById } from "../../core";

/** One session in the chart: what it asked, how it hurt, and how the next morning was. */
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

function maxPain({ sets }: SessionFact): number | null {
  const scores = sets.flatMap(({ painScore }) => (painScore === null ? [] : [painScore]));
  return scores.length > 0 ? Math.max(...scores) : null;
}

/** The lever that moved most often between this client's rungs: the one worth drawing. */
function drawnLever({ rungs }: ClientRecord): LeverId | null {
  const moves = new Map<LeverId, number>();
  rungs.forEach((rung, i) => {
    const before = rungs[i - 1];
    if (!before || before.variationId !== rung.variationId) return;
    for (const lever of Object.keys(rung.setting) as LeverId[])
      if (rung.setting[lever] !== before.setting[lever]) moves.set(lever, (moves.get(lever) ?? 0) + 1);
  });
  const [most] = [...moves].sort((a, b) => b[1] - a[1]);
  const last = rungs.at(-1);
  const first = last && variationById(last.variationId).levers[0]?.lever;
  return most?.[0] ?? first ?? null;
}

export function reviewRows(record: ClientRecord): { rows: ReviewRow[]; lever: LeverId | null } {
  const lever = drawnLever(record);
  const rows = record.sessions
    .filter(({ sets }) => sets.length > 0)
    .map((session): ReviewRow => {
      const rung = rungOf(record, session);
      const variation = rung && variationById(rung.variationId);
      const response = record.responses.findLast(({ sessionId }) => sessionId === session.id);
      const value = lever && variation && rangeOf(variation, lever) ? rung.setting[lever] : undefined;
      return {
        day: session.day,
        usePercent: rung?.useFraction ? Math.round(rung.useFraction * 100) : null,
        painDuring: maxPain(session),
        painMorning: response?.painScore ?? null,
        lever: lever && value !== undefined ? { id: lever, value } : null,
        variationName: variation?.name ?? "",
        repetitions: session.sets.reduce((sum, set) => sum + set.repetitions, 0),
        response: response?.class ?? null,
      };
    });
  return { rows, lever };
}
