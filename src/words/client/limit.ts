import type { UnitSystem } from "../../core/units";
import type { Site } from "../../core/limits/complaint";
import type { ClinicianRole } from "../../core/limits/clinician";
import type { Day } from "../../core/day";
import { isMeasuredLimit } from "../../core/assess/range-limits";
import { isScreenLimit } from "../../core/screen/screen";
import { type Limit, type LimitChannelId, type LimitRule, limitState } from "../../core/limits/limit";
import { unreachable } from "../../core/reasons";
import type { Trait } from "../../core/templates/template";
import { dayText } from "../basics/day";
import { capital } from "../basics/words";
import { protocolName } from "../basics/protocol";
import { ruleText } from "./screen";
import { angleText, handText, percentText } from "../basics/quantity";

export const limitChannelName: Readonly<Record<LimitChannelId, string>> = {
  kneeFlexion: "knee bend",
  shankLean: "shin forward",
  hipFlexion: "hip bend",
  trunkLean: "trunk lean",
  spineLoad: "load on the spine",
  handWeight: "weight through the hands",
  legWeight: "weight on one leg",
};
export const traitName: Readonly<Record<Trait, string>> = {
  "added-weight": "added weight",
  "bar-on-shoulders": "bar on the shoulders",
  lying: "lying on the back",
  "face-down": "lying face down",
  kneeling: "kneeling",
  overhead: "work overhead",
  twisting: "loaded twisting",
  "spine-bends": "bending of the spine under load",
  impact: "impact",
  "breath-holding": "breath-holding",
};
export const siteName: Readonly<Record<Site, string>> = {
  kneecap: "kneecap",
  knee: "knee joint",
  hip: "hip",
  "low-back": "low back",
  "back-bend": "low back, worse bending",
  ankle: "ankle",
  foot: "foot",
  "side-hip": "side of the hip",
  groin: "groin",
  pelvis: "pelvis or sacroiliac joint",
  "upper-back": "upper back",
  neck: "neck",
  shoulder: "shoulder",
  elbow: "elbow",
  "wrist-hand": "wrist or hand",
  belly: "belly or pelvic floor",
  other: "elsewhere",
};
export const roleName: Readonly<Record<ClinicianRole | "lead", string>> = {
  lead: "Lead of the studio",
  doctor: "Doctor",
  surgeon: "Surgeon",
  physiotherapist: "Physiotherapist",
  midwife: "Midwife",
  nurse: "Nurse",
  "other-clinician": "Another clinician",
};

export function limitAmountText(channel: LimitChannelId, value: number, units: UnitSystem): string {
  switch (channel) {
    case "spineLoad":
    case "handWeight":
      return handText(value, units);
    case "legWeight":
      return `${percentText(value)} of body weight`;
    default:
      return angleText(value);
  }
}

export function limitRuleText(rule: LimitRule, side: Limit["side"], units: UnitSystem = "metric"): string {
  const which = side === "both" ? "" : `${side} `;
  switch (rule.kind) {
    case "most":
      return capital(`${which}${limitChannelName[rule.channel]} to ${limitAmountText(rule.channel, rule.most, units)}`);
    case "room":
      return `Belly room at least ${angleText(rule.leastDeg)}`;
    case "never":
      return `No ${traitName[rule.what]}`;
    case "rows":
      return rule.codes.length === 1 ? "One exercise left out" : `${rule.codes.length} exercises left out`;
    case "own-words":
      return rule.text;
    default:
      return unreachable(rule);
  }
}

/** Whose a limit is: a person's name, the rule's own words, or what was measured. */
export function ownerText(limit: Limit): string {
  if (isMeasuredLimit(limit)) return `measured, ${protocolName(limit.owner.name).toLowerCase()}`;
  return isScreenLimit(limit) ? `by rule: ${ruleText(limit.owner.name).replace(/\.$/, "")}` : limit.owner.name;
}

/** "Right knee bend to 95°, knee surgeon, until 12 Jan" */
export function limitText(limit: Limit, today: Day, units: UnitSystem = "metric"): string {
  const { rule, side, owner, untilDay, fromDay, lift } = limit;
  const head = `${limitRuleText(rule, side, units)}, ${isScreenLimit(limit) ? "by rule" : isMeasuredLimit(limit) ? `measured ${dayText(fromDay)}` : owner.name}`;
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
    case "mistake":
      return `${head}, entered by mistake, taken back on ${lift ? dayText(lift.day) : ""}`;
    default:
      return unreachable(state);
  }
}
