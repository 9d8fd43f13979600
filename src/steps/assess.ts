import type { EntityManager } from "@mikro-orm/postgresql";
import { v4 as newUuid } from "uuid";
import { type Finding, latestOf } from "../core/assess/finding";
import { calmSeatRow } from "../core/catalogue/calm-seat";
import { variationById } from "../core/catalogue/catalogue";
import type { Day } from "../core/day";
import type { FloorEvent, FloorEventBody } from "../core/floor/events";
import type { LimitedBy } from "../core/limits/complaint";
import type { Side } from "../core/mechanics/channels";
import { planOf } from "../core/record/standing/plans";
import { calmSeatRefusal, findingRefusal } from "../core/record/gate/keep";
import { subjectOf } from "../core/record/standing/subject";
import { addFinding } from "../data/repos/client.repo";
import { appendFloorEvents } from "../data/repos/floor.repo";
import type { Scope } from "../data/scope";
import { recordCalmPose } from "./calibrate";
import { withRecord } from "./with-record";
import { refuse, type Taken } from "../core/outcome";
import { keepRung, openSession } from "./plan";

/** One result kept: sent twice, it is one. */
export const keepFinding = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  finding: Finding,
  isConfirmed: boolean,
  today: Day,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const refusal = findingRefusal(record, finding, isConfirmed, today);
    if (refusal) return refuse(refusal);
    if (!record.findings.some(({ id }) => id === finding.id)) await addFinding(scope, em, clientId, finding);
    return { ok: true };
  });

export interface CalmSeat {
  id: string;
  side: Side;
  heightM: number;
  /** What would have said stop a layer lower. */
  limitedBy: LimitedBy;
}
const CALM_SEAT = "calm-seat";

/** The lowest calm seat: a result like any other, and the pose that sets the ceiling of what hurts, in one step. */
export const keepCalmSeat = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { id, side, heightM, limitedBy }: CalmSeat,
  today: Day,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const subject = subjectOf(record);
    if (!subject) return refuse({ code: "no-body" });
    const finding: Finding = { id, day: today, protocol: CALM_SEAT, side, value: heightM, setUp: {}, note: "" };
    const refusal = findingRefusal(record, finding, true, today);
    if (refusal) return refuse(refusal);
    if (record.findings.some((each) => each.id === id)) return { ok: true };
    const past = calmSeatRefusal(record, { ...subject, leadSide: side }, heightM, today);
    if (past) return refuse(past);
    const share = latestOf(record.findings, "weight-share", side);
    const isMeasured = share?.day === today && share.setUp.standIn === undefined; // another day's is another day's, a pretended one none
    const taken = await recordCalmPose(scope, em, clientId, {
      id: newUuid(),
      day: today,
      side,
      limitedBy,
      variationId: calmSeatRow({ ...subject, leadSide: side }, heightM),
      setting: { seatHeightM: heightM },
      shareFraction: isMeasured ? share.value : null,
      shankLeanDeg: null,
      trunkLeanDeg: null,
    });
    if (!taken.ok) return taken;
    await addFinding(scope, em, clientId, finding);
    return { ok: true };
  });

/** The calm seat logged as a first set: planned as it was done, opened, and ended, so that the next morning is asked about it. */
export const logCalmSet = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { side, repetitions, painScore }: { side: Side; repetitions: number; painScore: number },
  today: Day,
  at: Date,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const seat = latestOf(record.findings, CALM_SEAT, side);
    const subject = subjectOf(record);
    if (!seat || !subject) return refuse({ code: "no-plan" });
    const variation = variationById(calmSeatRow({ ...subject, leadSide: side }, seat.value));
    const share = record.calmPoses.findLast((pose) => pose.side === side)?.shareFraction ?? null;
    const setting = { seatHeightM: seat.value, ...(share === null ? {} : { shareFraction: share }) };
    const dose = { ...variation.dose, setCount: 1 };
    const place = { variationId: variation.id, setting, side, dose, note: "The calm seat, as a first set" };
    const kept = await keepRung(scope, em, clientId, place, today);
    if (!kept.ok) return kept;
    return withRecord(scope, em, clientId, async (planned) => {
      const plan = planOf(planned, variation.pattern, side);
      const opened = await openSession(scope, em, clientId, today, plan ? [plan.prescription.id] : []);
      if (!opened.ok) return opened;
      return withRecord(scope, em, clientId, async ({ sessions }) => {
        const item = sessions
          .find(({ id }) => id === opened.sessionId)
          ?.items.find(({ prescriptionId }) => prescriptionId === plan?.prescription.id);
        if (!item) return refuse({ code: "another-is-open" });
        const set = { setId: newUuid(), itemId: item.id, setting, repetitions, painScore, faults: [], endedBy: "pain-tap" as const };
        const bodies: FloorEventBody[] = [{ kind: "set-ended", ...set }, { kind: "session-ended" }];
        const events = bodies.map((body, sequence): FloorEvent => ({
          id: newUuid(),
          deviceId: "assess",
          sessionId: opened.sessionId,
          sequence,
          occurredAt: at.toISOString(),
          body,
        }));
        await appendFloorEvents(scope, em, events, at);
        return { ok: true };
      });
    });
  });
