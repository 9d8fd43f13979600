import { describe, expect, test } from "vitest";
import { answer, doneSession, doneSet, line as lineOf, plan, record, rung, TODAY } from "../../core/record/facts/record.fixture";
import type { ClientLine } from "../../core/studio/client-line";
import { UNREAD_FACT } from "../../core/progress/warning";
import type { Coming } from "../../core/week/visit";
import { toldOf, waitingOf, whoComes } from "./today-rows";

const line = (id: string, more: Partial<ClientLine> = {}): ClientLine => lineOf({ id, name: id, ...more });
const at = (clientId: string, hour: string): Coming => ({
  visitId: `v ${clientId}`,
  clientId,
  day: TODAY,
  at: hour,
  minutes: 45,
  plannedDay: TODAY,
});
const RECORD = record({ rungs: [rung("r1")], prescriptions: [plan("p1", "r1")] });

describe("who comes today", () => {
  test("by the hour, those without one last, nobody who only has needs and nobody put away", () => {
    const lines = [
      line("late"),
      line("early"),
      line("some-time", { isToday: true }),
      line("sign", { openSigns: ["fever"] }),
      line("away", { isToday: true, archivedDay: TODAY }),
    ];
    const found = whoComes(lines, [at("early", "08:00"), at("late", "10:00")], TODAY);
    expect(found.map((each) => [each.line.id, each.coming?.at ?? null])).toEqual([
      ["early", "08:00"],
      ["late", "10:00"],
      ["some-time", null],
    ]);
  });
  test("a row says what waits on the floor, then that it was trained and how it went", () => {
    expect(toldOf(RECORD, TODAY)).toMatchObject({
      trained: null,
      next: { place: { variationId: rung("r1").variationId }, otherCount: 0 },
    });
    const session = doneSession("s", TODAY, {
      prescriptionId: "p1",
      sets: [doneSet("item-s", 0, { painScore: 2 }), doneSet("item-s", 1, { painScore: 4, endedBy: "sharp" })],
    });
    expect(toldOf({ ...RECORD, sessions: [session] }, TODAY)).toMatchObject({
      trained: { itemCount: 1, painScore: 4, isSharp: true },
    });
  });
  test("a row says that something stored cannot be read, until a lead has ended it", () => {
    const warning = { sourceId: "w", sign: UNREAD_FACT, day: TODAY, at: `${TODAY}T08:00:00Z`, table: "client_limit" };
    expect(toldOf(RECORD, TODAY).isUnread).toBe(false);
    expect(toldOf({ ...RECORD, warnings: [{ ...warning, sign: "fever" }] }, TODAY).isUnread).toBe(false);
    expect(toldOf({ ...RECORD, warnings: [warning] }, TODAY).isUnread).toBe(true);
  });
  test("what waits for a word is what has its morning; a build is named", () => {
    const days = ["2026-10-02", "2026-10-06"];
    const sessions = days.map((day, i) => doneSession(`s${i}`, day, { prescriptionId: "p1" }));
    const told = { ...RECORD, sessions, responses: days.map((_, i) => answer(`s${i}`, `2026-10-0${i === 0 ? 3 : 7}`)) };
    const waiting = waitingOf(told, TODAY);
    expect(waiting.builds.length + waiting.otherCount).toBe(1); // one line of work, judged with all that came before
    expect(waitingOf({ ...told, responses: [] }, TODAY)).toMatchObject({ builds: [], otherCount: 0 });
  });
});
