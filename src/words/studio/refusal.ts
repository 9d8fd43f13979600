import type { UnitSystem } from "../../core/units";
import type { CeilingChannelId } from "../../core/mechanics/channels";
import type { OwnProblem } from "../../core/catalogue/own";
import type { LeverId } from "../../core/templates/lever";
import { whereText } from "./archive";
import { dayText } from "../basics/day";
import { stoppedText } from "../training/decision";
import { channelName } from "../basics/channel";
import type { FitReason } from "../../core/judge/fit-reason";
import type { Limit } from "../../core/limits/limit";
import { endText, fitReasonText, otherwiseText, poseFailureText } from "../training/fit";
import { limitRuleText, ownerText } from "../client/limit";
import type { MessageProblem } from "../../core/studio/message";
import { messageProblemText } from "./message";
import { ownProblemText } from "../training/own";
import { axisName, positionName } from "../training/school";
import { conditionText } from "../client/screen";
import { leverName, leverValueText } from "../basics/lever";

const PLAIN: Readonly<Record<string, string>> = {
  "no-such-client": "This client is not in your studio.",
  "no-such-visit": "This visit was ended already, perhaps on another tablet. Reload to see it.",
  "no-contact": "There is no address or number to send to yet.",
  "signed-out": "You were signed out before this was saved. What you entered is still here: sign in again to go on.",
  "read-only": "You may look in this studio, and change nothing. Ask its lead.",
  "no-such-note": "This note is not there any more, or it is somebody else's to change.",
  "only-a-lead": "Only a lead of the studio may do this.",
  "no-such-fact": "It is gone already.",
  "no-such-link": "This link has been used, or its time is over. Ask for a new one.",
  "a-member-already": "They are in the team already.",
  "own-codes-first": "Turn your own codes on first, under your name: who asks for them has them.",
  "in-another-studio": "They work in another studio as well, so only whoever runs the server can do this (npm run studio -- reset).",
  "the-last-lead": "A studio keeps at least one lead: make another one first.",
  "no-such-member": "This person is not in your studio any more. Reload to see it.",
  "no-body": "Stature and mass are needed first.",
  "no-plan": "There is no plan yet: choose a rung on Fit and keep it.",
  "no-such-session": "This session is not this client's.",
  "no-such-set": "This set is not in that session.",
  "no-such-warning": "This warning sign does not stand open any more. Reload to see it.",
  "no-such-limit": "This limit was ended already, perhaps on another tablet. Reload to see it.",
  "no-such-complaint": "This complaint is not this client's.",
  "newer-first": "A newer session of this exercise waits: decide on that one, and this one is judged with it.",
  "already-decided": "This was decided already, perhaps on another tablet. Reload to see it.",
  "already-there": "This is there already.",
  "loosening-needs-reason": "A looser ceiling needs a reason: a few words are enough.",
  "no-such-ceiling": "This ceiling does not count any more, perhaps it was set anew on another tablet. Reload to see it.",
  "no-such-protocol": "There is no such measurement on this side.",
  "screen-before-effort": "Nothing that tires is measured before the questions under Screen are answered.",
  "too-many-letters": "There are a hundred letters of this client already.",
  "too-many-pictures": "There are a hundred pictures of this client already: erase some under Review.",
  "not-a-picture": "This is no picture that can be read. Take it again.",
  "not-a-letter": "This is neither a picture nor a PDF that can be read. Take the picture again, or save the letter as PDF.",
  "too-large": "This file is too large: at most 8 MB.",
  "too-early-for-one-leg": "So soon after surgery nothing is measured with the whole weight on one leg.",
  "value-unlikely": "This is hardly ever seen. Look again before it is kept.",
  "closed-needs-note": "This is past a ceiling or a guard rail. Say why you keep it all the same.",
  "gate-needs-note": "This asks more than the rung in force, and the gate has not opened. Say why you keep it all the same.",
  "not-measured-needs-note": "Nothing has been measured yet that could say whether this is too much. Say why you start with it.",
  "morning-too-early": "The morning after can be answered from the next day on.",
  "pain-missing": "Pain is asked for each complaint: one of them was left out.",
  "no-proposal": "No raise is proposed any more. Reload to see why.",
  "measure-again": "These angles cannot all be right for this seat: the weight would be outside the foot. Measure again.",
  "seat-out-of-reach": "This seat is higher or lower than the hips can be.",
  retired: "This row is no longer in the catalogue: choose another.",
  "taken-before": "What you sent first did arrive. Look at it before you send something else: reload this page.",
  "another-is-open": "Another session of that day is under way. End it first.",
};
const IMPORT_WHY: Readonly<Record<string, string>> = {
  "no-client": "There is no whole client in it",
  "another-client": "An entry of another client is among them",
  column: "It has something in it that this version does not know",
  fact: "An entry in it cannot be right",
  unread: "It could not be shown afterwards",
};
const OVERRULE: Readonly<Record<string, string>> = {
  "warning-sign": "A warning sign cannot be overruled. A clinician clears it.",
  "limit-blocks": "A limit does not allow this step.",
  "note-missing": "Say why you decide otherwise: a few words are enough.",
  "no-such-step": "There is no such step in this variation.",
};

