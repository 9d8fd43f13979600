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
export const CROSSED = { arm: 40, forearm: 110 } as const;
export const ON_HIPS = { arm: -35, forearm: 55 } as const;
export const STANDING = { trunk: 180, thigh: 0, shin: 0, arm: 8, forearm: 12 } as const;
export const WALKING = { trunk: 176, thigh: 24, shin: -4, arm: -20, forearm: 10, other: { thigh: -18, shin: -48, foot: 40 } } as const;
export const HINGE = { trunk: 112, thigh: 20, shin: -4, arm: 4, forearm: 10 } as const;
export const FACE_DOWN = {
  trunk: -90,
  thigh: 104,
  shin: 104,
  foot: 60,
  other: { thigh: 90, shin: 90, foot: 60 },
  arm: -95,
  props: ["mat"],
} as const;
export const SEATED = { trunk: 178, thigh: 88, shin: 0, arm: 15, forearm: 60, props: ["chair"] } as const;
export const KNEELING = { trunk: 178, thigh: 0, shin: -90, foot: -95, arm: 12, forearm: 20, props: ["mat"] } as const;
export const ALL_FOURS = { trunk: 92, thigh: 0, shin: -90, foot: -95, arm: 0, forearm: 0, props: ["mat"] } as const;
export const ON_BACK = { trunk: -90, thigh: 142, shin: 22, foot: 92, arm: 88, forearm: 90, props: ["mat"] } as const;
export const BRIDGED = { trunk: -118, thigh: 104, shin: 8, foot: 92, arm: 60, forearm: 80, props: ["mat"] } as const;
export const ON_SIDE = { trunk: -92, thigh: 92, shin: 92, foot: 120, arm: -80, forearm: -88, props: ["mat"] } as const;
export const PLANK = { trunk: 82, thigh: -82, shin: -82, foot: 0, arm: 0, forearm: 88, props: ["mat"] } as const;
export const LUNGE = { trunk: 176, thigh: 70, shin: -6, arm: 6, forearm: 12, other: { thigh: -22, shin: -68, foot: 30 } } as const;
export const SQUATTED = { trunk: 148, thigh: 82, shin: -28, arm: 70, forearm: 84 } as const;
export const ON_FRAME = { trunk: 96, thigh: -34, shin: -34, foot: 40, arm: 30, forearm: 60, props: ["bench"] } as const;
export const CYCLING = {
  trunk: 152,
  thigh: 74,
  shin: -22,
  foot: 84,
  arm: 58,
  forearm: 82,
  other: { thigh: 36, shin: -8, foot: 84 },
  props: ["chair"],
} as const;

export type PosedPoint = readonly [x: number, y: number];
const LENGTH = { trunk: 52, thigh: 43, shin: 43, foot: 19, arm: 28, forearm: 26, neck: 21 } as const;
const FOOT_DEG = 92; // flat, toes ahead

const from = ([x, y]: PosedPoint, deg: number, length: number): PosedPoint => {
  const rad = (deg * Math.PI) / 180;
  return [x + Math.sin(rad) * length, y + Math.cos(rad) * length];
};
function legOf(hip: PosedPoint, { thigh, shin, foot = FOOT_DEG }: { thigh: number; shin: number; foot?: number }) {
  const knee = from(hip, thigh, LENGTH.thigh);
  const ankle = from(knee, shin, LENGTH.shin);
  return { knee, ankle, toe: from(ankle, foot, LENGTH.foot) };
}
/** Where the joints of a posed body lie, hip at the origin, y down. */
export function jointsOf(posed: Posed) {
  const hip: PosedPoint = [0, 0];
  const shoulder = from(hip, posed.trunk, LENGTH.trunk);
  const head = from(shoulder, posed.trunk, LENGTH.neck);
  const elbow = from(shoulder, posed.arm ?? 0, LENGTH.arm);
  const hand = from(elbow, posed.forearm ?? posed.arm ?? 0, LENGTH.forearm);
  return { hip, shoulder, head, elbow, hand, leg: legOf(hip, posed), other: posed.other ? legOf(hip, posed.other) : null };
}
