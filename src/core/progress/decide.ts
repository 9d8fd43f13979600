import type { Dose } from "../catalogue/variation";
import type { NumberChannelId } from "../mechanics/channels";
import type { Place } from "../judge/context";
import type { FitReason } from "../judge/fit-reason";
import type { Judgement } from "../judge/judge";
import { closesBy, type Stepped } from "../progressions/step";
import type { Change, Tread } from "../progressions/tread";
import { tryDose } from "../dose/dose";
import { type Day, daysBetween } from "../day";
import { type Away, AWAY_DAYS } from "./away";
import type { Warning } from "./warning";
import type { DecisionReason, SupportStanding } from "./decision-reason";
import { type SessionOutcome, setback, shortfall } from "./outcome";

export interface DecisionInput {
  today: Day;
  dose: Dose;
  /** How long nothing was trained at all, where that takes something off; null where it does not. */
  away: Away | null;
  /** Sessions at this rung; they are taken in the order of their days. */
  sessions: readonly SessionOutcome[];
  /** Warnings that no clinician has cleared, of any session or morning, however long ago. */
  openWarnings: readonly Warning[];
  painLimitScore: number;
  /** Good sessions in a row that a build takes: the school's. */
  sessionsToBuild: number;
  /** The ceiling has not been confirmed by a calm morning. */
  provisional: boolean;
  /** The rung as it stands today. */
  current: Pick<Judgement, "state" | "blocked" | "isPossible" | "reasons">;
  ease: Stepped | null;
  easeTwice: Stepped | null;
  /** One set fewer here; null where there is only one. */
  fewerSets: Stepped | null;
  /** From a rung that is now forbidden, the nearest that is not. */
  easeUntilAllowed: Stepped | null;
  build: Stepped | null;
  /** The plan was changed since this was trained: it may be eased, and builds nothing. */
  isPlanChanged: boolean;
  /** Value a ceiling is proposed to be raised to, or null. */
  proposedCeiling: number | null;
  /** This side already stands a step ahead of the other: it waits for it. */
  isAhead: boolean;
  /** A school that ties both sides: the other one is not there yet in the same session. */
  isOtherShort?: boolean;
  /** Decisions to hold in this line of work, one after the other up to now. */
  holdsRunning: number;
  /** Sets of this exercise on this side that sharp pain ended, ever. */
  sharpMarks: number;
  /** Support that stands at more than a fade, week by week, would have left by now. */
  support?: SupportStanding | null;
  /** Six weeks at a row that takes turns are over: whose turn it is, and how it fits this client; null where it does not. */
  turn?: { weeks: number; step: Stepped | null } | null;
}
/** From here on the cause is asked for, not more of the same; and a painful exercise is left. */
const HOLDS_NOTICED = 3;
const SHARP_NOTICED = 3;

/** Rest is an ease with nothing easier left: not this pattern today, and whom to ask. */
export type DecisionMove = "ease" | "hold" | "build" | "rest" | "stop";
/** Where a move leads: a place and the dose there. */
export interface Next extends Place {
  dose: Dose;
  change: Change;
  channel: NumberChannelId | null;
  riserFraction: number | null;
}
export interface Decision {
  move: DecisionMove;
  /** The rule that fired: the first reason's code. */
  rule: DecisionReason["code"];
  next: Next | null;
  reasons: readonly [DecisionReason, ...DecisionReason[]];
}

const decided = (move: DecisionMove, next: Next | null, ...reasons: [DecisionReason, ...DecisionReason[]]): Decision => ({
  move,
  rule: reasons[0].code,
  next,
  reasons,
});

export const nextOf = ({ variationId, setting, change, channel, riserFraction }: Tread, dose: Dose): Next => ({
  variationId,
  setting,
  dose,
  change: change ?? { levers: [], fromVariationId: null, sets: null },
  channel,
  riserFraction,
});
const blockOver = ({ weeks, step }: NonNullable<DecisionInput["turn"]>): DecisionReason => ({
  code: "block-over",
  weeks,
  toVariationId: step?.tread.variationId ?? null,
});
const stepReason = ({ change, channel, riserFraction }: Next): DecisionReason => ({ code: "next-step", change, channel, riserFraction });

/** Ease always eases: where nothing easier is left, this pattern rests today. */
function eased(to: Stepped | null, reason: DecisionReason): Decision {
  if (!to) return decided("rest", null, reason, { code: "rest-and-ask" });
  const next = nextOf(to.tread, to.dose);
  return decided("ease", next, reason, stepReason(next));
}

/** After a time away a set is given back, after a longer one a step, before anything older may build; where nothing is left, it stands. */
function givenBack({ ease, fewerSets }: DecisionInput, { days, step }: Away): Decision {
  const reason: DecisionReason = { code: "time-away", days };
  const to = step === "set-fewer" ? (fewerSets ?? ease) : ease;
  return to ? eased(to, reason) : decided("hold", null, reason);
}

/** What keeps a rung from being trained at all today: never the missing equipment, which hurts nobody. */
const forbids = ({ state, reasons }: DecisionInput["current"]): FitReason | null => (state === "closed" ? closesBy({ reasons }) : null);

