import { variationById, variationsOf } from "../catalogue/catalogue";
import { type Pattern, PATTERNS } from "../catalogue/variation";
import type { School } from "../approach/approach";
import type { Setting } from "../templates/lever";
import type { FitContext, Place } from "../judge/context";
import type { CandidateState, FitReason } from "../judge/fit-reason";
import { firstOf, fitCatalogue } from "./list";
import { type Candidate } from "./search";
import { buildOnce } from "./step";
import type { Tread } from "./tread";

/** What one school makes of one row for this client. */
export interface UnderSchool {
  state: CandidateState;
  setting: Setting;
  reason: FitReason;
}
/** What one school would take first of a pattern, and its next step up. */
export interface Taken {
  place: Place;
  state: CandidateState;
  next: Tread | null;
}
export interface SchoolsCompared {
  /** Rows that the two do not see alike. */
  rows: { variationId: string; a: UnderSchool; b: UnderSchool }[];
  first: { pattern: Pattern; a: Taken | null; b: Taken | null }[];
}

/** A client as one school sees them. */
export const underSchool = (context: FitContext, school: School): FitContext => ({
  ...context,
  school,
  targetUseFraction: school.targetUseFraction,
});

const seen = ({ state, setting, reasons }: Candidate): UnderSchool => ({ state, setting, reason: reasons[0] });
const isSettingAlike = (a: Setting, b: Setting): boolean =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].every((lever) => {
    const [one, other] = [a[lever as keyof Setting], b[lever as keyof Setting]];
    return one !== undefined && other !== undefined && Math.abs(one - other) < 1e-6;
  });

function taken(context: FitContext, candidates: readonly Candidate[], pattern: Pattern): Taken | null {
  const found = firstOf(candidates.filter(({ variationId }) => variationById(variationId).pattern === pattern));
  if (!found || found.state === "closed") return null;
  const place = { variationId: found.variationId, setting: found.setting };
  return { place, state: found.state, next: buildOnce(context, place, variationById(found.variationId).dose)?.tread ?? null };
}

/** Two schools on one client, side by side: what each opens, would take first, and would do next. */
export function compareSchools(
  context: FitContext,
  schools: { a: School; b: School },
  patterns: readonly Pattern[] = PATTERNS,
): SchoolsCompared {
  const rows = patterns.flatMap((pattern) => variationsOf(pattern, context.own));
  const [a, b] = [underSchool(context, schools.a), underSchool(context, schools.b)];
  const [byA, byB] = [fitCatalogue(a, rows), fitCatalogue(b, rows)];
  const other = new Map(byB.map((candidate) => [candidate.variationId, candidate]));
  return {
    rows: byA.flatMap((candidate) => {
      const match = other.get(candidate.variationId);
      if (!match || (candidate.state === match.state && isSettingAlike(candidate.setting, match.setting))) return [];
      return [{ variationId: candidate.variationId, a: seen(candidate), b: seen(match) }];
    }),
    first: patterns.map((pattern) => ({ pattern, a: taken(a, byA, pattern), b: taken(b, byB, pattern) })),
  };
}
