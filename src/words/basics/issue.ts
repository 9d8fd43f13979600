import type { Issue } from "../../core/reasons";

const FIELD_NAMES: Readonly<Record<string, string>> = {
  name: "Name",
  birthYear: "Year of birth",
  heightM: "Stature",
  massKg: "Mass",
  seatHeightM: "Seat height",
  shankLeanDeg: "Shin lean",
  trunkLeanDeg: "Trunk lean",
  shareFraction: "Share",
  most: "The bound",
  leastDeg: "The bound",
  day: "Day",
  untilDay: "Last day",
  reason: "Reason",
  by: "Who",
  role: "Role",
  text: "Words",
  painScore: "Pain",
  sex: "Body tables",
  side: "Side",
  words: "What hurts",
  usualPainScore: "Usual morning pain",
  painLimitScore: "Pain agreed during a set",
  note: "Note",
  thighM: "Thigh",
  shankM: "Lower leg",
  trunkM: "Trunk",
  bellyKg: "Belly",
  kind: "Kind",
  restM: "Length at rest",
  lengthM: "Length pulled to",
  tensionN: "Reading of the scale",
  setCount: "Sets",
  repetitionsLow: "Repetitions from",
  repetitionsHigh: "Repetitions to",
  lowerS: "Seconds lowering",
  pauseS: "Seconds of pause",
  riseS: "Seconds rising",
  restS: "Rest",
  repetitions: "Repetitions",
  value: "The value",
  factor: "Of today's ceiling",
  at: "The hour, said as 17:30,",
  minutes: "Minutes",
  weeks: "Weeks",
  rounds: "Rounds",
  weekdays: "A day of the week",
  improvement: "The improvement",
  format: "What the file says it is",
  version: "Its version",
  rows: "The rows",
};

/** A problem with an input, in the trainer's words. */
export function issueText({ path, code, limit }: Issue): string {
  const key = path.split(".").at(-1) ?? path;
  const name = FIELD_NAMES[key] ?? key;
  switch (code) {
    case "number.min":
      return `${name} is at least ${limit}.`;
    case "number.max":
      return `${name} is at most ${limit}.`;
    case "number.less":
      return `${name} is less than half of the mass.`;
    case "number.greater":
      return `${name} is more than the length at rest.`;
    case "any.required":
    case "string.empty":
    case "number.base":
    case "string.base":
    case "any.only":
      return `${name} is missing.`;
    case "day.none":
      return `${name} is no day of the calendar.`;
    case "day.before":
      return "The last day is before the first.";
    case "string.max":
      return `${name} has at most ${limit} characters.`;
    default:
      return `${name} is not something that can be used here.`;
  }
}
