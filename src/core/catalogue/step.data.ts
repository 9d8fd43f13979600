import { nFromKgf } from "../units";
import { DRIFTS_IN, DROPS, LEANS_AWAY, PUSHES_OFF } from "./faults.data";
import { dose } from "./squat.data";
import type { Variation } from "./variation";

/** Steps, easiest first. The working leg is the one on the step. */
export const STEPS = [
  {
    id: "step-up-rail",
    revision: 1,
    pattern: "step",
    name: "Step-up with a rail",
    purpose: "One foot per step again: rising on one leg with part of the weight through a rail",
    setUp: "Low step, whole foot on it; a rail or pole beside the step in the other hand. The floor foot only follows.",
    cues: ["Lean a little, weight in the whole foot", "Push down the rail, do not pull", "Lower as slowly as you rose"],
    faults: [DRIFTS_IN, PUSHES_OFF, DROPS, LEANS_AWAY],
    template: "step",
    parameters: { direction: "up" },
    levers: [
      { lever: "stepHeightM", min: 0.05, max: 0.3, start: 0.1 },
      { lever: "handForceN", min: 0, max: nFromKgf(20), start: nFromKgf(8) },
      { lever: "loadKg", min: 0, max: 20, start: 0 },
      { lever: "shareFraction", min: 0.5, max: 1, start: 0.8 },
    ],
    equipment: ["step", "rail"],
    cautions: ["Not with sharp pain on the step: lower it, or go back to the seat."],
    easier: [],
    harder: [],
    dose: dose(2, 8, 15, 3, 0, 60),
    ladderPlace: 1,
    startsBy: "rise",
  },
] as const satisfies readonly Variation[];
