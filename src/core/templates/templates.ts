import { BRIDGE } from "./bridge";
import { CALF } from "./calf";
import { CARRY } from "./carry";
import { HINGE } from "./hinge";
import { KNEE_EXTENSION } from "./knee-extension";
import { LEAN, STRAP_LEAN } from "./lean";
import { LEG_PRESS } from "./leg-press";
import { NO_MODEL } from "./no-model";
import { SIDE_HIP } from "./side-hip";
import { SINGLE_LEG } from "./single-leg";
import { SPLIT } from "./split";
import { STEP } from "./step";
import type { Template, TemplateId } from "./template";
import { TWO_FEET } from "./two-feet";

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
