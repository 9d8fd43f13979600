/** Who may lift a warning sign: never the trainer. */
export const CLINICIAN_ROLES = ["doctor", "surgeon", "physiotherapist", "midwife", "nurse", "other-clinician"] as const;
export type ClinicianRole = (typeof CLINICIAN_ROLES)[number];

/** What stops planning until a clinician has cleared it. Wording in src/words; common practice, no source. */
export const WARNING_SIGNS = [
  "chest-pain",
  "faint",
  "hot-swollen-joint",
  "calf-swelling",
  "giving-way",
  "bladder-bowel",
  "leg-weakness",
  "spreading-pain",
  "bleeding-or-fluid",
  "belly-or-pelvic",
  "severe-headache",
  "other-sign",
] as const;
export type WarningSign = (typeof WARNING_SIGNS)[number];
