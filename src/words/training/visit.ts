import type { CalendarEntry } from "../../formats/visits";

export const repeatText = (everyWeeks: number | null): string =>
  everyWeeks === null ? "Only this once" : everyWeeks === 1 ? "Every week" : `Every ${everyWeeks} weeks`;

type Problem = Extract<CalendarEntry, { problem: string }>["problem"];
export const entryProblemText: Readonly<Record<Problem, string>> = {
  "whole-day": "a whole day, no hour",
  rule: "comes again by a rule that is not weekly",
  length: "shorter than 5 minutes or longer than 4 hours",
  cancelled: "cancelled there",
};

/** "45 min", "4 h 30 min" */
export const minutesText = (minutes: number): string =>
  minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h${minutes % 60 > 0 ? ` ${minutes % 60} min` : ""}`;
