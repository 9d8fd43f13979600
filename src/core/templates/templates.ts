import { BRIDGE } from "./kinds/bridge";
import { CALF } from "./kinds/calf";
import { CARRY } from "./kinds/carry";
import { HINGE } from "./kinds/hinge";
import { KNEE_EXTENSION } from "./kinds/knee-extension";
import { LEAN, STRAP_LEAN } from "./kinds/lean";
import { LEG_PRESS } from "./kinds/leg-press";
import { NO_MODEL } from "./kinds/no-model";
import { SIDE_HIP } from "./kinds/side-hip";
import { SINGLE_LEG } from "./kinds/single-leg";
import { SPLIT } from "./kinds/split";
import { STEP } from "./kinds/step";
import type { Template, TemplateId } from "./template";
import { TWO_FEET } from "./kinds/two-feet";

/** Every way to turn body and levers into pose and demands. Ids are never renamed. */
export const TEMPLATES: Readonly<Record<TemplateId, Template>> = {
  "two-feet": TWO_FEET,
  split: SPLIT,
  step: STEP,
  "single-leg": SINGLE_LEG,
  hinge: HINGE,
  bridge: BRIDGE,
  "leg-press": LEG_PRESS,
  lean: LEAN,
  "strap-lean": STRAP_LEAN,
  "knee-extension": KNEE_EXTENSION,
  calf: CALF,
  "side-hip": SIDE_HIP,
  carry: CARRY,
  "no-model": NO_MODEL,
};
