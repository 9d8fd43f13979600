import { chairStand, sitToStandPower, sppbChairScore, sppbWalkScore } from "../src/core/standards/chair-rise";
import { heartRate, metabolic } from "../src/core/standards/effort";
import { gestation } from "../src/core/standards/gestation";
import { JOINT_CONTACT_PERCENT, jointContact } from "../src/core/standards/joint-contact";
import { liftLimit } from "../src/core/standards/lifting";
import { preParticipation } from "../src/core/standards/pre-participation";
import {
  inReserve,
  loadFor,
  loadWindow,
  ONE_REP_MAX,
  type OneRepMaxFormula,
  sessionLoad,
  twoForTwo,
} from "../src/core/standards/repetition";
import { recurrenceDays } from "../src/core/week/recurrence";
import { segment } from "../src/core/standards/segment";
import { singleLegStance } from "../src/core/standards/single-leg-stance";
import { heightsFromStature } from "../src/core/standards/stature";
import { trunkEndurance } from "../src/core/standards/trunk-endurance";
import { csvLine } from "../src/formats/csv";
import { loincCheck } from "../src/formats/loinc";
import type { StandardInput, StandardName } from "../src/schemas/command-line/standards.schema";

interface ContactAsked {
  joint: keyof typeof JOINT_CONTACT_PERCENT;
  activity: string;
  massKg: number;
}
function contactOf({ joint, activity, massKg }: ContactAsked): object {
  const table: Readonly<Record<string, number>> = JOINT_CONTACT_PERCENT[joint];
  return jointContact(table[activity] ?? NaN, massKg);
}

/** The published standards by name; the schema has let in only what each covers. */
const FUNCTIONS: Record<StandardName, (input: never) => object | null> = {
  "pre-participation": (input: Parameters<typeof preParticipation>[0]) => ({ verdict: preParticipation(input) }),
  "chair-stand": chairStand,
  "sppb-chair": ({ seconds }: { seconds: number }) => ({ score: sppbChairScore(seconds) }),
  "sppb-walk": ({ seconds }: { seconds: number }) => ({ score: sppbWalkScore(seconds) }),
  "single-leg-stance": singleLegStance,
  "trunk-endurance": trunkEndurance,
  "due-date": ({ lastPeriodDay, today }: { lastPeriodDay: string; today: string }) => gestation(lastPeriodDay, today),
  "lifting-equation": liftLimit,
  "joint-contact": contactOf,
  segment,
  stature: ({ statureM }: { statureM: number }) => heightsFromStature(statureM),
  "heart-rate": heartRate,
  metabolic,
  "sit-to-stand-power": sitToStandPower,
  "one-rep-max": ({ formula, load, repetitions }: { formula: OneRepMaxFormula; load: number; repetitions: number }) => ({
    value: ONE_REP_MAX[formula](load, repetitions),
  }),
  "load-for": ({ oneRepMax, repetitions, inReserve: left = 0 }: { oneRepMax: number; repetitions: number; inReserve?: number }) =>
    loadFor(oneRepMax, repetitions, left),
  "in-reserve": ({ rpe }: { rpe: number }) => inReserve(rpe),
  "two-for-two": ({ goal, lastSets }: { goal: number; lastSets: number[] }) => ({ add: twoForTwo(goal, lastSets) }),
  "load-window": ({ load, increment }: { load: number; increment?: number }) => loadWindow(load, increment),
  "session-load": ({ daily }: { daily: number[] }) => sessionLoad(daily),
  loinc: ({ code }: { code: string }) => {
    const found = loincCheck(code);
    return found && { digit: found.digit, valid: found.isValid };
  },
  "csv-row": ({ fields }: { fields: (string | number)[] }) => ({ line: csvLine(fields) }),
  recurrence: ({ rule, start }: { rule: string; start: string }) => ({ days: recurrenceDays(rule, start) }),
};

export const runStandard = ({ fn, ...input }: StandardInput): object => ({ ok: true, ...FUNCTIONS[fn](input as never) });
