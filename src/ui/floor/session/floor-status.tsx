"use client";
import { clockText } from "../../../words/basics/quantity";
import type { FloorSession } from "./floor-session";
import { useRestLeftS } from "../tempo/use-rest";
import { useReading } from "../tempo/use-tempo";

/** How a session stands, in a few words: for whoever looks at the other one. */
export function FloorStatus({ session }: { session: FloorSession }) {
  const { tempo, dose, rest, asking, allSetsDone, sets, log } = session;
  const restLeftS = useRestLeftS(rest);
  const { repetitions } = useReading(tempo);
  const { checkIn, endedAt, warnings } = log.state;
  if (warnings.length > 0) return "warning sign";
  if (endedAt !== null) return "ended";
  if (checkIn === null) return "check-in";
  if (asking !== null) return "a question waits";
  if (tempo.status === "running") return `set ${sets.length + 1}: ${repetitions} of ${dose.repetitionsHigh}`;
  if (tempo.status !== "idle") return `set ${sets.length + 1} stands: pain?`;
  if (restLeftS !== null && restLeftS > 0) return `rest ${clockText(restLeftS)}`;
  return allSetsDone ? "done with this one" : "ready";
}
