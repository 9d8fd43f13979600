import { BRIDGE_MODELS } from "./bridges.data";
import { HELPER_MODELS } from "./helpers.data";
import { HINGE_MODELS } from "./hinges.data";
import { SQUAT_MODELS } from "./squats.data";
import { STEP_MODELS } from "./steps.data";
import type { ModelGroup, ModelTemplate } from "./template";

const GROUPS: readonly ModelGroup[] = ["Squat", "Split and single leg", "Step", "Hinge", "Bridge and thrust", "Helpers"];

/** Templates of the body model as one can try them on a body, group by group. */
export const MODEL_TEMPLATES: readonly ModelTemplate[] = [
  ...SQUAT_MODELS,
  ...STEP_MODELS,
  ...HINGE_MODELS,
  ...BRIDGE_MODELS,
  ...HELPER_MODELS,
].toSorted((a, b) => GROUPS.indexOf(a.group) - GROUPS.indexOf(b.group));
