import { CATALOGUE } from "../catalogue/catalogue";
import { BRIDGE_MODELS } from "./bridges.data";
import { HELPER_MODELS } from "./helpers.data";
import { HINGE_MODELS } from "./hinges.data";
import { SQUAT_MODELS } from "./squats.data";
import { STEP_MODELS } from "./steps.data";
import type { ModelGroup, ModelTemplate } from "./template";
import { variationModel } from "./variations";

export const MODEL_GROUPS: readonly ModelGroup[] = [
  "Catalogue",
  "Squat",
  "Split and single leg",
  "Step",
  "Hinge",
  "Bridge and thrust",
  "Helpers",
];

/** Every template of the body model as one can try it on a body, group by group; the catalogue's own rows first. */
export const MODEL_TEMPLATES: readonly ModelTemplate[] = [
  ...CATALOGUE.map(variationModel),
  ...SQUAT_MODELS,
  ...STEP_MODELS,
  ...HINGE_MODELS,
  ...BRIDGE_MODELS,
  ...HELPER_MODELS,
].toSorted((a, b) => MODEL_GROUPS.indexOf(a.group) - MODEL_GROUPS.indexOf(b.group));