interface Refused {
  axisId?: string;
  positionId?: string;
  code: string;
  reason?: string;
  lever?: string;
  min?: number;
  max?: number;
  channel?: string;
  name?: string | null;
  condition?: string;
  problem?: string;
  ownProblem?: OwnProblem;
  wrong?: MessageProblem;
  why?: string;
  where?: string;
  day?: string;
  sign?: string;
  forbids?: FitReason | null;
  limit?: Limit | null;
}
const NOT_ALLOWED = "A limit does not allow this. It can be lifted under Limits by whoever owns it.";
const DAY_OF: Readonly<Record<string, string>> = {
  clearance: "The clearance",
  injection: "The injection",
  finding: "The measure",
  letter: "The letter",
};
const DAYS: Readonly<Record<string, string>> = {
  "day.future": "this day is still to come",
  "day.past": "this due date is more than three weeks past: has the child been born?",
  "day.too-far": "this due date is further away than a pregnancy is long",
};
/** Why a step could not be taken, by its code; anything unknown is said plainly. */
export function refusalText(
  {
    code,
    reason = "",
    lever,
    min,
    max,
    channel,
    condition = "",
    problem = "",
    name,
    forbids,
    limit,
    axisId = "",
    positionId = "",
    ownProblem,
    wrong,
    why = "",
    where = "",
    day = "",
    sign = "",
  }: Refused,
  units: UnitSystem = "metric",
): string {
  const of = name ? `${name}. ` : "";
  switch (code) {
    case "warning-open":
      return stoppedText([sign]);
    case "forbidden": {
      if (!forbids)
        return limit
          ? `A limit does not allow this: ${limitRuleText(limit.rule, limit.side, units)}, ${ownerText(limit)}. Otherwise with ${endText(limit)}.`
          : NOT_ALLOWED;
      const limits = limit ? [limit] : [];
      const ending = otherwiseText(forbids, limits);
      return `${of}${fitReasonText(forbids, limits, units)} Choose another set-up, or leave it out today.${ending ? ` ${ending}` : ""}`;
    }
    case "school-barred":
      return `${axisName(axisId)}, ${positionName(axisId, positionId)}: this is held for healthy athletes and is not chosen for who has a complaint or a condition.`;
    case "screen-missing":
    case "refer-first":
      return "Nothing is trained before the questions under Screen are answered, and a clinician has looked where they say so.";
    case "value-out-of-range":
      return `This cannot be: it goes from ${min ?? ""} to ${max ?? ""}. Count and unit right?`;
    case "day-wrong":
      return `${DAY_OF[condition] ?? conditionText(condition)}: ${DAYS[problem] ?? "this day cannot be"}.`;
    case "pose-impossible":
      return `${of}Not possible in this set-up: ${poseFailureText(reason)}.`;
    case "rest-broken":
      return `${dayText(day)} is too near another session, or is no day of this client's: move it to a day that is free.`;
    case "message":
      return wrong ? messageProblemText(wrong) : "This message cannot be sent.";
    case "import-refused":
      return `${IMPORT_WHY[why] ?? "It cannot be read"} (${whereText(where)}). Nothing of this client was taken.`;
    case "own-row":
      return ownProblem ? `${name ?? ""}: ${ownProblemText(ownProblem)}` : "This row cannot be kept.";
    case "nothing-asked":
      return `This set-up asks nothing of the ${channelName(channel as CeilingChannelId).toLowerCase()}, so it can set no ceiling on it. Measure one that does.`;
    case "setting-out-of-range": {
      const say = (value: number): string => leverValueText(lever as LeverId, value, units);
      return `${of}${leverName(lever as LeverId)} goes from ${say(min ?? NaN)} to ${say(max ?? NaN)} for this body.`;
    }
    case "unknown-lever":
      return `${of}This exercise has no such lever.`;
    case "overrule-refused":
      return OVERRULE[reason] ?? "This cannot be overruled.";
    default:
      return PLAIN[code] ?? "That did not work. Nothing you entered was lost; try again.";
  }
}
