/** The computing core, by station of the work. Everything outside src/core imports from here. */
export * from "./units";
export { type Issue, type Parsed, unreachable } from "./reasons";

// body and mechanics
export { BALL_FRACTION } from "./body/segments.data";
export { type Body, BODY_LIMITS, bodyFromMeasure, type BodyMeasure, type BodyOverrides, type Sex } from "./body/body";
export { assistBounds } from "./mechanics/assist-bounds";
export * from "./mechanics/band";
export { BRIDGE_DEFAULTS, bridgePose, type BridgeResult, type BridgeSetting } from "./mechanics/bridge";
export { LEG_PRESS_DEFAULTS, legPress, type LegPressSetting } from "./mechanics/leg-press";
export * from "./mechanics/levers";
export * from "./mechanics/channels";
export { contactAreaMm2, contactRatio, kneecapLoad, quadricepsArmMm } from "./mechanics/kneecap";
export {
  DEFAULT_POSTURE,
  type MeasuredPosture,
  POSTURE_CHOICES,
  type PostureChoice,
  postureFromCalmPose,
  type PostureRule,
  shankRuleOf,
} from "./mechanics/posture";
export { solePoint } from "./mechanics/foot";
export { prepareStanding } from "./mechanics/prepared";
export { preparedValue } from "./mechanics/readings";
export { solveStanding, standingPose } from "./mechanics/standing";
export * from "./mechanics/standing.types";
export type { Force, Point } from "./mechanics/vector";

// solve
export { inverse, type InverseResult } from "./solve/inverse";
export { leverCurve, type LeverSolution, type Match, matchDemand, solveLever, type Watched } from "./solve/lever";
export { solveTemplate, templateDemand, type TemplateWatched } from "./solve/template";
export { brent, rootsByScan } from "./solve/roots";

// catalogue
export { CATALOGUE, variationById, variationsOf } from "./catalogue/catalogue";
export * from "./catalogue/variation";

// limits and ceilings
export * from "./limits/ceiling";
export * from "./limits/limit";

// fit
export * from "./fit/candidate";
export * from "./fit/daily";
export { type Demand, demandOf, standingSettingOf, type Subject } from "./fit/demand";
export { leverValues, rangeOf, snapSetting, withLever } from "./fit/levers";
export { type Candidate, fitCatalogue, fitVariation, hardestWithin, type Opening } from "./fit/search";
export { type Move, EASE_ORDER, nextStep, RISER_MAX_FRACTION, RISER_MIN_FRACTION, stairAround, type Step, type Tread } from "./fit/stair";
export { type Place, type Route, type RouteTread, stairToGoal } from "./fit/route";
export { tightest, type Use, usesOf } from "./fit/use";

// dose, floor, progress
export { DOSE_LIMITS, doseS, repetitionS, type TempoMoment, tempoMoment } from "./dose/dose";
export * from "./floor/events";
export * from "./progress/check-in";
export * from "./progress/decide";
export * from "./progress/morning";

// one client's record, and what follows from it
export * from "./record/derive";
export * from "./record/record";

// the body model, template by template
export {
  type ChannelRow,
  JOINT_OF,
  type ModelPose,
  type ModelResult,
  type ShownJoint,
  tightestJoint,
  type ValueRange,
  type Who,
} from "./model/model-pose";
export type { SceneProp } from "./model/scene";
export { variationScene } from "./model/variations";
export { type ModelGroup, type ModelLever, type ModelTemplate, startValues } from "./model/template";
export { MODEL_GROUPS, MODEL_TEMPLATES } from "./model/templates";
