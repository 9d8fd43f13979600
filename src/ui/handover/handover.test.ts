import { describe, expect, test } from "vitest";
import { doneSession, plan, record, rung, TODAY } from "../../core/record/facts/record.fixture";
import type { Limit } from "../../core/limits/limit";
import { letterDraft } from "../letter/letter-draft";
import { handoverOf } from "./handover";

const limit = (id: string, more: Partial<Limit> = {}): Limit => ({
  id,
  rule: { kind: "most", channel: "kneeFlexion", most: 90 },
  side: "right",
  owner: { kind: "clinician", name: "Knee surgeon" },
  fromDay: "2026-01-01",
  untilDay: null,
  lift: null,
  ...more,
});
const RECORD = record({
  rungs: [rung("r1")],
  prescriptions: [plan("p1", "r1", { note: "she asked for it" })],
  sessions: [doneSession("a", "2026-10-06", { prescriptionId: "p1" }), doneSession("b", "2026-10-08", { prescriptionId: "p1" })],
  limits: [
    limit("rule", { owner: { kind: "rule", name: "x" } }),
    limit("surgeon"),
    limit("past", { owner: { kind: "client", name: "M" }, untilDay: "2026-02-01" }),
  ],
  screen: { person: { fear: "the stairs", ownLimit: "the heel lifts", sessionsPerWeek: 2, minutes: 40 } },
  decisions: [
    {
      id: "x",
      by: "t",
      sessionId: "b",
      itemId: "item-b",
      day: "2026-10-09",
      move: "hold",
      overruled: "build",
      rule: "earned-once",
      reasons: [],
      change: null,
      note: "tired",
    },
  ],
});

describe("a handover", () => {
  const handover = handoverOf(RECORD, TODAY);
  test("has what bounds, people's before rules' and nothing that is over; what not to correct, and what is feared", () => {
    expect(handover.limits.map(({ id }) => id)).toEqual(["surgeon", "rule"]);
    expect(handover).toMatchObject({ ownLimit: "the heel lifts", fear: "the stairs", openWarnings: [] });
  });
  test("has each exercise as it was last set, with the last day it was done", () => {
    expect(handover.lines).toMatchObject([{ last: { day: "2026-10-08", painScore: 1, response: null } }]);
  });
  test("names who decided otherwise, and what was kept past the rules", () => {
    expect(handover.disagreements).toMatchObject([
      { kind: "overruled", by: "t", said: "build", decided: "hold", note: "tired" },
      { kind: "past-gate", note: "she asked for it" },
    ]);
  });
});

describe("a letter", () => {
  const words = (audience: "clinician" | "client", since = "2026-10-07"): Record<string, string> =>
    Object.fromEntries(letterDraft(RECORD, audience, since, TODAY, "metric").map((section) => [section.id, section.words]));
  test("says what was done since its day, and limits with owner and date", () => {
    expect(words("clinician")["done"]).toMatch(/^1 session since/);
    expect(words("clinician", "2026-10-01")["done"]).toMatch(/^2 sessions since/);
    expect(words("clinician")["limits"]).toContain("Knee surgeon; set 1 Jan");
  });
  test("to the client has no limits list and no incidents, and no note of anybody's", () => {
    expect(Object.keys(words("client"))).not.toContain("limits");
    expect(JSON.stringify([words("client"), words("clinician")])).not.toMatch(/she asked for it|tired/);
  });
});
