import type { PostureChoice, PostureRule } from "../../core/mechanics/posture";
import { unreachable } from "../../core/reasons";
import { angleText } from "./quantity";

/** How the shin is taken to move, and what that rests on. */
export function postureText(posture: PostureRule): string {
  if (posture.kind === "named")
    return `By the rule "${postureName(posture.name)}", an assumption: measure the shin at a calm seat to replace it.`;
  return `Measured: ${angleText(posture.shankLeanDeg)} at ${angleText(posture.kneeFlexionDeg)} of bend, and in proportion elsewhere.`;
}

/** A rule's name, as it is chosen. */
export function postureName(choice: PostureChoice): string {
  switch (choice) {
    case "measured":
      return "as measured at the calm pose";
    case "natural":
      return "natural";
    case "overToes":
      return "over the toes";
    case "midfoot":
      return "no further than mid-foot";
    case "vertical":
      return "upright";
    default:
      return unreachable(choice);
  }
}
