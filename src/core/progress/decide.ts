import type { Dose } from "../catalogue/variation";
import type { FitReason } from "../fit/candidate";
import type { Step } from "../fit/stair";
import type { Day } from "../limits/limit";
import type { MorningClass } from "./morning";

/** One set as it was done. What was not said stays null: pain and effort are never assumed. */
export interface PerformedSet {
  repetitions: number;
  painScore: number | null;
  leftInTank: number | null;
  /** Fault ids seen; none means clean. */
  faults: readonly string[];
  endedBy: "pain-tap" | "sharp" | "spreading" | "warning-sign";
}

/** One session at one rung, and the morning after it. */
export interface SessionOutcome {
  day: Day;
  sets: readonly PerformedSet[];
  /** Something was eased on the floor: not this rung all through. */
  eased: boolean;
  response: MorningClass | null;
  newSwelling: boolean;
  warningSigns: readonly string[];
}

export interface DecisionInput {
  dose: Dose;
  /** Sessions at this rung, oldest first. */
  sessions: readonly SessionOutcome[];
  painLimitScore: number;
  /** The ceiling has not been confirmed by a calm morning. */
  provisional: boolean;
  ease: Step | null;
  build: Step | null;
  /** Value a ceiling is proposed to be raised to, or null. */
  proposedCeiling: number | null;
}

export type DecisionReason =
  | { code: "no-session" }
  | { code: "warning-sign"; signs: readonly string[] }
  | { code: "sharp-pain" | "spreading-pain" | "new-swelling" | "flare" | "noticed" | "morning-missing" | "ceiling-provisional" }
  | { code: "pain-over-number"; painScore: number; limitScore: number }
  | { code: "pain-not-recorded"; setNumber: number }
  | { code: "eased-on-the-floor" }
  | { code: "sets-short"; setCount: number; targetSetCount: number }
  | { code: "repetitions-short"; setNumber: number; repetitions: number; goal: number }
  | { code: "tank-short"; repetitions: number; leftInTank: number | null; needed: number }
  | { code: "form-not-clean"; faults: readonly string[] }
  | { code: "earned-once"; needed: number }
  | { code: "earned"; sessionCount: number; goal: number }
  | { code: "no-harder-step" }
  | { code: "no-easier-step" }
  | { code: "next-step-closed"; reason: FitReason }
  | { code: "next-step"; step: Pick<Step, "lever" | "from" | "to" | "riserFraction" | "tooBig" | "channel"> }
  | { code: "ceiling-proposed"; value: number };

export type DecisionMove = "ease" | "hold" | "build" | "stop";
export interface Decision {
  move: DecisionMove;
  /** The rule that fired: the first reason's code. */
  rule: DecisionReason["code"];
  step: Step | null;
  reasons: readonly [DecisionReason, ...DecisionReason[]];
}

export const SESSIONS_TO_BUILD = 2;
export const TANK_MARGIN = 2;

/** Why the last session calls for stopping or easing, most urgent first, or null. NaN falls on the safe side. */
function setback({ sets, response, newSwelling, warningSigns }: SessionOutcome, limitScore: number): DecisionReason | null {
  const signs = sets.some((set) => set.endedBy === "warning-sign") ? [...warningSigns, "on-the-floor"] : warningSigns;
  if (signs.length > 0) return { code: "warning-sign", signs };
  if (sets.some((set) => set.endedBy === "sharp")) return { code: "sharp-pain" };
  if (sets.some((set) => set.endedBy === "spreading")) return { code: "spreading-pain" };
  if (newSwelling) return { code: "new-swelling" };
  const over = sets.find(({ painScore }) => painScore !== null && !(painScore <= limitScore));
  if (over) return { code: "pain-over-number", painScore: over.painScore ?? NaN, limitScore };
  return response === "flare" ? { code: "flare" } : null;
}