function built(input: DecisionInput): Decision {
  const { provisional, proposedCeiling, sessions, dose, current, turn } = input;
  const build = turn?.step ?? input.build; // its turn is over: the next of them, before a harder lever of the same
  const earned: DecisionReason = { code: "earned", sessionCount: sessions.length, goal: dose.repetitionsHigh };
  const proposal: DecisionReason[] = proposedCeiling === null ? [] : [{ code: "ceiling-proposed", value: proposedCeiling }];
  if (current.state === "not-measured") return decided("hold", null, { code: "not-measured", reason: current.reasons[0] }, earned);
  if (provisional) return decided("hold", null, { code: "ceiling-provisional" }, earned);
  if (!build) return decided("hold", null, { code: "no-harder-step" }, earned, ...proposal);
  const { tread } = build;
  const { state, reasons } = tread.judgement;
  if (state === "closed") return decided("hold", null, { code: "next-step-closed", reason: reasons[0] }, earned, ...proposal);
  if (state === "not-measured") return decided("hold", null, { code: "not-measured", reason: reasons[0] }, earned, ...proposal);
  if (tread.size === "too-big")
    return decided("hold", null, { code: "next-step-too-big", riserFraction: tread.riserFraction ?? NaN }, earned, ...proposal);
  if (state === "try" && tread.change?.mixed)
    return decided("hold", null, { code: "next-step-closed", reason: reasons[0] }, earned, ...proposal);
  const isTry = state === "try" && tread.change?.sets == null;
  const next = nextOf(tread, isTry ? tryDose(build.dose) : build.dose);
  const asTry: DecisionReason[] = isTry ? [{ code: "as-a-try", reason: reasons[0] }] : [];
  return decided("build", next, earned, stepReason(next), ...asTry, ...proposal);
}

/**
 * Ease, hold, build, rest, or stop and refer: the one gate. The rung as it stands today is judged before the log, and a
 * warning nobody cleared before both. Build needs the goal at the top of the range in every set, the last with
 * repetitions plus left in the tank at least goal + 2, clean form, pain said and within the number, nothing sharp and a
 * calm morning, all that twice running, with a confirmed ceiling and a next step that is open, or tried with one light
 * set. A missing morning never builds; whatever no rule matches holds.
 * @throws RangeError for a session in the future
 */
export function decide(input: DecisionInput): Decision {
  const decision = ruled(input);
  const holds = input.holdsRunning + 1;
  const goesOn = decision.move === "hold" || decision.move === "build";
  const notes: DecisionReason[] = [
    ...(decision.move === "hold" && holds >= HOLDS_NOTICED ? [{ code: "holds-running" as const, count: holds }] : []),
    ...(input.sharpMarks >= SHARP_NOTICED ? [{ code: "sharp-marks" as const, count: input.sharpMarks }] : []),
    ...(goesOn && input.support ? [{ code: "support-standing" as const, ...input.support }] : []),
    ...(goesOn && input.turn ? [blockOver(input.turn)] : []),
  ];
  return { ...decision, reasons: [...decision.reasons, ...notes] };
}

function ruled(input: DecisionInput): Decision {
  const sessions = input.sessions.toSorted((a, b) => a.day.localeCompare(b.day));
  const last = sessions.at(-1);
  if (last && last.day > input.today) throw new RangeError(`a session on ${last.day}, after ${input.today}`);
  if (input.openWarnings.length > 0)
    return decided("stop", null, { code: "warning-sign", signs: input.openWarnings.map(({ sign }) => sign) });
  const back = last ? setback(last, input.painLimitScore) : null;
  if (back?.by === "stop") return decided("stop", null, back.reason);
  const forbidden = forbids(input.current);
  if (forbidden) {
    // after pain two steps, where they lead out of it as well; else as far as out of it takes
    const isOut = back?.by === "two" && input.easeTwice !== null && !forbids(input.easeTwice.tread.judgement);
    return eased(isOut ? input.easeTwice : input.easeUntilAllowed, { code: "rung-forbidden", reason: forbidden });
  }
  if (!last) return decided("hold", null, { code: "no-session" });
  if (back?.by === "two") return eased(input.easeTwice, back.reason);
  if (back) return eased(input.ease, back.reason);
  if (input.away) return givenBack(input, input.away);
  const short = shortfall(last, input.dose);
  if (short) return decided("hold", null, short);
  const { sessionsToBuild } = input;
  const counted = sessions.slice(-sessionsToBuild);
  const allCount = counted.every((session) => !setback(session, input.painLimitScore) && !shortfall(session, input.dose));
  if (counted.length < sessionsToBuild || !allCount) return decided("hold", null, { code: "earned-once", needed: sessionsToBuild });
  const apart = Math.max(0, ...counted.slice(1).map(({ day }, i) => daysBetween(counted[i]?.day ?? day, day)));
  if (!(apart < AWAY_DAYS.setFewer)) return decided("hold", null, { code: "sessions-apart", days: apart });
  if (input.isPlanChanged) return decided("hold", null, { code: "plan-changed" });
  if (input.isOtherShort) return decided("hold", null, { code: "other-side-short" });
  if (input.isAhead) return decided("hold", null, { code: "other-side-behind" });
  return built(input);
}

export type OverruleRefusal = { code: "warning-sign" | "limit-blocks" | "note-missing" | "no-such-step" };

/** Why a trainer's overruling cannot be taken, or null. Never past a warning sign or a hard limit; always with a note. */
export function overruleRefusal(
  decision: Decision,
  move: DecisionMove,
  isBlocked: boolean,
  next: Next | null,
  note: string,
): OverruleRefusal | null {
  if (decision.move === "stop") return { code: "warning-sign" };
  if (note.trim() === "") return { code: "note-missing" };
  if ((move === "ease" || move === "build") && !next) return { code: "no-such-step" };
  return isBlocked ? { code: "limit-blocks" } : null;
}
