import type { ClinicianRole } from "../limits/clinician";
import type { Day } from "../day";

/** A sign that stops planning: said on the floor or in a morning's answer. */
export interface Warning {
  /** The event or answer it came with: a sign later the same day is another warning. */
  sourceId: string;
  sign: string;
  day: Day;
  /** ISO 8601, UTC. */
  at: string;
}

/** A clinician's clearance of one warning, recorded by the trainer, never given by one. */
export interface Clearance {
  id: string;
  day: Day;
  by: string;
  role: ClinicianRole;
  note: string;
  sourceId: string;
  sign: string;
}

/** Warnings that no clearance names, oldest first. However long ago they were. */
export const openWarnings = (warnings: readonly Warning[], clearances: readonly Pick<Clearance, "sourceId" | "sign">[]): Warning[] =>
  warnings
    .filter(({ sourceId, sign }) => !clearances.some((clearance) => clearance.sourceId === sourceId && clearance.sign === sign))
    .toSorted((a, b) => a.at.localeCompare(b.at));
