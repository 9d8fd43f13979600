import { isMorningAfter, type MorningClass, neverCalm, usualPainScore } from "../../progress/morning";
import { openWarnings, type Warning } from "../../progress/warning";
import { measuredRange } from "../../assess/range-limits";
import { type Day, daysBetween } from "../../day";
import { variationById } from "../../catalogue/catalogue";
import { isTimed } from "../../dose/dose";
import type { Pattern } from "../../catalogue/variation";
import type { FitContext } from "../../judge/context";
import { type AnsweredDose, type Ceiling, isProvisional } from "../../limits/ceiling";
import { proposedCeiling, type Tolerance, toleranceFrom, type ToleranceProposal, type ToldDose } from "../../limits/tolerance";
import { isBinding } from "../../limits/limit";
import { RAIL_CHANNELS, type RailChannelId } from "../../limits/rails";
import { known, NOT_MEASURED } from "../../known";
import { onceByName, oncePer } from "../../once";
import { ask, type Asked, demandOn, WHOLE } from "../../templates/ask";
import { isLoad } from "../../templates/form";
import type { LeverId, Setting } from "../../templates/lever";
import type { Subject } from "../../templates/template";
import { awaySince } from "../../progress/away";
import { type AnsweredMorning, isAsPrescribed, type SessionOutcome } from "../../progress/outcome";
import type { Uncounted } from "../../progress/decision-reason";
import { injectionDays } from "../../screen/screen";
import { blockWeek } from "../../week/week";
import type { ClientRecord, ItemFact, PrescriptionFact, ResponseFact, RungFact, SessionFact } from "../facts/record";
import { painLimitOf } from "./approach";
import { ledBy, subjectOf } from "./subject";

export const responseTo = ({ responses }: Pick<ClientRecord, "responses">, { id }: Pick<SessionFact, "id">): ResponseFact | null =>
  responses.findLast(({ sessionId }) => sessionId === id) ?? null;

/** How a morning counts: with a warning sign in it never as calm, whatever was kept at the time. */
export const classOf = ({ class: kept, warningSigns }: Pick<ResponseFact, "class" | "warningSigns">): MorningClass =>
  warningSigns.length > 0 ? neverCalm(kept) : kept;
/** The answer of the morning after, in its time; a memory told later is none. */
const answeredInTime = (record: Pick<ClientRecord, "responses">, session: Pick<SessionFact, "id" | "day">): ResponseFact | null => {
  const response = responseTo(record, session);
  return response && isMorningAfter(session.day, response.day) ? response : null;
};

/** What an item was planned as: its prescription and rung. */
export function plannedOf(
  { prescriptions, rungs }: ClientRecord,
  { prescriptionId }: Pick<ItemFact, "prescriptionId">,
): { prescription: PrescriptionFact; rung: RungFact } | null {
  const prescription = prescriptions.find(({ id }) => id === prescriptionId);
  const rung = rungs.find(({ id }) => id === prescription?.rungId);
  return prescription && rung ? { prescription, rung } : null;
}

/** Whether an item goes by the clock: what was left after its last set is then seconds. */
export function isByTime(record: ClientRecord, item: Pick<ItemFact, "prescriptionId">): boolean {
  const planned = plannedOf(record, item);
  return planned !== null && isTimed(planned.prescription.dose);
}

/** So long what is calm after an injection proves nothing. Source: design, rules learnt from the first use, 17. */
const INJECTION_DAYS = 14;
/** Whether a day lies within two weeks after any injection that was told on Screen. */
export const hadInjection = ({ screen }: Pick<ClientRecord, "screen">, day: Day): boolean =>
  injectionDays(screen).some((injected) => injected <= day && daysBetween(injected, day) <= INJECTION_DAYS);

/** Why a session counts for nothing, however well it went; the first that holds. */
function uncountedBy(record: ClientRecord, session: SessionFact): Uncounted | null {
  const { checkIn, isLight, place, warnings } = session;
  const response = responseTo(record, session);
  if (warnings.length > 0 || (response?.warningSigns.length ?? 0) > 0) return "sign-said";
  if (checkIn?.underRelief || response?.underRelief || hadInjection(record, session.day)) return "under-relief";
  if (isLight) return "light-day";
  if (place === "studio" && checkIn === null) return "check-in-missing"; // at home nobody asks at the door
  if (checkIn && (checkIn.newSwelling || !(checkIn.painScore <= painLimitOf(record)))) return "check-in-warned";
  return response && !isMorningAfter(session.day, response.day) ? "morning-late" : null;
}

