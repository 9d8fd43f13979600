import { describe, expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import type { Variation } from "../catalogue/variation";
import type { Limit } from "../limits/limit";
import type { Asked } from "../templates/ask";
import { limit, SUBJECT } from "./fit.fixture";
import type { FitReason } from "./fit-reason";
import { limitReasons } from "./limit-reasons";

type Read = Extract<Asked, { ok: true }>;
const asked = (more: Partial<Read> = {}): Read => ({
  ok: true,
  demands: [],
  ranks: {},
  traits: [],
  isAnkleLimited: false,
  isUnmodelled: false,
  ...more,
});
const room = (valueDeg: number): Read =>
  asked({ demands: [{ channel: "bellyRoom", side: "both", low: valueDeg, head: valueDeg + 5, high: valueDeg + 9, trust: "B" }] });
const reasonsOf = (limits: Limit[], row: Variation, read: Read = asked(), leadSide: "left" | "right" = "right"): FitReason[] =>
  limitReasons({ limits, today: "2026-11-26", subject: { ...SUBJECT, leadSide } }, row, {}, read, () => ["lying"]);

const oneLeg = CATALOGUE.find(({ tags }) => tags.legs === "one")!;
const twoLegs = CATALOGUE.find(({ tags }) => tags.legs !== "one")!;
const instead = [variationById("floor-bridge").code];
const namedAs = (row: Variation, side: Limit["side"]): Limit => limit({ kind: "rows", codes: [row.code], instead }, { side });

describe("a rule that names exercises", () => {
  const closed = [{ code: "not-for", limitId: "surgeon", instead }];
  test("closes what it names on either foot, and nothing else", () => {
    for (const row of [oneLeg, twoLegs])
      for (const side of ["left", "right", "both"] as const)
        for (const leadSide of ["left", "right"] as const) {
          const isOthers = row === oneLeg && side !== "both" && side !== leadSide;
          expect([row.id, side, leadSide, reasonsOf([namedAs(row, side)], row, asked(), leadSide)]).toEqual([
            row.id,
            side,
            leadSide,
            isOthers ? [] : closed,
          ]);
        }
    expect(reasonsOf([namedAs(oneLeg, "both")], twoLegs)).toEqual([]);
  });
});

test("a pelvis that tucks says something of a squat and nothing of what is done sitting or lying", () => {
  const tuck = limit({ kind: "most", channel: "hipFlexion", most: 40 }, { side: "both", owner: { kind: "measure", name: "tuck" } });
  const surgeon = limit({ kind: "most", channel: "hipFlexion", most: 40 }, { side: "both" });
  let [feet, others] = [0, 0];
  for (const row of CATALOGUE) {
    const isOnFeet = row.tags.position === "standing" || row.tags.position === "any";
    if (!isOnFeet) expect([row.id, reasonsOf([tuck], row)]).toEqual([row.id, []]);
    // said by a person, or another measure, it binds whatever the position: read or refused
    else if (reasonsOf([surgeon], row).length > 0 && reasonsOf([tuck], row).length > 0) feet++;
    const other = limit({ kind: "most", channel: "hipFlexion", most: 1 }, { side: "both", owner: { kind: "measure", name: "hip-bend" } });
    if (!isOnFeet && reasonsOf([other], row).length > 0) others++;
  }
  expect([feet > 20, others > 20]).toEqual([true, true]);
});

test("room for the belly: as much as is wanted is enough, a degree less is not, and unread it is said", () => {
  const wanted = limit({ kind: "room", leastDeg: 60 }, { side: "both" });
  const row = variationById("raised-sit-to-stand");
  expect(reasonsOf([wanted], row, room(60))).toEqual([]);
  expect(reasonsOf([wanted], row, room(59))).toEqual([{ code: "room-short", limitId: "surgeon", valueDeg: 59, leastDeg: 60 }]);
});

test("what is forbidden by name closes what has it, and words alone close nothing", () => {
  expect(reasonsOf([limit({ kind: "never", what: "lying" })], twoLegs)).toEqual([{ code: "never", limitId: "surgeon", what: "lying" }]);
  expect(reasonsOf([limit({ kind: "never", what: "impact" })], twoLegs)).toEqual([]);
  expect(reasonsOf([limit({ kind: "own-words", text: "Not before noon" })], twoLegs)).toEqual([]);
});
