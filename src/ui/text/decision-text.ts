import { type DecisionMove, type DecisionReason, type Limit, type MorningClass, unreachable } from "../../core";
import { jointText } from "./channel-text";
import { fitReasonText, poseFailureText } from "./fit-text";
import { stepText } from "./lever-text";
import { percentText, type UnitSystem } from "./quantity-text";

export function moveText(move: DecisionMove): string {
  switch (move) {
    case "ease":
      return "Ease";
    case "hold":
      return "Hold";
    case "build":
      return "Build";
    case "stop":
      return "Stop and refer";
    default:
      return unreachable(move);
  }
}

export const responseText: Record<MorningClass, string> = {
  calm: "calm next morning",
  noticed: "noticed next morning",
  flare: "flare next morning",
};

export const WARNING_SIGNS: Readonly<Record<string, string>> = {
  "chest-pain": "Chest pain or breathlessness beyond the effort",
  faint: "Dizzy or faint",
  "hot-swollen-joint": "A hot, red or suddenly swollen joint, or fever",
  "calf-swelling": "New swelling or heat in a calf",
  "giving-way": "The knee gave way or locked",
  "bladder-bowel": "Numb saddle, or bladder or bowel not as usual",
  "leg-weakness": "A leg getting weaker",
  "on-the-floor": "A warning sign on the floor",
};

export const warningText = (sign: string): string => WARNING_SIGNS[sign] ?? sign;

/** One reason of a decision, as a sentence. */
export function decisionReasonText(reason: DecisionReason, limits: readonly Limit[], units: UnitSystem): string {
  switch (reason.code) {
    case "no-session":
      return "Nothing was trained at this rung yet.";
    case "warning-sign":
      return `Warning sign: ${reason.signs.map(warningText).join("; ")}. Planning stops until a clinician has cleared it.`;
    case "sharp-pain":
      return "Sharp pain ended a set.";
    case "spreading-pain":
      return "Pain spread down the leg.";
    case "new-swelling":
      return "More swollen than usual the next morning. Swelling outranks pain; tell the treating clinician if it stays.";
    case "flare":
      return "A flare: two or more above usual the next morning.";
    case "noticed":
      return "The joint noticed: above usual the next morning.";
    case "morning-missing":
      return "The next morning is not known, and a missing morning never builds.";
    case "ceiling-provisional":
      return "The ceiling is provisional: no building until a dose at the calm pose was calm the next morning.";
    case "pain-over-number":
      return `Pain reached ${reason.painScore}; the number agreed for this site is ${reason.limitScore}.`;
    case "pain-not-recorded":
      return `Pain was not said in set ${reason.setNumber}, and it is never assumed.`;
    case "eased-on-the-floor":
      return "It was eased on the floor, so this rung was not done all through.";
    case "sets-short":
      return `${reason.setCount} of ${reason.targetSetCount} sets were done.`;
    case "repetitions-short":
      return `Set ${reason.setNumber} had ${reason.repetitions} repetitions; the goal is ${reason.goal} in every set.`;
    case "tank-short":
      return reason.leftInTank === null
        ? "What was left in the tank after the last set was not said."
        : `Last set ${reason.repetitions} with ${reason.leftInTank} left in the tank; together ${reason.needed} are needed.`;
    case "form-not-clean":
      return `Form was not clean: ${reason.faults.map((fault) => fault.replaceAll("-", " ")).join(", ")}.`;
    case "earned-once":
      return `Everything was there this time. It takes ${reason.needed} sessions running.`;
    case "earned":
      return `${reason.goal} clean repetitions in every set, with some left in the tank, and a calm morning, twice running.`;
    case "no-harder-step":
      return "Nothing harder is left in this variation at a size worth calling a step: look at the next variation on Fit.";
    case "no-easier-step":
      return "Nothing easier is left in this variation: look at an easier one on Fit.";
    case "next-step-closed":
      return `The next step is closed: ${fitReasonText(reason.reason, limits)}`;
    case "next-step": {
      const { lever, from, to, riserFraction, channel, tooBig } = reason.step;
      const more = riserFraction > 0 ? "more" : "less";
      const jump = tooBig ? " A big jump, but nothing smaller is on hand." : "";
      return `${stepText(lever, from, to, units)}: the ${jointText(channel, "both")} is asked ${percentText(Math.abs(riserFraction))} ${more}.${jump}`;
    }
    case "ceiling-proposed":
      return "Calm mornings near the ceiling: a ceiling 5% higher is proposed, for you to confirm.";
    default:
      return unreachable(reason);
  }
}

/** Why a step could not be taken, by its code; anything unknown is said plainly. */
export function refusalText(refusal: { code: string; reason?: string; day?: string }): string {
  switch (refusal.code) {
    case "no-such-client":
      return "This client is not in your studio.";
    case "no-body":
      return "Stature and mass are needed first.";
    case "no-plan":
      return "There is no plan yet: choose a rung on Fit and keep it.";
    case "no-such-session":
      return "This session is not this client's.";
    case "already-decided":
      return "This session was decided already, perhaps on another tablet. Reload to see it.";
    case "setting-out-of-range":
      return "This set-up is outside what this variation is for.";
    case "closed-needs-note":
      return "This is past a ceiling. Say why you keep it all the same.";
    case "morning-too-early":
      return "The morning after can be answered from the next day on.";
    case "warning-open":
      return "A warning sign stands open. Planning goes on once a clinician's clearance is recorded under Limits.";
    case "blocked-by-limit":
      return "A limit does not allow this. It can be lifted under Limits by whoever owns it.";
    case "measure-again":
      return "These angles cannot all be right for this seat: the weight would be outside the foot. Measure again.";
    case "seat-out-of-reach":
      return "This seat is higher or lower than the hips can be.";
    case "pose-impossible":
      return `Not possible in this set-up: ${poseFailureText(refusal.reason as never)}.`;
    case "overrule-refused":
      return OVERRULE_TEXT[refusal.reason ?? ""] ?? "This cannot be overruled.";
    default:
      return "That did not work. Nothing you entered was lost; try again.";
  }
}

const OVERRULE_TEXT: Readonly<Record<string, string>> = {
  "warning-sign": "A warning sign cannot be overruled. A clinician clears it.",
  "limit-blocks": "A limit does not allow this step.",
  "note-missing": "Say why you decide otherwise: a few words are enough.",
  "no-such-step": "There is no such step in this variation.",
};
