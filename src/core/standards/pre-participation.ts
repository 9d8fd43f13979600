/** Whether a clinician should be asked before somebody begins or goes on. Source: ACSM pre-participation screening, Riebe 2015. */

export const DISEASES = ["cardiovascular", "metabolic", "renal"] as const;
export type Disease = (typeof DISEASES)[number];

/** The nine signs and symptoms that the screening names. Source: Riebe 2015, in our words. */
export const SYMPTOMS = [
  "chest-pain",
  "breathless-at-rest",
  "dizzy-or-faint",
  "breathless-lying",
  "ankle-swelling",
  "racing-heart",
  "calf-pain-walking",
  "heart-murmur",
  "unusual-fatigue",
] as const;
export type Symptom = (typeof SYMPTOMS)[number];

export const INTENSITIES = ["light", "moderate", "vigorous"] as const;
export type Intensity = (typeof INTENSITIES)[number];

export interface Readiness {
  /** Planned moderate exercise of 30 minutes on three days a week now. */
  active: boolean;
  monthsActive: number;
  disease: readonly Disease[];
  /** Any at all counts, whatever it is called. */
  symptoms: readonly string[];
  /** Whole months since a clinician cleared it; null where nobody has. */
  clearedMonthsAgo: number | null;
  wants: Intensity;
}
export type Verdict = "not-needed" | "may-continue" | "clearance-recommended" | "stop";

export const MONTHS_TO_BE_ACTIVE = 3;
export const CLEARANCE_LASTS_MONTHS = 12;

/**
 * A symptom outlives any clearance: it is there now. A known disease needs clearance before a beginning, and before
 * vigorous work; a clearance counts for twelve months, and covers a beginner's light or moderate start. Age alone never asks.
 */
export function preParticipation({ active, monthsActive, disease, symptoms, clearedMonthsAgo, wants }: Readiness): Verdict {
  const isRegular = active && monthsActive >= MONTHS_TO_BE_ACTIVE;
  if (symptoms.length > 0) return isRegular ? "stop" : "clearance-recommended";
  if (disease.length === 0) return "not-needed";
  const isCleared = clearedMonthsAgo !== null && clearedMonthsAgo <= CLEARANCE_LASTS_MONTHS;
  if (wants === "vigorous") return isRegular && isCleared ? "may-continue" : "clearance-recommended";
  return isRegular || isCleared ? "may-continue" : "clearance-recommended";
}
