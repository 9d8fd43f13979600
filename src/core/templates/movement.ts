import type { Form } from "./form";
import type { Setting } from "./lever";
import { type Pose, poseOf } from "./pose";
import type { Subject } from "./template";

/** How a repetition of a form runs in one set-up, for whoever draws it. */
export interface Movement {
  /** The pose that the levers set: one end of it. */
  end: Pose;
  /** Whether that end is its lowest, as of a squat, or its highest, as of a bridge. Where neither is lower (a leg held out) the work is towards it: its top. */
  isLowAtEnd: boolean;
  /** The poses between, 0 where it begins to 1 at its end. What is sat down on or stepped on stays where it stands. */
  at: (part: number) => Pose;
}

/** Lower by this much at one end than at the other, or neither is the low one. */
const LOWER_BY_M = 0.01;
const heightM = ({ lead, shoulder }: Pose): number => lead.hip[1] + shoulder[1];
/** Where there is no pose at the very beginning (a stride stands no taller, a far reach falls over), it begins at the first there is. */
const BEGINNINGS = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9] as const;

/** Null where the model has no pose of it. */
export function movementOf(subject: Subject, form: Form, setting: Setting): Movement | null {
  const end = poseOf(subject, form, setting);
  if (!end.ok) return null;
  const fromAt = BEGINNINGS.find((at) => poseOf(subject, form, setting, at).ok) ?? 1;
  const seats = end.scene.filter(({ kind }) => kind === "seat");
  const at = (part: number): Pose => {
    const pose = poseOf(subject, form, setting, fromAt + (1 - fromAt) * part);
    if (!pose.ok) return end;
    return { ...pose, scene: [...seats, ...pose.scene.filter(({ kind }) => kind !== "seat")] };
  };
  return { end, isLowAtEnd: heightM(end) < heightM(at(0)) - LOWER_BY_M, at };
}
