import { BACK_ROUNDS, HOLDS_BREATH, SQUATS_IT } from "./faults.data";
import { dose } from "./squat.data";
import type { Variation } from "./variation";

/** Hinges, easiest first. Doses where the trade says "set by trainer" are ours to start from. */
export const HINGES = [
  {
    id: "two-leg-hinge",
    revision: 1,
    pattern: "hinge",
    name: "Two-leg hinge",
    purpose: "Bending from the hips with a long back, before any weight",
    setUp: "Feet hip width, knees soft, back of the hands on the thighs. A wall half a step behind to touch with the seat.",
    cues: ["Seat travels back", "Back stays long", "Weight over the middle of the foot"],
    faults: [BACK_ROUNDS, SQUATS_IT, HOLDS_BREATH],
    template: "hinge",
    parameters: { stance: "two", loadAt: "front", to: "lean" },
    levers: [
      { lever: "trunkLeanDeg", min: 15, max: 75, start: 35 },
      { lever: "kneeFlexionDeg", min: 10, max: 30, start: 15 },
      { lever: "loadKg", min: 0, max: 40, start: 0 },
      { lever: "shareFraction", min: 0.3, max: 0.7, start: 0.5 },
    ],
    equipment: [],
    cautions: ["Not while the stretch itself brings on symptoms down a leg."],
    easier: [],
    harder: [],
    dose: dose(2, 8, 15, 3, 1, 60),
    ladderPlace: 1,
    startsBy: "lower",
  },
] as const satisfies readonly Variation[];
