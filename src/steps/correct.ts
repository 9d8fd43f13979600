import type { EntityManager } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import type { FloorEventBody } from "../core/floor/events";
import type { Complaint } from "../core/limits/complaint";
import type { Day } from "../core/day";
import { type Clearance, mayEnd } from "../core/progress/warning";
import { openWarningsOf } from "../core/record/standing/history";
import type { ClientProfile } from "../core/record/facts/record";
import { archiveOf } from "../data/archive";
import {
  addClearance,
  addClient,
  addScreen,
  eraseClient,
  liftLimit,
  type NewMeasure,
  reviseClient,
  setComplaint,
} from "../data/repos/client.repo";
import { appendFloorEvents, sessionNow } from "../data/repos/floor.repo";
import type { Scope } from "../data/scope";
import { withRecord } from "./with-record";
import { refuse, type Taken } from "../core/outcome";
import { loadRecord } from "../data/repos/record.repo";

const REVIEW_DEVICE = "studio-review";

/** A new client, once: the id is made where the form is, so that sending it again gives the same client. */
export async function takeInClient(
  scope: Scope,
  em: EntityManager,
  profile: ClientProfile,
  complaints: readonly Complaint[],
  measure: NewMeasure,
  nothingHurts = false,
): Promise<Taken<{ clientId: string }>> {
  if (!(await loadRecord(scope, em, profile.id))) {
    await addClient(scope, em, profile, complaints, measure);
    if (nothingHurts) await addScreen(scope, em, profile.id, { nothingHurts: true }, measure.day);
  }
  return { ok: true, clientId: profile.id };
}

/** Details corrected, or the client put away or taken up again. */
export const correctDetails = (scope: Scope, em: EntityManager, details: ClientProfile): Promise<Taken> =>
  withRecord(scope, em, details.id, async () => {
    await reviseClient(scope, em, details);
    return { ok: true };
  });

/** A complaint added, corrected, or ended. */
export const correctComplaint = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  complaint: Complaint,
  endedDay: Day | null,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async ({ complaints }) => {
    if (endedDay !== null && !complaints.some(({ id }) => id === complaint.id)) return refuse({ code: "no-such-complaint" });
    await setComplaint(scope, em, clientId, complaint, endedDay);
    return { ok: true };
  });

/** A limit lifted by whoever may, or taken back because it was entered by mistake: two different things, both kept. */
export const endLimit = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  limitId: string,
  lift: Parameters<typeof liftLimit>[3],
): Promise<Taken> =>
  withRecord(scope, em, clientId, async ({ limits }) => {
    if (!limits.some(({ id, lift: already }) => id === limitId && !already)) return refuse({ code: "no-such-limit" });
    await liftLimit(scope, em, limitId, lift);
    return { ok: true };
  });

/** A clinician's clearance of one warning that stands open, or a lead's word that what cannot be read may be left out. */
export const clearWarning = (scope: Scope, em: EntityManager, clientId: string, clearance: Omit<Clearance, "id">): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const isOpen = openWarningsOf(record).some(({ sourceId, sign }) => sourceId === clearance.sourceId && sign === clearance.sign);
    if (!isOpen || !mayEnd(clearance.sign, clearance.role)) return refuse({ code: "no-such-warning" });
    await addClearance(scope, em, clientId, clearance);
    return { ok: true };
  });

type Correction = Extract<FloorEventBody, { kind: "set-corrected" | "set-voided" | "session-continued" }>;

/** A set of any day corrected or taken back, or a session ended too early taken up again: by another event. */
export async function correctSession(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  sessionId: string,
  body: Correction,
  now: Date,
): Promise<Taken> {
  const setId = body.kind === "session-continued" ? null : body.setId;
  const found = await sessionNow(scope, em, clientId, sessionId, setId);
  if (!found) return refuse({ code: "no-such-session" });
  if (setId !== null && !found.hasSet) return refuse({ code: "no-such-set" });
  if (setId === null && found.isAnotherOpen) return refuse({ code: "another-is-open" });
  const event = { id: newUuid(), deviceId: REVIEW_DEVICE, sequence: now.getTime(), sessionId, occurredAt: now.toISOString(), body };
  await appendFloorEvents(scope, em, [event], now);
  return { ok: true };
}

/** Everything of one client, gone. */
export const erase = (scope: Scope, em: EntityManager, clientId: string): Promise<Taken<{ factCount: number }>> =>
  withRecord(scope, em, clientId, async () => {
    const archive = await archiveOf(scope, em, clientId);
    await eraseClient(scope, em, clientId);
    return { ok: true, factCount: Object.values(archive?.tables ?? {}).reduce((sum, facts) => sum + facts.length, 0) };
  });
