import { variationById } from "../src/core/catalogue/catalogue";
import { judge } from "../src/core/judge/judge";
import { buildOnce, easeOnce, easeTwice, easeUntilAllowed, fewerSets } from "../src/core/progressions/step";
import { known, NOT_MEASURED } from "../src/core/known";
import { awaySince } from "../src/core/progress/away";
import { decide } from "../src/core/progress/decide";
import { type MorningClass, neverCalm } from "../src/core/progress/morning";
import type { SessionOutcome } from "../src/core/progress/outcome";
import { openWarnings } from "../src/core/progress/warning";
import type { Issue } from "../src/core/reasons";
import { turnOver } from "../src/core/session/block";
import type { DecideInput } from "../src/schemas/command-line/decide-input.schema";
import { contextFrom } from "./client";

/** A history as it can have been: in order, not ahead, and no answer that contradicts another. */
export function sessionIssues(
  { day, response, newSwelling }: DecideInput["sessions"][number],
  before: string | undefined,
  today: string,
  path: string,
): Issue[] {
  return [
    ...(day > today ? [{ path: `${path}day`, code: "day.future" }] : []),
    ...(before !== undefined && day < before ? [{ path: `${path}day`, code: "day.order" }] : []),
    ...(response !== null && day === today ? [{ path: `${path}response`, code: "morning.not-yet" }] : []),
    ...(newSwelling && response !== null && response !== "flare" ? [{ path: `${path}response`, code: "any.contradiction" }] : []),
  ];
}
/** A session with a sign in it counts for nothing calm, cleared or not. */
const asCounted = ({ warningSigns, response, newSwelling, ...outcome }: DecideInput["sessions"][number]): SessionOutcome => {
  const hasSign = warningSigns.length > 0;
  const told = (answer: MorningClass) => ({ class: hasSign ? neverCalm(answer) : answer, newSwelling, soreMuscles: false });
  return {
    ...outcome,
    ...(hasSign ? { uncounted: "sign-said" } : {}),
    morning: response === null ? NOT_MEASURED : known(told(response)),
  };
};

export function runDecide({
  variationId,
  setting,
  dose,
  sessions,
  clearances = [],
  painLimitScore,
  provisional,
  isAhead,
  holdsRunning,
  sharpMarks,
  weeksAtRow,
  support,
  ...fit
}: DecideInput): unknown {
  const context = contextFrom(fit);
  const place = { variationId, setting };
  const warnings = sessions.flatMap(({ id, day, warningSigns }, i) =>
    warningSigns.map((sign) => ({ sourceId: id ?? String(i), sign, day, at: day })),
  );
  return decide({
    today: fit.today,
    sessionsToBuild: context.school.sessionsToBuild,
    dose,
    sessions: sessions.map(asCounted),
    openWarnings: openWarnings(
      warnings,
      clearances.map(({ sessionId, sign }) => ({ sourceId: sessionId, sign })),
    ),
    painLimitScore,
    provisional,
    current: judge(context, variationById(variationId), setting),
    ease: easeOnce(context, place, dose),
    easeTwice: easeTwice(context, place, dose),
    fewerSets: fewerSets(context, place, dose),
    easeUntilAllowed: easeUntilAllowed(context, place, dose),
    isPlanChanged: false,
    away: awaySince(sessions.at(-1)?.day, fit.today),
    build: buildOnce(context, place, dose),
    proposedCeiling: null,
    isAhead,
    holdsRunning,
    sharpMarks,
    support: support ?? null,
    turn: turnOver(context, place, dose, weeksAtRow),
  });
}
