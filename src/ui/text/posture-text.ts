import type { PostureRule } from "../../core";
import { angleText } from "./quantity-text";

/** How the shin is taken to move, and what that rests on. */
export function postureText(posture: PostureRule): string {
  if (posture.kind === "named") return `By the ${posture.name} rule, an assumption: measure the shin at a calm seat to replace it.`;
  return `Measured: ${angleText(posture.shankLeanDeg)} at ${angleText(posture.kneeFlexionDeg)} of bend, and in proportion elsewhere.`;
}
