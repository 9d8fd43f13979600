import { CRAMPS, HIPS_DROP, HOLDS_BREATH } from "./faults.data";
import { dose } from "./squat.data";
import type { Variation } from "./variation";

/** Bridges and thrusts, easiest first. */
export const BRIDGES = [
  {
    id: "floor-bridge",
    revision: 1,
    pattern: "bridge",
    name: "Two-leg floor bridge",
    purpose: "Buttocks and hamstrings with the back supported",
    setUp: "On the back on a mat, knees bent, feet flat and hip width. Arms rest at the sides.",
    cues: ["Lift the pelvis and hold", "Feel buttocks and hamstrings, not the back", "Lower slowly"],
    faults: [HIPS_DROP, CRAMPS, HOLDS_BREATH],
    template: "bridge",
    parameters: { foot: "floor", other: "same" },
    levers: [
      { lever: "hipFlexionDeg", min: 0, max: 30, start: 10 },
      { lever: "kneeAtTopDeg", min: 75, max: 120, start: 95 },
      { lever: "loadKg", min: 0, max: 40, start: 0 },
      { lever: "shareFraction", min: 0.3, max: 0.7, start: 0.5 },
    ],
    equipment: ["mat"],
    cautions: ["In late pregnancy lying flat may not suit."],
    easier: [],
    harder: [],
    dose: dose(2, 8, 15, 2, 2, 60),
    ladderPlace: 1,
    startsBy: "rise",
  },
] as const satisfies readonly Variation[];
