import type { Body } from "../body/body";
import type { BridgePose, BridgeSetting } from "../mechanics/bridge";
import type { PartTrust, RankChannelId, SidedChannelId, Trust, WholeChannelId } from "../mechanics/channels";
import type { LegPressSetting } from "../mechanics/leg-press";
import type { LegGeometry, StandingPose, StandingSetting } from "../mechanics/standing.types";
import type { Point } from "../mechanics/vector";
import type { SceneProp } from "./scene";

/**
 * What a trainer's levers mean in mechanics. `heads` are the headline: several where a share was not measured, and a
 * demand is the larger of them; where two legs alike may change places (`isEitherLeg`), each is read as the other too. `bounds` are what the geometry leaves open around it; they are asked for only when a
 * range is wanted.
 */
export interface StandingSetUp {
  by: "standing";
  /** The body as this pose sees it: with the legs apart its legs look shorter from the side. */
  body: Body;
  heads: readonly StandingSetting[];
  isEitherLeg?: boolean;
  bounds: () => readonly StandingSetting[];
  /** The movement is the depth itself: poses on the way are the same set-up with less knee bend. */
  isDepth: boolean;
  trust: (kneeFlexionDeg: number) => Trust | PartTrust;
  scene: (pose: StandingPose) => SceneProp[];
  notes: readonly string[];
}

export interface BridgeSetUp {
  by: "bridge";
  body: Body;
  heads: readonly BridgeSetting[];
  isEitherLeg?: boolean;
  bounds: () => readonly BridgeSetting[];
  /** How long one set lasts: the time lying on the back. */
  setS: number;
  scene: (pose: BridgePose) => SceneProp[];
}

export interface PressSetUp {
  by: "leg-press";
  body: Body;
  heads: readonly LegPressSetting[];
  isEitherLeg?: boolean;
}

/** A helper: one formula at one joint, a figure to show it, and only the channels it speaks of. */
export interface LeverSetUp {
  by: "lever";
  body: Body;
  drawn: Drawn;
  asks: Partial<Record<SidedChannelId, number>>;
  whole: Partial<Record<WholeChannelId, number>>;
  ranks: Partial<Record<RankChannelId, number>>;
  trust: Trust;
  /** Both legs do it together; otherwise the other one rests. */
  isEven?: true;
}
export interface Drawn {
  hip: Point;
  trunkLeanDeg: number;
  /** Thigh forward of the room's vertical, down at 0; the foot is square to the shin unless its pitch is given. */
  lead: { thighDeg: number; kneeDeg: number; footPitchDeg?: number };
  trail?: { thighDeg: number; kneeDeg: number };
  hand?: (shoulder: Point) => Point;
  pressure?: Point;
  scene?: (lead: LegGeometry, shoulder: Point) => SceneProp[];
}

/** Nothing that the model could compute: the handbook's ladder and a trial dose choose. */
export interface Unmodelled {
  by: "none";
}
export type SetUp = StandingSetUp | BridgeSetUp | PressSetUp | LeverSetUp | Unmodelled;
/** The levers as they stand mean nothing that could be held: why. */
export interface NoSetUp {
  by: "impossible";
  reason: string;
}
export const impossible = (reason: string): NoSetUp => ({ by: "impossible", reason });
export const NO_BOUNDS = (): readonly never[] => [];
