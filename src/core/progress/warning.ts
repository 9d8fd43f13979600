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
  /** Of something that cannot be read: the table it stands in. */
  table?: string;
}

/** Nobody said it: something stored of the client cannot be read. It might have been what closes, so nothing goes on. */
export const UNREAD_FACT = "unread-fact";
/** Who ends a warning: a clinician clears a sign; of what cannot be read a lead of the studio says that it may be left out. */
export const endedBy = (sign: string): "clinician" | "lead" => (sign === UNREAD_FACT ? "lead" : "clinician");
export const mayEnd = (sign: string, role: Clearance["role"]): boolean => (endedBy(sign) === "lead") === (role === "lead");

/** A clinician's clearance of one warning, recorded by the trainer, never given by one. */
export interface Clearance {
  id: string;
  day: Day;
  by: string;
  /** Of a sign a clinician's; a lead of the studio where something cannot be read. */
  role: ClinicianRole | "lead";
  note: string;
  sourceId: string;
  sign: string;
}

/** Warnings that no clearance names, oldest first. However long ago they were. */
export const openWarnings = (warnings: readonly Warning[], clearances: readonly Pick<Clearance, "sourceId" | "sign">[]): Warning[] =>
  warnings
    .filter(({ sourceId, sign }) => !clearances.some((clearance) => clearance.sourceId === sourceId && clearance.sign === sign))
    .toSorted((a, b) => a.at.localeCompare(b.at));
