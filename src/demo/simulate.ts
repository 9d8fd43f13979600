import { uniformInt } from "pure-rand/distribution/uniformInt";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";
import type { Dose, Variation } from "../core/catalogue/variation";
import type { FloorEventBody, FloorEvent } from "../core/floor/events";
import type { Setting } from "../core/templates/lever";
import type { DemoClient } from "./people.data";

/** Chance for the demo: the same seed tells the same story. */
export interface Chance {
  /** Whole number from low to high, both included. */
  between(low: number, high: number): number;
  /** True in about `percent` of the cases. */
  happens(percent: number): boolean;
}

export function chanceFrom(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  const between = (low: number, high: number): number => uniformInt(generator, low, high);
  return { between, happens: (percent) => between(1, 100) <= percent };
}

/** The simulated joint: what it tolerates today, which no rule sees. */
export function toleratedUse({ joint }: DemoClient, sessionCount: number): number {
  const { toleratedUse: start, gainPerSession, setback } = joint;
  const grown = start + gainPerSession * sessionCount;
  if (!setback || sessionCount < setback.atSession) return grown;
  const recovered = 0.03 * (sessionCount - setback.atSession);
  return grown - Math.max(0, setback.drop - recovered);
}

export interface SetScript {
  itemId: string;
  dose: Dose;
  setting: Setting;
  variation: Variation;
  /** Use over what the joint tolerates: above 1 it answers back. */
  strain: number;
  sessionsAtRung: number;
}

/** The sets of one simulated session, item after item, as a tablet would have sent them. */
export function sessionEvents(
  scripts: readonly SetScript[],
  { sessionId, newId, baselineScore }: { sessionId: string; newId: () => string; baselineScore: number },
  startedAt: Date,
  chance: Chance,
): FloorEvent[] {
  let atS = 0;
  const event = (body: FloorEventBody, afterS: number): FloorEvent => {
    atS += afterS;
    return {
      id: newId(),
      deviceId: "studio-tablet",
      sequence: atS,
      sessionId,
      occurredAt: new Date(startedAt.getTime() + atS * 1000).toISOString(),
      body,
    };
  };
  const events = [event({ kind: "checked-in", painScore: baselineScore, newSwelling: false, choice: "as-planned" }, 60)];
  for (const { itemId, dose, setting, variation, strain, sessionsAtRung } of scripts) {
    const soreness = Math.max(0, Math.round((strain - 0.9) * 10));
    const fresh = Math.min(sessionsAtRung, 2);
    for (let i = 0; i < dose.setCount; i++) {
      const isLast = i === dose.setCount - 1;
      const repetitions = Math.min(dose.repetitionsHigh, dose.repetitionsHigh - 1 + fresh + chance.between(-1, 1));
      const faults = chance.happens(strain > 1 ? 35 : 3) ? [variation.faults[i % 2]?.id ?? ""] : [];
      const setId = newId();
      const painScore = Math.max(0, Math.min(10, baselineScore - 1 + soreness + chance.between(0, 1)));
      const endedBy = strain > 1.16 && isLast ? "sharp" : "pain-tap";
      events.push(event({ kind: "set-ended", setId, itemId, setting, repetitions, painScore, faults, endedBy }, 150));
      if (isLast) events.push(event({ kind: "set-corrected", setId, change: { leftInTank: Math.max(0, fresh + 1 - soreness) } }, 6));
    }
  }
  events.push(event({ kind: "session-ended" }, 30));
  const hardest = Math.max(0, ...scripts.map(({ strain }) => strain));
  events.push(event({ kind: "effort-told", effortScore: Math.max(2, Math.min(9, Math.round(5 * hardest))) }, 20));
  return events;
}

/** The simulated next morning. */
export function morningAfter(strain: number, baselineScore: number, chance: Chance): { painScore: number; newSwelling: boolean } {
  const rested = chance.happens(30) ? -1 : 0; // so that the usual stays what it was
  const above = strain <= 1 ? (chance.happens(6) ? 1 : rested) : strain <= 1.08 ? 1 : 2;
  return { painScore: Math.max(0, Math.min(10, baselineScore + above)), newSwelling: strain > 1.2 };
}
