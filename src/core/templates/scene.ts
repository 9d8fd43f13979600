import type { Point } from "../mechanics/vector";

/** What stands around a body in a pose, as data for the drawing kit. Metres in the pose's own frame; angles in degrees. */
export type SceneProp =
  | { kind: "seat"; heightM: number; underXM: number }
  /** The lead foot stands on it: its top is at zero, the floor `heightM` below. */
  | { kind: "step"; heightM: number }
  /** Something solid under a foot, the shoulders or the hands, from the floor up to `topM`. */
  | { kind: "block"; atXM: number; topM: number; widthM: number }
  | { kind: "wall"; xM: number }
  | { kind: "ball"; at: Point; radiusM: number }
  | { kind: "pole"; xM: number }
  | { kind: "wedge"; pitchDeg: number; ballXM: number; heelXM: number }
  | { kind: "strap" | "band"; from: Point; to: Point }
  | { kind: "load"; at: Point; massKg: number }
  /** A force on the client, drawn from where it acts. */
  | { kind: "force"; at: Point; fxN: number; fyN: number }
  /** A pad that the back rests on. */
  | { kind: "pad"; from: Point; to: Point }
  /** The sled's plate, facing the feet, and the way it is pushed. */
  | { kind: "plate"; at: Point };
