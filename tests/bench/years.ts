import { v4 as newUuid } from "uuid";
import { undecidedItems } from "../../src/core/record/gate/undecided";
import { currentPlans } from "../../src/core/record/standing/plans";
import { fitContextOf } from "../../src/core/record/standing/context";
import { appendFloorEvents } from "../../src/data/repos/floor.repo";
import { recordMorning, startSession } from "../../src/data/repos/plan.repo";
import { loadRecord } from "../../src/data/repos/record.repo";
import { inTest, makeStudio, openTestDatabase, openTestSession, type TestStudio } from "../../src/steps/testing.fixture";

/**
 * npm run bench:years: what a client page reads and derives after five years of three sessions a week, beside five
 * weeks, in one run on the test database. The ratio is the result.
 */
const orm = await openTestDatabase();

async function history(studio: TestStudio, sessionCount: number): Promise<void> {
  const { scope, clientId, complaintId } = studio;
  await openTestSession(orm, studio, "2020-01-01");
  const record = await inTest(orm, scope, (em) => loadRecord(scope, em, clientId));
  const prescriptionId = record && currentPlans(record)[0]?.prescription.id;
  if (!prescriptionId) throw new Error("no plan");
  for (let i = 0; i < sessionCount; i++) {
    const day = new Date(Date.UTC(2020, 0, 2 + Math.floor((i * 7) / 3))).toISOString().slice(0, 10);
    const [sessionId, itemId] = [newUuid(), newUuid()];
    await inTest(orm, scope, async (em) => {
      await startSession(scope, em, clientId, { day, sessionId, items: [{ prescriptionId, itemId }] });
      const at = (minute: number) => `${day}T16:${String(minute).padStart(2, "0")}:00.000Z`;
      const event = (minute: number, body: Parameters<typeof appendFloorEvents>[2][number]["body"]) => ({
        id: newUuid(),
        deviceId: "t",
        sequence: minute,
        sessionId,
        occurredAt: at(minute),
        body,
      });
      const set = { kind: "set-ended", itemId, setting: {}, repetitions: 12, painScore: 1, faults: [], endedBy: "pain-tap" } as const;
      const events = [1, 2, 3].map((n) => event(n * 3, { ...set, faults: [], setId: newUuid() }));
      await appendFloorEvents(scope, em, [...events, event(20, { kind: "session-ended" })], new Date());
      const morning = { sessionId, day, pains: [{ complaintId, painScore: 1 }], newSwelling: false, warningSigns: [] };
      await recordMorning(scope, em, clientId, { ...morning, painScore: 1, usualScore: 1, class: "calm" });
    });
  }
}

async function pageMs({ scope, clientId }: TestStudio): Promise<number> {
  let best = Infinity;
  for (let i = 0; i < 30; i++) {
    const startMs = performance.now();
    const record = await inTest(orm, scope, (em) => loadRecord(scope, em, clientId));
    if (!record || !fitContextOf(record, "2026-11-26")) throw new Error("no record");
    undecidedItems(record);
    best = Math.min(best, performance.now() - startMs);
  }
  return best;
}

const [weeks, years] = [await makeStudio(orm), await makeStudio(orm)];
await history(weeks, 15);
await history(years, 780);
const [weeksMs, yearsMs] = [await pageMs(weeks), await pageMs(years)];
console.log(
  `a client page's reading: five weeks ${weeksMs.toFixed(1)} ms, five years ${yearsMs.toFixed(1)} ms: ${(yearsMs / weeksMs).toFixed(2)} of it`,
);
await orm.close();
