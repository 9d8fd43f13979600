import { nFromKgf } from "../units";
import { LEVERS, type LeverId, type Setting, type Variation } from "../catalogue/variation";
import { forceTrust, standingSettingOf, supportXM } from "../fit/demand";
import type { Body } from "../body/body";
import type { StandingPose } from "../mechanics/standing.types";
import { standingModel } from "./model-pose";
import type { SceneProp } from "./scene";
import type { ModelLever, ModelTemplate } from "./template";

const NAMES: Readonly<Record<LeverId, Pick<ModelLever, "name" | "kind" | "step">>> = {
  seatHeightM: { name: "Seat height", kind: "length", step: 0.01 },
  kneeFlexionDeg: { name: "Knee bend", kind: "angle", step: 1 },
  handForceN: { name: "Hand support", kind: "force", step: nFromKgf(1) },
  loadKg: { name: "Load", kind: "mass", step: 1 },
  shareFraction: { name: "Share on this leg", kind: "share", step: 0.05 },
};

/** What a catalogue row stands in, for one pose of it. Hand force and load are drawn with the body. */
export function variationScene(body: Body, { template }: Variation, { seatHeightM }: Setting, pose: StandingPose): SceneProp[] {
  const scene: SceneProp[] = [];
  if (seatHeightM !== undefined) scene.push({ kind: "seat", heightM: seatHeightM, underXM: pose.hip[0] });
  const { support } = template;
  if (support?.kind === "pole") scene.push({ kind: "pole", xM: supportXM(body, template) });
  else if (support) scene.push({ kind: "block", atXM: supportXM(body, template) + 0.12, topM: support.heightM, widthM: 0.34 });
  return scene;
}

/** A catalogue row as a template of the model page: the same pose and the same numbers as on Fit. */
export function variationModel(variation: Variation): ModelTemplate {
  const depth = variation.levers.find(({ lever }) => LEVERS[lever].kind === "range");
  const first = depth ?? variation.levers[0];
  if (!first) throw new RangeError(`${variation.id} has no levers`);
  const [easy, hard] = LEVERS[first.lever].harder === "more" ? [first.min, first.max] : [first.max, first.min];
  return {
    id: variation.id,
    group: "Catalogue",
    name: variation.name,
    levers: variation.levers.map(({ lever, min, max, start }) => ({ id: lever, ...NAMES[lever], min, max, start })),
    movement: { lever: first.lever, from: easy, to: hard },
    pose: ({ body, posture }, values) => {
      const setting: Setting = values;
      const subject = { body, posture, leadSide: "right" as const };
      const standing = standingSettingOf(subject, variation, setting);
      return standingModel(
        body,
        standing,
        (pose) => forceTrust(subject, variation, pose),
        (pose) => variationScene(body, variation, setting, pose),
      );
    },
    shin: "rule",
    cannotSay:
      "Slow and seen from the side: no momentum, nothing of the knee drifting in or out. A higher seat relieves the knee at least this much; measured relief is about twice as large.",
  };
}
