/**
 * Published segment tables. Lengths are fractions of stature, masses of body mass, centres of mass of the
 * segment length from its proximal joint (the foot: from the heel). Sources: docs/sources.md.
 */
export const LENGTH_FRACTIONS = {
  sourceId: "drillis-contini-1966",
  shank: 0.246,
  thigh: 0.245,
  ankleHeight: 0.039,
  foot: 0.152,
  trunk: 0.288, // hip .530 to shoulder .818
  armReach: 0.382, // shoulder to grip: upper arm .186, forearm .146, .050 of the hand
  heelBehindAnkle: 0.038,
  hipAboveSeat: 0.05,
} as const;

/** L5/S1 along hip to shoulder (static lifting models). */
export const L5_TRUNK_FRACTION = 0.2;
/** Both arms as one lump, along shoulder to hand. */
export const ARMS_COM_FRACTION = 0.49;
/** Ball of the foot, from the heel, along the sole. */
export const BALL_FRACTION = 0.73;
export const BELLY_ALONG_FRACTION = 0.09; // of stature, up the trunk from the hip

export interface SegmentTable {
  sourceId: string;
  mass: { foot: number; shank: number; thigh: number; pelvis: number; upper: number; arms: number };
  com: { foot: number; shank: number; thigh: number };
  /** Height of the centre of mass above the hip along the trunk, fraction of stature. */
  heightAboveHip: { pelvis: number; upper: number };
}

export const SEGMENT_TABLES = {
  deLevaMale: {
    sourceId: "de-leva-1996-t4",
    mass: { foot: 0.0137, shank: 0.0433, thigh: 0.1416, pelvis: 0.1117, upper: 0.3923, arms: 0.0988 },
    com: { foot: 0.4415, shank: 0.4395, thigh: 0.4095 },
    heightAboveHip: { pelvis: 0.0165, upper: 0.2332 },
  },
  deLevaFemale: {
    sourceId: "de-leva-1996-t4",
    mass: { foot: 0.0129, shank: 0.0481, thigh: 0.1478, pelvis: 0.1247, upper: 0.3678, arms: 0.0898 },
    com: { foot: 0.4014, shank: 0.4352, thigh: 0.3612 },
    heightAboveHip: { pelvis: 0.028, upper: 0.2418 },
  },
  winter: {
    sourceId: "winter-t4-1",
    mass: { foot: 0.0145, shank: 0.0465, thigh: 0.1, pelvis: 0.142, upper: 0.436, arms: 0.1 },
    com: { foot: 0.5, shank: 0.433, thigh: 0.433 },
    heightAboveHip: { pelvis: 0.02, upper: 0.2455 },
  },
} as const satisfies Record<string, SegmentTable>;