/** The first thing that keeps a session from counting toward a build, or null when it counts. */
function shortfall({ sets, response, eased }: SessionOutcome, dose: Dose): DecisionReason | null {
  const goal = dose.repetitionsHigh;
  if (response === null) return { code: "morning-missing" };
  if (response !== "calm") return { code: "noticed" };
  if (eased) return { code: "eased-on-the-floor" };
  if (sets.length < dose.setCount) return { code: "sets-short", setCount: sets.length, targetSetCount: dose.setCount };
  const unsaid = sets.findIndex(({ painScore }) => painScore === null);
  if (unsaid >= 0) return { code: "pain-not-recorded", setNumber: unsaid + 1 };
  const shortSet = sets.findIndex(({ repetitions }) => !(repetitions >= goal));
  if (shortSet >= 0) return { code: "repetitions-short", setNumber: shortSet + 1, repetitions: sets[shortSet]?.repetitions ?? 0, goal };
  const faults = [...new Set(sets.flatMap((set) => set.faults))];
  if (faults.length > 0) return { code: "form-not-clean", faults };
  const last = sets.at(-1);
  const tank = last?.leftInTank ?? null;
  if (!last || tank === null || !(last.repetitions + tank >= goal + TANK_MARGIN))
    return { code: "tank-short", repetitions: last?.repetitions ?? 0, leftInTank: tank, needed: goal + TANK_MARGIN };
  return null;
}

const stepReason = ({ lever, from, to, riserFraction, tooBig, channel }: Step): DecisionReason => ({
  code: "next-step",
  step: { lever, from, to, riserFraction, tooBig, channel },
});

function decided(move: DecisionMove, step: Step | null, reasons: readonly [DecisionReason, ...DecisionReason[]]): Decision {
  return { move, rule: reasons[0].code, step, reasons };
}

function eased(input: DecisionInput, reason: DecisionReason): Decision {
  return decided("ease", input.ease, [reason, input.ease ? stepReason(input.ease) : { code: "no-easier-step" }]);
}

function built({ build, provisional, proposedCeiling, sessions, dose }: DecisionInput): Decision {
  const earned: DecisionReason = { code: "earned", sessionCount: sessions.length, goal: dose.repetitionsHigh };
  const proposal: DecisionReason[] = proposedCeiling === null ? [] : [{ code: "ceiling-proposed", value: proposedCeiling }];
  if (provisional) return decided("hold", null, [{ code: "ceiling-provisional" }, earned]);
  if (!build) return decided("hold", null, [{ code: "no-harder-step" }, earned, ...proposal]);
  if (build.judgement.state === "closed")
    return decided("hold", null, [{ code: "next-step-closed", reason: build.judgement.reasons[0] }, earned, ...proposal]);
  return decided("build", build, [earned, stepReason(build), ...proposal]);
}

/**
 * Ease, hold, build, or stop and refer: the one gate. Build needs the goal at the top of the range in every set, the
 * last set with repetitions plus left in the tank at least goal + 2, clean form, pain said and within the school's
 * number, nothing sharp and a calm morning, all that twice running, with a confirmed ceiling and a next step that is
 * not closed. A setback eases by one lever; a missing morning never builds; whatever no rule matches holds.
 */
export function decide(input: DecisionInput): Decision {
  const last = input.sessions.at(-1);
  if (!last) return decided("hold", null, [{ code: "no-session" }]);
  const back = setback(last, input.painLimitScore);
  if (back) return back.code === "warning-sign" ? decided("stop", null, [back]) : eased(input, back);
  const short = shortfall(last, input.dose);
  if (short) return decided("hold", null, [short]);
  const counted = input.sessions.slice(-SESSIONS_TO_BUILD);
  const allCount = counted.every((session) => !setback(session, input.painLimitScore) && !shortfall(session, input.dose));
  if (counted.length < SESSIONS_TO_BUILD || !allCount) return decided("hold", null, [{ code: "earned-once", needed: SESSIONS_TO_BUILD }]);
  return built(input);
}

export type OverruleRefusal = { code: "warning-sign" | "limit-blocks" | "note-missing" | "no-such-step" };

/** Why a trainer's overruling cannot be taken, or null. Never past a warning sign or a hard limit; always with a note. */
export function overruleRefusal(
  decision: Decision,
  move: "ease" | "hold" | "build",
  step: Step | null,
  note: string,
): OverruleRefusal | null {
  if (decision.move === "stop") return { code: "warning-sign" };
  if (note.trim() === "") return { code: "note-missing" };
  if (move !== "hold" && !step) return { code: "no-such-step" };
  return step?.judgement.blocked ? { code: "limit-blocks" } : null;
}
