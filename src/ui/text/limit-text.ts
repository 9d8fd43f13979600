import { type Limit, type LimitRule, limitState, type Day, unreachable } from "../../core";
import { dayText } from "./day-text";
import { angleText } from "./quantity-text";

export function limitRuleText(rule: LimitRule, side: Limit["side"]): string {
  const which = side === "both" ? "" : `${side} `;
  switch (rule.kind) {
    case "knee-bend":
      return capital(`${which}knee bend to ${angleText(rule.maxDeg)}`);
    case "shin-forward":
      return capital(`${which}shin at most ${angleText(rule.maxDeg)} forward`);
    case "no-load-on-back":
      return "No load on the back";
    case "own-words":
      return rule.text;
    default:
      return unreachable(rule);
  }
}

/** "Right knee bend to 95°, knee surgeon, until 12 Jan" */
export function limitText(limit: Limit, today: Day): string {
  const { rule, side, owner, untilDay, fromDay, lift } = limit;
  const head = `${limitRuleText(rule, side)}, ${owner.name}`;
  const state = limitState(limit, today);
  switch (state) {
    case "in-force":
      return untilDay ? `${head}, until ${dayText(untilDay)}` : head;
    case "ask":
      return `${head}: ran to ${untilDay ? dayText(untilDay) : ""}, ask who lifted it`;
    case "coming":
      return `${head}, from ${dayText(fromDay)}`;
    case "ended":
      return `${head}, ended`;
    case "lifted":
      return `${head}, lifted by ${lift?.by ?? ""} on ${lift ? dayText(lift.day) : ""}`;
    default:
      return unreachable(state);
  }
}

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
