import type { Force, Point } from "./vector";

/** What fixes how deep the pose is. Heights in metres above the lead foot's support. */
export type Depth =
  | { by: "knee-flexion"; kneeFlexionDeg: number }
  | { by: "hip-height"; hipHeightM: number }
  | { by: "seat-height"; seatHeightM: number }
  /** The pose at which the straight trailing leg just leaves or touches the level below the step. */
  | { by: "step"; stepHeightM: number; trailLeanDeg: number; trailHeelDeg: number };

/**
 * How the shin leans as the knee bends: the choice the geometry cannot make (docs/equations.md E4).
 * `linear` is `atStraightDeg + perKneeDegree x knee bend`: the named rules and a client's measured pose alike.
 */
export type ShankRule =
  | { kind: "linear"; atStraightDeg: number; perKneeDegree: number; cutSilently?: boolean }
  | { kind: "midfoot" }
  | { kind: "fixed"; shankLeanDeg: number };

/** Hand position. World points are from the lead ankle (forward +) and the lead support (up +), metres. */
export type Arms =
  | { kind: "hang"; forwardM: number }
  | { kind: "forward" | "overhead" | "crossed" | "goblet" }
  | { kind: "point"; at: Point }
  | { kind: "pole"; xM: number; belowShoulderM: number }
  | { kind: "hip"; forwardM: number; upM: number };

export interface Load {
  massKg: number;
  at: "hands" | "back" | "vest" | "hips";
}

/** A force on the client from outside, both hands together. `null` magnitude: to be solved. */
export interface Assist {
  at: "hands" | "wall" | "chest" | "pelvis";
  force:
    | { kind: "components"; fxN: number; fyN: number }
    | { kind: "angle"; magnitudeN: number | null; directionDeg: number }
    | { kind: "anchor"; magnitudeN: number | null; anchor: Point };
}

/** Which quantity gives way so that weight stays over the pressure point. */
export type Balance = { solve: "trunk" } | { solve: "shank" | "assist" | "pressure" | "share"; trunkLeanDeg: number };

/** Where the other leg is. Heights and distances in metres from the lead foot's support and ankle. */
export type Trail =
  | { kind: "same" }
  /** On the floor behind the lead ankle (its sole's contact point), heel raised by `heelDeg`. */
  | { kind: "ground"; backM: number; heelDeg: number; levelM: number; pressureFraction: number }
  /** Reaching for another level with a given knee, behind (-1) or in front (1). */
  | { kind: "reach"; levelM: number; heelDeg: number; kneeFlexionDeg: number; direction: -1 | 1 }
  /** Off the ground; thigh forward of vertical, or in line with the trunk. */
  | { kind: "free"; thighDeg: number | "inline"; kneeFlexionDeg: number };

/** Fore-aft bracing between two feet, which geometry cannot give: the lead foot is pushed forward, the trail foot back. */
export type Brace = { kind: "vertical" } | { kind: "least"; fraction: number } | { kind: "force"; forceN: number };

/** A pose on two level feet, before it is solved. Angles in degrees. */
export interface StandingSetting {
  depth: Depth;
  shankRule: ShankRule;
  dorsiflexionMaxDeg: number;
  hipFlexionMaxDeg: number;
  frictionMax: number;
  /** Foot pitch, heel up +. */
  wedgeDeg: number;
  /** Heels raised off the support: replaces the wedge as pitch, pressure at the ball. */
  heelRaiseDeg: number;
  /** Pressure point, fraction of foot length from the heel. */
  pressureFraction: number;
  balance: Balance;
  arms: Arms;
  loads: readonly Load[];
  assists: readonly Assist[];
  /** Share of the vertical ground force under the lead leg; all of it when the other leg is free. */
  leadShareFraction: number;
  trail: Trail;
  brace: Brace;
}

export type PoseFailure =
  | "hip-height-unreachable"
  | "knee-out-of-range"
  | "trail-unreachable"
  | "falls-backward"
  | "falls-forward"
  | "assist-wrong-way"
  | "assist-no-lever"
  | "no-assist-to-solve"
  | "assist-unspecified"
  | "assist-overload"
  | "share-outside-0-1"
  | "share-needs-two-feet";

export type PoseWarning =
  | "dorsiflexion-limited"
  | "ankle-limit"
  | "trail-ankle-limit"
  | "hip-limit"
  | "kneecap-extrapolated"
  | "hands-out-of-reach"
  | "slips"
  | "brace-ignored"
  | "brace-friction-limited";

/** Where the legs are once depth and shin are known. */
export interface LegGeometry {
  kneeFlexionDeg: number;
  shankLeanDeg: number;
  thighLeanDeg: number;
  footPitchDeg: number;
  ankle: Point;
  knee: Point;
  hip: Point;
}

/** External moments on one leg, flexing (ankle: dorsiflexing) positive, and what follows from them. */
export interface LegDemand {
  shareFraction: number;
  groundFxN: number;
  groundFyN: number;
  ankleMomentNm: number;
  kneeMomentNm: number;
  hipMomentNm: number;
  quadricepsN: number;
  kneecapForceN: number;
  kneecapStressMPa: number;
  /** Tibiofemoral index, body weights. */
  kneeContactBw: number;
}

export interface StandingPose extends LegGeometry {
  ok: true;
  warnings: PoseWarning[];
  hipFlexionDeg: number;
  dorsiflexionDeg: number;
  trunkLeanDeg: number;
  hipHeightM: number;
  pressure: Point;
  heel: Point;
  toe: Point;
  shoulder: Point;
  hand: Point;
  lead: LegDemand;
  trail: LegDemand;
  /** The other leg; the same as this one on level feet. */
  trailLeg: LegGeometry;
  trailPressure: Point;
  lowBackMomentNm: number;
  lowBackCompressionN: number;
  lowBackShearN: number;
  /** Sum of the assist magnitudes, and the part of body weight they carry upward. */
  assistN: number;
  assistUpFraction: number;
  frictionNeeded: number;
  centreOfMassXM: number;
  /** Worst equilibrium error of the whole body, N or Nm. */
  residual: number;
  /** Solved assist forces, for the figure. */
  assistForces: Force[];
}

export type StandingResult = StandingPose | { ok: false; reason: PoseFailure; warnings: PoseWarning[] };

/** Shin rules with names. Coefficients are assumptions, to be replaced by a measured pose (E4). */
export const SHANK_RULES = {
  natural: { kind: "linear", atStraightDeg: 4, perKneeDegree: 0.29 },
  overToes: { kind: "linear", atStraightDeg: 4, perKneeDegree: 0.4, cutSilently: true },
  midfoot: { kind: "midfoot" },
  vertical: { kind: "fixed", shankLeanDeg: 0 },
} as const satisfies Record<string, ShankRule>;

export const STANDING_DEFAULTS: StandingSetting = {
  depth: { by: "knee-flexion", kneeFlexionDeg: 0 },
  shankRule: SHANK_RULES.natural,
  dorsiflexionMaxDeg: 35,
  hipFlexionMaxDeg: 125,
  frictionMax: 0.5,
  wedgeDeg: 0,
  heelRaiseDeg: 0,
  pressureFraction: 0.5,
  balance: { solve: "trunk" },
  arms: { kind: "forward" },
  loads: [],
  assists: [],
  leadShareFraction: 0.5,
  trail: { kind: "same" },
  brace: { kind: "vertical" },
};
