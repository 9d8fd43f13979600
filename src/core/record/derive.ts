import { parseDate } from "@internationalized/date";
import { bodyFromMeasure, type BodyMeasure } from "../body/body";
import { variationById } from "../catalogue/catalogue";
import type { Equipment, LeverId } from "../catalogue/variation";
import { DEFAULT_INCREMENTS, DEFAULT_TARGET_USE, type FitContext } from "../fit/candidate";
import type { Subject } from "../fit/demand";
import { nextStep } from "../fit/stair";
import { type AnsweredDose, type Ceiling, currentCeilings, isProvisional, proposedRaise } from "../limits/ceiling";
import type { Day } from "../limits/limit";
import { DEFAULT_POSTURE, type PostureRule } from "../mechanics/posture";
import { decide, type Decision, type DecisionInput, type SessionOutcome } from "../progress/decide";
import { usualPainScore } from "../progress/morning";
import type { ClientRecord, PrescriptionFact, ResponseFact, RungFact, SessionFact } from "./record";

/** What the studio has on hand; the same for every client. */
export interface StudioKit {
  increments: Readonly<Record<LeverId, number>>;
  equipment: readonly Equipment[];
}

export const DEFAULT_KIT: StudioKit = {
  increments: DEFAULT_INCREMENTS,
  equipment: ["chair", "pads", "box", "pole", "counter", "rail", "dumbbell", "barbell"],
};

/** Body, posture and side to watch, from the latest of each. Null until a body is measured. */
export function subjectOf(record: ClientRecord): Subject | null {
  const measure = bodyMeasureOf(record);
  return measure && { body: bodyFromMeasure(measure), posture: postureOf(record), leadSide: record.client.side };
}

/** The body as last measured, or null until one is. */
export function bodyMeasureOf({ client, measures }: Pick<ClientRecord, "client" | "measures">): BodyMeasure | null {
  const measure = measures.at(-1);
  return measure ? { heightM: measure.heightM, massKg: measure.massKg, sex: client.sex, ...measure.overrides } : null;
}

export const postureOf = ({ postures }: ClientRecord): PostureRule => postures.at(-1)?.rule ?? DEFAULT_POSTURE;

export function fitContextOf(record: ClientRecord, today: Day, kit: StudioKit): FitContext | null {
  const subject = subjectOf(record);
  if (!subject) return null;
  const ceilings = currentCeilings(record.ceilings, today);
  return { subject, limits: record.limits, ceilings, today, ...kit, targetUseFraction: DEFAULT_TARGET_USE };
}

/** The prescription in force, and the rung it is for. */
export function currentPlan({ prescriptions, rungs }: ClientRecord): { prescription: PrescriptionFact; rung: RungFact } | null {
  const prescription = prescriptions.at(-1);
  const rung = rungs.find(({ id }) => id === prescription?.rungId);
  return prescription && rung ? { prescription, rung } : null;
}

export function rungOf(record: ClientRecord, session: SessionFact): RungFact | null {
  const prescription = record.prescriptions.find(({ id }) => id === session.items[0]?.prescriptionId);
  return record.rungs.find(({ id }) => id === prescription?.rungId) ?? null;
}

const responseTo = ({ responses }: ClientRecord, { id }: SessionFact): ResponseFact | null =>
  responses.findLast(({ sessionId }) => sessionId === id) ?? null;

/** Usual pain before a day, from the mornings before it. */
export function usualScoreOn({ responses, client }: ClientRecord, day: Day): number {
  const before = responses.filter((response) => response.day < day).map(({ painScore }) => painScore);
  return usualPainScore(before, client.baselinePainScore);
}

/** Sessions that were trained and not yet decided on, oldest first. */
export const undecidedSessions = ({ sessions, decisions }: ClientRecord): SessionFact[] =>
  sessions.filter(
    ({ id, sets, warningSigns }) => (sets.length > 0 || warningSigns.length > 0) && !decisions.some(({ sessionId }) => sessionId === id),
  );

/** Warning signs that no clinician has cleared since: they stop planning. */
export function openWarning({ sessions, responses, clearances }: ClientRecord): { day: Day; signs: readonly string[] } | null {
  const seen = [
    ...sessions.map(({ day, warningSigns, sets }) => ({
      day,
      signs: warningSigns.length > 0 ? warningSigns : sets.some(({ endedBy }) => endedBy === "warning-sign") ? ["on-the-floor"] : [],
    })),
    ...responses.map(({ day, warningSigns }) => ({ day, signs: warningSigns })),
  ].filter(({ signs }) => signs.length > 0);
  seen.sort((a, b) => a.day.localeCompare(b.day));
  const last = seen.at(-1);
  return last && !clearances.some(({ day }) => day >= last.day) ? last : null;
}

