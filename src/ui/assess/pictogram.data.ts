/** Directions of limbs, degrees: 0 hangs down, 90 points ahead, 180 up, -90 back. Proximal to distal. */
export interface Posed {
  trunk: number;
  thigh: number;
  shin: number;
  foot?: number;
  arm?: number;
  forearm?: number;
  /** The other leg, fainter; without one both are together. */
  other?: { thigh: number; shin: number; foot?: number };
  props?: readonly ("chair" | "bench" | "step" | "wall" | "mat" | "weight" | "scales")[];
  /** What is looked at. */
  mark?: "knee" | "hip" | "ankle" | "back" | "thigh" | "side";
}
const CROSSED = { arm: 40, forearm: 110 } as const;
const ON_HIPS = { arm: -35, forearm: 55 } as const;
const STANDING = { trunk: 180, thigh: 0, shin: 0, arm: 8, forearm: 12 } as const;
const WALKING = { trunk: 176, thigh: 24, shin: -4, arm: -20, forearm: 10, other: { thigh: -18, shin: -48, foot: 40 } } as const;
const HINGE = { trunk: 112, thigh: 20, shin: -4, arm: 4, forearm: 10 } as const;
const FACE_DOWN = {
  trunk: -90,
  thigh: 104,
  shin: 104,
  foot: 60,
  other: { thigh: 90, shin: 90, foot: 60 },
  arm: -95,
  props: ["mat"],
} as const;
const SEATED = { trunk: 178, thigh: 88, shin: 0, arm: 15, forearm: 60, props: ["chair"] } as const;

export const POSED: Readonly<Record<string, Posed>> = {
  "chair-stand": { trunk: 146, thigh: 68, shin: -16, ...CROSSED, props: ["chair"] },
  "five-rises": { trunk: 160, thigh: 42, shin: -14, ...CROSSED, props: ["chair"] },
  "one-leg-stance": { ...STANDING, ...CROSSED, other: { thigh: 48, shin: -40, foot: 50 } },
  "step-down": { trunk: 168, thigh: 48, shin: -24, ...ON_HIPS, other: { thigh: 14, shin: 2, foot: 80 }, props: ["step"], mark: "knee" },
  hinge: { ...HINGE, mark: "back" },
  "heel-raise": { ...STANDING, arm: 60, forearm: 80, foot: 40, other: { thigh: 12, shin: -70, foot: 20 } },
  "heel-line": { ...STANDING, foot: 40, mark: "ankle" },
  "foot-roll-in": { ...STANDING, thigh: 14, shin: -10, mark: "ankle" },
  "shin-forward": {
    trunk: 172,
    thigh: 62,
    shin: -36,
    arm: 70,
    forearm: 95,
    other: { thigh: -22, shin: -34, foot: 62 },
    props: ["wall"],
    mark: "ankle",
  },
  "knee-bend": { ...SEATED, shin: -38, mark: "knee" },
  "knee-straight": { trunk: -90, thigh: 92, shin: 88, foot: 170, arm: -80, props: ["mat"], mark: "knee" },
  "hip-bend": {
    trunk: -90,
    thigh: 162,
    shin: 66,
    foot: 120,
    arm: 100,
    forearm: 130,
    other: { thigh: 90, shin: 90, foot: 170 },
    props: ["mat"],
    mark: "hip",
  },
  "hip-back": { ...FACE_DOWN, mark: "hip" },
  "hip-out": {
    trunk: -90,
    thigh: 122,
    shin: 122,
    foot: 160,
    other: { thigh: 90, shin: 90, foot: 150 },
    arm: -130,
    props: ["mat"],
    mark: "hip",
  },
  "hip-turn-in": { ...SEATED, mark: "hip" },
  "hip-turn-out": { ...SEATED, mark: "hip" },
  tuck: { trunk: 142, thigh: 98, shin: -32, arm: 88, forearm: 92, mark: "back" },
  "bend-response": { trunk: 58, thigh: 6, shin: -2, arm: -6, forearm: 0, mark: "back" },
  "arch-response": { trunk: 204, thigh: -6, shin: 2, ...ON_HIPS, mark: "back" },
  "hold-front": { trunk: 214, thigh: 128, shin: 36, ...CROSSED, props: ["mat"], mark: "back" },
  "hold-back": { trunk: 92, thigh: -90, shin: -90, foot: -20, ...CROSSED, props: ["bench"], mark: "back" },
  "hold-side": { trunk: 100, thigh: -80, shin: -80, foot: -10, arm: 0, forearm: 90, props: ["mat"], mark: "side" },
  "carry-early": { ...WALKING, arm: 0, forearm: 2, props: ["weight"], mark: "side" },
  "carry-late": { ...WALKING, arm: 0, forearm: 2, props: ["weight"], mark: "side" },
  "hip-order": { ...FACE_DOWN, mark: "hip" },
  cue: HINGE,
  "side-length": { ...STANDING, mark: "side" },
  "thigh-girth": { ...STANDING, mark: "thigh" },
  "lean-back": { trunk: 200, thigh: 20, shin: -90, foot: -95, arm: 12, forearm: 20, props: ["mat"], mark: "thigh" },
  "weight-share": { trunk: 152, thigh: 58, shin: -18, arm: 80, forearm: 85, props: ["scales"] },
  "up-and-go": WALKING,
  "walking-speed": WALKING,
};
