import { HOLDS_BREATH, SNAPS_STRAIGHT } from "./faults.data";
import { dose } from "./squat.data";
import type { Variation } from "./variation";

/** Helpers beside the four patterns. */
export const HELPERS = [
  {
    id: "seated-knee-extension",
    revision: 1,
    pattern: "helper",
    name: "Seated knee extension",
    purpose: "Front of the thigh without standing on it",
    setUp: "Firm chair, back supported, foot flexed. The knee straightens slowly and bends again.",
    cues: ["Toes toward you", "Stop just short of straight", "As slowly down as up"],
    faults: [SNAPS_STRAIGHT, HOLDS_BREATH],
    template: "knee-extension",
    parameters: { way: "seated" },
    levers: [
      { lever: "endKneeDeg", min: 5, max: 40, start: 10 },
      { lever: "startKneeDeg", min: 45, max: 90, start: 90 },
      { lever: "ankleKg", min: 0, max: 8, start: 0 },
    ],
    equipment: ["chair"],
    cautions: ["Pain anywhere in the movement: a smaller part of it, or stop."],
    easier: [],
    harder: [],
    dose: dose(2, 8, 12, 3, 1, 45),
    ladderPlace: 1,
    startsBy: "rise",
  },
] as const satisfies readonly Variation[];
