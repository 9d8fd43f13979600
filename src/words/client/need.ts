import type { Day } from "../../core/day";
import type { Need } from "../../core/studio/needs";
import { unreachable } from "../../core/reasons";
import type { UnitSystem } from "../../core/units";
import { agoText, dayText } from "../basics/day";
import { untilText } from "../training/decision";
import { warningText } from "./warning";
import { limitRuleText, ownerText } from "./limit";
import { capital } from "../basics/words";
import { protocolName } from "../basics/protocol";

/** What stands over a need, in the words of whoever is asked. */
export const needTitle: Readonly<Record<Need["code"], string>> = {
  warning: "Warning sign",
  flare: "Flare",
  "morning-unknown": "Morning not known",
  "limit-ends": "Limits that end",
  "retest-due": "Measure again",
  "block-over": "Block is over",
  "home-sets": "Done at home",
  "decision-waits": "Decision waits",
};

/** One need of one client, in a line. */
export function needText(need: Need, today: Day, units: UnitSystem): string {
  switch (need.code) {
    case "warning":
      return `${need.signs.map((sign, i) => (i === 0 ? warningText(sign) : warningText(sign).toLowerCase())).join(", ")}. Closed until ${untilText(need.signs)}.`;
    case "flare":
      return `Flared ${agoText(need.day, today)}.`;
    case "morning-unknown":
      return `Trained ${agoText(need.day, today)}; nobody has told how the morning after was.`;
    case "limit-ends": {
      const { limit, isPast } = need;
      const what = `${limitRuleText(limit.rule, limit.side, units)}, ${ownerText(limit)}`;
      if (isPast) return `${what}: ran to ${dayText(limit.untilDay ?? today)}, and holds until someone records who lifted it.`;
      return limit.owner.kind === "clinician"
        ? `${what}, to ${dayText(limit.untilDay ?? today)}. Stays as “ask” until someone lifts it.`
        : `${what}, to ${dayText(limit.untilDay ?? today)}. Ends by itself.`;
    }
    case "retest-due":
      return `${capital(need.protocols.map((id) => protocolName(id).toLowerCase()).join(", "))}.`;
    case "block-over":
      return `Six weeks to ${dayText(need.endsOn)}: look what they built, and begin the next.`;
    case "home-sets":
      return need.setCount === 1 ? "One set waits to be looked at." : `${need.setCount} sets wait to be looked at.`;
    case "decision-waits":
      return need.itemCount === 1 ? "One exercise waits for your word." : `${need.itemCount} exercises wait for your word.`;
    default:
      return unreachable(need);
  }
}

/** The station that answers it. */
export const needStation: Readonly<Record<Need["code"], { path: string; words: string }>> = {
  warning: { path: "limits", words: "Who cleared it" },
  flare: { path: "morning", words: "Look" },
  "morning-unknown": { path: "morning", words: "Ask now" },
  "limit-ends": { path: "limits", words: "Its limits" },
  "retest-due": { path: "assess", words: "Measure" },
  "block-over": { path: "plan", words: "Plan" },
  "home-sets": { path: "morning", words: "Look" },
  "decision-waits": { path: "morning", words: "Look" },
};
