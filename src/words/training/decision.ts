import { warningText } from "../client/warning";
import { variationById } from "../../core/catalogue/catalogue";
import type { UnitSystem } from "../../core/units";
import type { Limit } from "../../core/limits/limit";
import type { DecisionMove } from "../../core/progress/decide";
import type { DecisionReason } from "../../core/progress/decision-reason";
import type { MorningClass } from "../../core/progress/morning";
import { endedBy } from "../../core/progress/warning";
import { unreachable } from "../../core/reasons";
import { jointText } from "../basics/channel";
import { fitReasonText } from "./fit";
import { changeText } from "../basics/lever";
import { percentText, secondsText } from "../basics/quantity";

export function moveText(move: DecisionMove): string {
  switch (move) {
    case "ease":
      return "Ease";
    case "hold":
      return "Hold";
    case "build":
      return "Build";
    case "rest":
      return "Rest this pattern";
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

/** "a clinician has cleared it" */
export function untilText(signs: readonly string[]): string {
  const by = new Set(signs.map(endedBy));
  if (!by.has("lead")) return "a clinician has cleared it";
  return by.has("clinician")
    ? "a clinician has cleared the sign, and a lead has looked at what cannot be read"
    : "a lead of the studio has looked at it";
}

/** What stops all planning, and where it is ended. */
export const stoppedText = (signs: readonly string[]): string =>
  signs.every((sign) => endedBy(sign) === "lead")
    ? "Something stored cannot be read. Planning goes on once a lead of the studio has looked at it under Limits."
    : "A warning sign stands open. Planning goes on once a clinician's clearance is recorded under Limits.";

/** One reason of a decision, as a sentence. */
export function decisionReasonText(reason: DecisionReason, limits: readonly Limit[], units: UnitSystem, toName = "the next row"): string {
  switch (reason.code) {
    case "no-session":
      return "Nothing was trained at this rung yet.";
    case "warning-sign":
      return `Warning sign: ${reason.signs.map(warningText).join("; ")}. Planning stops until ${untilText(reason.signs)}.`;
    case "rung-forbidden":
      return `This rung is no longer allowed. ${fitReasonText(reason.reason, limits, units)}`;
    case "not-measured":
      return fitReasonText(reason.reason, limits, units);
    case "sharp-pain":
      return "Sharp pain ended a set: two steps back.";
    case "spreading-pain":
      return "Pain spread down the leg: stop, and the treating clinician looks first.";
    case "belly-pressure":
      return "Pressure in the belly or pelvis: stop, and the maternity team or treating clinician looks first.";
    case "joint-pressure":
      return "Pressure in the joint ended a set: one step back.";
    case "new-swelling":
      return "More swollen than usual the next morning. Swelling outranks pain; tell the treating clinician if it stays.";
    case "flare":
      return "A flare: two or more above usual the next morning. Two steps back.";
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
      return "It was changed on the floor, so this rung was not done all through.";
    case "under-relief":
      return "Done, or the morning told, under more pain relief than usual or soon after an injection: calm under that proves nothing.";
    case "check-in-missing":
      return "Nobody checked in before it, and no answer never builds.";
    case "check-in-warned":
      return "The check-in told of new swelling or of pain over the number, and it was gone past: it does not count towards building.";
    case "morning-late":
      return "The morning after was told later than the next day: kept as a memory, and it does not count towards building.";
    case "sign-said":
      return "A warning sign was said in it or the morning after: it counts for nothing, also once the sign is cleared.";
    case "muscle-pain":
      return `Marked as a muscle at work, with pain of ${reason.painScore}: over 5 it does not count towards building.`;
    case "time-away":
      return `${reason.days} days without training come first: something is given back before anything older may build.`;
    case "sessions-apart":
      return `The good sessions lie ${reason.days} days apart: they do not run on, and the next one counts from here.`;
    case "plan-changed":
      return "The plan was changed since this was trained: what stands now is built by its own sessions.";
    case "light-day":
      return "It was a light day: it counts neither for nor against a build.";
    case "sore-muscles":
      return "Muscles were sore, the joint was not: expected after something new. It holds until the work is no longer new.";
    case "other-side-short":
      return "This side is there; the school ties both sides, and the other is not yet.";
    case "sets-short":
      return `${reason.setCount} of ${reason.targetSetCount} sets were done.`;
    case "time-short":
      return `Set ${reason.setNumber} went for ${secondsText(reason.workedS)}; the goal is ${secondsText(reason.goalS)} in every set.`;
    case "could-go-on-short":
      return reason.leftS === null
        ? "How long it could have gone on after the last set was not said."
        : `It could have gone on for ${secondsText(reason.leftS)} after the last set; ${secondsText(reason.neededS)} are needed.`;
    case "repetitions-short":
      if (reason.ofDrops) return `The drop set had ${reason.repetitions} repetitions in all; the goal is ${reason.goal}.`;
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
      return "Nothing harder is left in this variation: look at the next one on Fit.";
    case "rest-and-ask":
      return "Nothing easier is left: rest this pattern today, and ask the treating clinician before it is trained again.";
    case "next-step-closed":
      return `The next step is closed: ${fitReasonText(reason.reason, limits, units)}`;
    case "next-step-too-big":
      return `The smallest step on hand asks ${percentText(reason.riserFraction)} more, over the school's largest. It is not taken by itself: decide otherwise, with a reason, or find a smaller step.`;
    case "as-a-try":
      return `Only as a try, one light set: ${fitReasonText(reason.reason, limits, units)}`;
    case "next-step": {
      const { change, channel, riserFraction } = reason;
      const what = changeText(change, toName, units);
      if (riserFraction === null || channel === null) return `${what}.`;
      return `${what}: the ${jointText(channel, "both")} is asked ${percentText(Math.abs(riserFraction))} ${riserFraction > 0 ? "more" : "less"}.`;
    }
    case "other-side-behind":
      return "Earned, and this side already stands a step ahead of the other: it waits for it.";
    case "holds-running":
      return `${reason.count} holds running: look for the cause, not for more of the same.`;
    case "sharp-marks":
      return `${reason.count} sets of this exercise ended with sharp pain: leave it, and take another on Fit or Plan.`;
    case "support-standing":
      return `Still ${percentText(reason.nowFraction)} of body weight on the support after ${reason.weeks} weeks; given back week by week it would be ${reason.dueFraction > 0 ? percentText(reason.dueFraction) : "nothing"} by now. When something is made harder again, give this back first.`;
    case "block-over":
      return reason.toVariationId
        ? `${reason.weeks} weeks at this one: its turn is over, and next comes ${variationById(reason.toVariationId).name.toLowerCase()}.`
        : `${reason.weeks} weeks at this one: its turn is over, and the next of them is not open here, so it stays.`;
    case "ceiling-proposed":
      return "Its mornings say more is taken calmly: a higher ceiling is proposed under Limits, for you to confirm.";
    default:
      return unreachable(reason);
  }
}