const asAnswered = (response: ResponseFact): AnsweredMorning => ({
  class: classOf(response),
  newSwelling: response.newSwelling,
  soreMuscles: response.told?.muscles === "sore",
});
/** What one item of a session came to, and the morning after. */
export function outcomeOf(record: ClientRecord, session: SessionFact, item: ItemFact): SessionOutcome {
  const response = responseTo(record, session);
  const isEased = session.moves.some(({ itemId }) => itemId === item.id) || session.stoppedItemIds.includes(item.id);
  return {
    day: session.day,
    sets: session.sets.filter(({ itemId }) => itemId === item.id),
    eased: isEased || (session.checkIn !== null && session.checkIn.choice !== "as-planned"),
    uncounted: uncountedBy(record, session),
    morning: response === null ? NOT_MEASURED : known(asAnswered(response)),
  };
}

interface DoneDose {
  session: SessionFact;
  rung: RungFact;
  prescription: PrescriptionFact;
}
/** Items done just as prescribed in a session with no warning in it: the only history that counts. */
const donesAsPrescribed = oncePer((record: ClientRecord): DoneDose[] => {
  const limitScore = painLimitOf(record);
  return record.sessions.flatMap((session) =>
    session.items.flatMap((item): DoneDose[] => {
      const planned = plannedOf(record, item);
      if (!planned || session.warnings.length > 0) return [];
      const isGood = isAsPrescribed(outcomeOf(record, session, item), planned.prescription.dose, limitScore);
      return isGood ? [{ session, ...planned }] : [];
    }),
  );
});
const isCalm = (record: ClientRecord, session: SessionFact): boolean => {
  const response = answeredInTime(record, session);
  return response !== null && classOf(response) === "calm";
};

/** What a rung asks of a subject. It is trained many times, before many a ceiling, and asks the same each time: it is asked once. */
const askedOf = oncePer((subject: Subject) =>
  oncePer((rung: RungFact): Asked => ask(ledBy(subject, rung.side), variationById(rung.variationId), rung.setting, WHOLE)),
);

/**
 * Doses that speak for one ceiling: the calm pose that set it, then of every session the hardest on it that was done as
 * prescribed, with the morning after: one morning answers once, however many exercises went before it. What each asked is computed anew, on today's body, posture rule and engine, as the ceiling is.
 */
export function answeredDoses(record: ClientRecord, subject: Subject, ceiling: Ceiling): AnsweredDose[] {
  const calm = record.calmPoses
    .filter(({ id }) => id === ceiling.source.id)
    .map(({ day }): AnsweredDose => {
      const answer = record.responses.find((response) => isMorningAfter(day, response.day));
      const isProof = answer && !answer.underRelief && !hadInjection(record, day);
      return { day, useFraction: 1, response: isProof ? known(classOf(answer)) : NOT_MEASURED };
    });
  const trained = new Map<string, AnsweredDose>();
  for (const { session, rung } of donesAsPrescribed(record)) {
    const demand = demandOn(askedOf(subject)(rung), ceiling.channel, ceiling.side);
    if (!demand.isKnown) continue; // what it asked of this joint nobody knows, so it speaks for nothing
    const useFraction = demand.value.head / ceiling.value;
    const hardest = trained.get(session.id);
    if (useFraction > 0 && (!hardest || useFraction > hardest.useFraction))
      trained.set(session.id, { day: session.day, useFraction, response: isCalm(record, session) ? known("calm") : NOT_MEASURED });
  }
  return [...calm, ...trained.values()];
}

/** A ceiling taken over from history was confirmed by the mornings that raised it. */
export const isCeilingProvisional = (record: ClientRecord, subject: Subject, ceiling: Ceiling): boolean =>
  ceiling.source.kind !== "history" &&
  !record.confirmedCeilingIds.includes(ceiling.id) &&
  isProvisional(ceiling, answeredDoses(record, subject, ceiling));