const daysBetween = (from: Day, to: Day): number => parseDate(to).compare(parseDate(from));

/** Doses that speak for one ceiling: the calm pose that set it, then every session, with the mornings after. */
export function answeredDoses(record: ClientRecord, ceiling: Ceiling): AnsweredDose[] {
  const calm = record.calmPoses
    .filter(({ id }) => id === ceiling.source.id)
    .map(({ day }): AnsweredDose => {
      const answer = record.responses.find((r) => r.day > day && daysBetween(day, r.day) <= 2);
      return { day, useFraction: 1, response: answer?.class ?? null };
    });
  const trained = record.sessions.flatMap((session): AnsweredDose[] => {
    const demand = rungOf(record, session)?.demands.find((d) => d.channel === ceiling.channel && d.side === ceiling.side);
    if (!demand || demand.refused || session.sets.length === 0 || session.eases.length > 0) return [];
    return [{ day: session.day, useFraction: demand.head / ceiling.value, response: responseTo(record, session)?.class ?? null }];
  });
  return [...calm, ...trained];
}

/** Whether a ceiling speaks for another past 90 degrees of bend. */
export const standsInForIt = (standIn: Ceiling, main: Ceiling): boolean =>
  standIn.standsInFor !== null && standIn.standsInFor === main.channel && standIn.side === main.side;

/** A ceiling that calm mornings near it allow to be raised, with the value proposed. */
export function ceilingProposal(record: ClientRecord, today: Day): { ceiling: Ceiling; value: number } | null {
  const current = currentCeilings(record.ceilings, today);
  for (const ceiling of current) {
    if (current.some((other) => standsInForIt(ceiling, other))) continue; // it rises with the one it speaks for
    const value = proposedRaise(ceiling, answeredDoses(record, ceiling));
    if (value !== null) return { ceiling, value };
  }
  return null;
}

/** A ceiling taken over from history was confirmed by the mornings that raised it. */
export const isCeilingProvisional = (record: ClientRecord, ceiling: Ceiling): boolean =>
  ceiling.source.kind === "calm-pose" && isProvisional(ceiling, answeredDoses(record, ceiling));

function outcomeOf(record: ClientRecord, session: SessionFact): SessionOutcome {
  const response = responseTo(record, session);
  return {
    day: session.day,
    sets: session.sets,
    eased: session.eases.length > 0 || session.checkIn?.choice === "ease-all",
    response: response?.class ?? null,
    newSwelling: response?.newSwelling ?? false,
    warningSigns: [...session.warningSigns, ...(response?.warningSigns ?? [])],
  };
}

/** Sessions in a row, up to and with the given one, that were trained at its prescription's rung. */
function outcomesAtRung(record: ClientRecord, session: SessionFact): SessionOutcome[] {
  const rung = rungOf(record, session);
  const trained = record.sessions.filter(({ sets, warningSigns, id }) => sets.length > 0 || warningSigns.length > 0 || id === session.id);
  const upTo = trained.slice(0, trained.findIndex(({ id }) => id === session.id) + 1);
  const firstOther = upTo.findLastIndex((earlier) => rungOf(record, earlier)?.id !== rung?.id);
  return upTo.slice(firstOther + 1).map((each) => outcomeOf(record, each));
}

/** Everything the gate asks about one session, or null where there is no plan to decide about. */
export function decisionInputOf(record: ClientRecord, session: SessionFact, today: Day, kit: StudioKit): DecisionInput | null {
  const context = fitContextOf(record, today, kit);
  const rung = rungOf(record, session);
  const prescription = record.prescriptions.find(({ id }) => id === session.items[0]?.prescriptionId);
  if (!context || !rung || !prescription) return null;
  const variation = variationById(rung.variationId);
  return {
    dose: prescription.dose,
    sessions: outcomesAtRung(record, session),
    painLimitScore: record.client.painLimitScore,
    provisional: context.ceilings.some((ceiling) => isCeilingProvisional(record, ceiling)),
    ease: nextStep(context, variation, rung.setting, "ease"),
    build: nextStep(context, variation, rung.setting, "build"),
    proposedCeiling: ceilingProposal(record, today)?.value ?? null,
  };
}

export function decisionFor(
  record: ClientRecord,
  session: SessionFact,
  today: Day,
  kit: StudioKit,
): { input: DecisionInput; decision: Decision } | null {
  const input = decisionInputOf(record, session, today, kit);
  return input && { input, decision: decide(input) };
}