/** Ceilings that what is known by a day takes out of being provisional, and that nobody wrote down as confirmed yet. */
export const ceilingsConfirmed = (record: ClientRecord, { subject, ceilings }: Pick<FitContext, "subject" | "ceilings">): Ceiling[] =>
  ceilings.filter(
    (ceiling) =>
      ceiling.source.kind !== "history" &&
      !record.confirmedCeilingIds.includes(ceiling.id) &&
      !isCeilingProvisional(record, subject, ceiling),
  );

/** What a session's hardest work on one ceiling asked, and how the morning answered: calm only where all was done as prescribed. */
export function toldDoses(record: ClientRecord, subject: Subject, ceiling: Ceiling): ToldDose[] {
  const limitScore = painLimitOf(record);
  return record.sessions.flatMap((session): ToldDose[] => {
    const response = responseTo(record, session);
    if (!response) return [];
    const answered = classOf(response);
    const doses = session.items.flatMap((item): ToldDose[] => {
      const planned = plannedOf(record, item);
      const outcome = outcomeOf(record, session, item);
      if (!planned || outcome.sets.length === 0) return [];
      if (answered === "calm" && !isAsPrescribed(outcome, planned.prescription.dose, limitScore)) return [];
      const repetitions = outcome.sets.reduce((sum, set) => sum + set.repetitions, 0);
      const demand = demandOn(askedOf(subject)(planned.rung), ceiling.channel, ceiling.side);
      return demand.isKnown ? [{ day: session.day, demand: demand.value.head, repetitions, response: answered }] : [];
    });
    const [hardest] = doses.filter(({ demand }) => demand > 0).toSorted((a, b) => b.demand - a.demand);
    return hardest ? [hardest] : [];
  });
}

/** What is believed of one ceiling, what it rests on, and what follows. */
export interface LearntOf {
  ceiling: Ceiling;
  /** Its value by the calm pose alone. */
  calibrated: number;
  doses: readonly ToldDose[];
  proposal: ToleranceProposal;
}
/** The belief itself: long, and quickly computed anew where it is drawn. */
export const beliefOf = ({ ceiling, calibrated, doses }: Pick<LearntOf, "ceiling" | "calibrated" | "doses">, today: Day): Tolerance =>
  toleranceFrom({ calibrated, fromDay: ceiling.fromDay }, doses, today);
/** The curve of one ceiling, learnt from every answered dose; its calm pose is where it starts. */
function learntOf(record: ClientRecord, subject: Subject, ceiling: Ceiling, today: Day): LearntOf {
  const raisedBy = record.ceilings.find(({ id }) => id === ceiling.id)?.raisedBy ?? 1;
  const basis = {
    ceiling,
    calibrated: ceiling.value / raisedBy,
    doses: toldDoses(record, subject, ceiling).filter(({ day }) => day <= today),
  };
  const proposal = proposedCeiling(ceiling.value, beliefOf(basis, today), basis.doses, {
    limitValue: limitOn(record, ceiling, today),
    unquiet: unquietNow(record, today),
    sinceDay: ceiling.fromDay,
  });
  return { ...basis, proposal };
}
/** What is known of today that no raise goes past, whatever was calm before. */
function unquietNow({ responses, sessions }: ClientRecord, today: Day): "swelling" | "away" | null {
  if (responses.filter(({ day }) => day <= today).at(-1)?.newSwelling) return "swelling";
  const trained = sessions.filter(({ day, sets }) => day <= today && sets.length > 0).map(({ day }) => day);
  return awaySince(trained.toSorted().at(-1), today) ? "away" : null;
}
/** The most a limit in force allows on a ceiling's own channel and side. */
const limitOn = ({ limits }: Pick<ClientRecord, "limits">, { channel, side }: Ceiling, today: Day): number =>
  Math.min(
    Infinity,
    ...limits.flatMap((limit) =>
      limit.rule.kind === "most" &&
      limit.rule.channel === channel &&
      (limit.side === side || limit.side === "both") &&
      isBinding(limit, today)
        ? [limit.rule.most]
        : [],
    ),
  );

/** Of what was learnt, the first ceiling that its mornings say should move; a limit on the same channel binds whatever is proposed. */
export function firstProposal(learnt: readonly LearntOf[]): { ceiling: Ceiling; move: "raise" | "lower"; value: number } | null {
  for (const { ceiling, proposal } of learnt) if (proposal.move !== "keep") return { ceiling, move: proposal.move, value: proposal.value };
  return null;
}
/** What was learnt of every ceiling of today. */
export const learntOfAll = (
  record: ClientRecord,
  { subject, ceilings, today }: Pick<FitContext, "subject" | "ceilings" | "today">,
): LearntOf[] => learntIn(record)(ceilings)(today, () => ceilings.map((ceiling) => learntOf(record, subject, ceiling, today)));
const learntIn = oncePer((_: ClientRecord) => oncePer((__: FitContext["ceilings"]) => onceByName<LearntOf[]>()));
export const ceilingProposal = (record: ClientRecord, context: Pick<FitContext, "subject" | "ceilings" | "today">) =>
  firstProposal(learntOfAll(record, context));

/** The most of each load that was calm, pattern by pattern. */
export function calmLoads(record: ClientRecord): Partial<Record<Pattern, Setting>> {
  const most: Partial<Record<Pattern, Partial<Record<LeverId, number>>>> = {};
  for (const { session, rung } of donesAsPrescribed(record)) {
    if (!isCalm(record, session)) continue;
    const loads = (most[rung.pattern] ??= {});
    for (const [lever, value] of Object.entries(rung.setting) as [LeverId, number][])
      if (isLoad(lever)) loads[lever] = Math.max(loads[lever] ?? 0, value);
  }
  return most;
}

/** Rows done as prescribed and answered calm, by id. */
export const calmRows = (record: ClientRecord): string[] => [
  ...new Set(donesAsPrescribed(record).flatMap(({ session, rung }) => (isCalm(record, session) ? [rung.variationId] : []))),
];

/** Bends further than the guard rails: those measured on this client, and those that were calm. */
export const ownRange = oncePer((record: ClientRecord): Partial<Record<RailChannelId, number>> => {
  const most = measuredRange(record.findings);
  const subject = subjectOf(record);
  if (!subject) return most;
  const calm = donesAsPrescribed(record).flatMap(({ session, rung }) => (isCalm(record, session) ? [rung] : []));
  for (const rung of new Map(calm.map((each) => [each.id, each])).values()) {
    const asked = askedOf(subject)(rung);
    if (!asked.ok) continue;
    for (const channel of RAIL_CHANNELS) {
      const value = Math.max(0, ...asked.demands.filter((demand) => demand.channel === channel).map(({ low }) => low));
      most[channel] = Math.max(most[channel] ?? 0, value);
    }
  }
  return most;
});

/** Weeks from a day on, counted from 1, in which a morning was not calm. */
export const painfulWeeks = ({ responses }: Pick<ClientRecord, "responses">, from: Day): number[] => [
  ...new Set(responses.flatMap(({ day, class: answer }) => (day >= from && answer !== "calm" ? [blockWeek(from, day)] : []))),
];

/** Usual pain of a complaint before a day, from the mornings before it. */
export function usualScoreOn({ responses, complaints }: ClientRecord, complaintId: string, day: Day): number {
  const before = responses
    .filter((response) => response.day < day)
    .flatMap(({ pains }) => pains.filter((pain) => pain.complaintId === complaintId).map(({ painScore }) => painScore));
  return usualPainScore(before, complaints.find(({ id }) => id === complaintId)?.usualPainScore ?? 0);
}

export const openWarningsOf = ({ warnings, clearances }: Pick<ClientRecord, "warnings" | "clearances">): Warning[] =>
  openWarnings(warnings, clearances);

/** A session whose morning after nobody has told. */
export const missesMorning = (record: ClientRecord, session: SessionFact, today: Day): boolean =>
  session.day < today && session.sets.length > 0 && responseTo(record, session) === null;

/** Days on which this client trained. */
export const trainedDays = ({ sessions }: Pick<ClientRecord, "sessions">): Day[] => [
  ...new Set(sessions.filter(({ sets }) => sets.length > 0).map(({ day }) => day)),
];
