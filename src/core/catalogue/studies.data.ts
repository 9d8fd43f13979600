import { nFromKgf } from "../units";
import type { Bound, Form, LeverRange } from "../templates/form";
import type { LeverId } from "../templates/lever";
import type { Parameters, TemplateId } from "../templates/template";

export const STUDY_GROUPS = ["Squat", "Split and single leg", "Step", "Hinge", "Bridge and thrust", "Helpers"] as const;
export type StudyGroup = (typeof STUDY_GROUPS)[number];

/** A form to try on a body on the model page: no words and no dose, every lever of interest open. */
export interface Study extends Form {
  id: string;
  name: string;
  group: StudyGroup;
  /** The movement lever, from where it begins to be interesting to its end. */
  plays: readonly [from: number, to: number];
  /** Hangs in a band: the one in hand decides. */
  needsBand?: true;
}
type Row = [min: Bound, max: Bound, start: Bound];
const study = (
  group: StudyGroup,
  id: string,
  name: string,
  template: TemplateId,
  parameters: Parameters,
  plays: readonly [number, number],
  levers: Partial<Record<LeverId, Row>>,
  more: { needsBand?: true } = {},
): Study => ({
  id,
  name,
  group,
  template,
  parameters,
  plays,
  levers: Object.entries(levers).map(([lever, [min, max, start]]): LeverRange => ({ lever: lever as LeverId, min, max, start })),
  ...more,
});
/** Ends and start as the kilograms a hand scale reads. */
const kgf = (min: number, max: number, start: number): Row => [nFromKgf(min), nFromKgf(max), nFromKgf(start)];
const SHARE: Row = [0.3, 0.7, 0.5];
const KNEE: Row = [5, 110, 70];
const TRUNK: Row = [10, 80, 50];
const HIP: Row = [-5, 50, 0];
const AT_TOP: Row = [60, 130, 90];
const SET: Row = [10, 120, 40];
const BENCH: Row = [0, 0.5, 0];

/** Every kind of set-up the body model knows, laid open. */
export const STUDIES: readonly Study[] = [
  study("Squat", "squat", "Squat", "two-feet", { depth: "knee", hands: "goblet", loadAt: "hands" }, [5, 90], {
    kneeFlexionDeg: KNEE,
    loadKg: [0, 40, 0],
    wedgeDeg: [0, 20, 0],
    shareFraction: SHARE,
  }),
  study("Squat", "wide-squat", "Wide squat", "two-feet", { depth: "knee", hands: "hang", loadAt: "hands" }, [5, 85], {
    kneeFlexionDeg: [5, 105, 60],
    legsApartDeg: [0, 35, 20],
    loadKg: [0, 40, 0],
  }),
  study(
    "Squat",
    "counterbalance-squat",
    "Squat with a counterweight held out",
    "two-feet",
    { depth: "knee", hands: "forward", loadAt: "hands", trunk: "kept" },
    [5, 90],
    { kneeFlexionDeg: KNEE, loadKg: [0, 10, 4], trunkKeptDeg: [0, 60, 25] },
  ),
  study(
    "Squat",
    "heels-up-squat",
    "Squat on the balls of the feet",
    "two-feet",
    { depth: "knee", hands: "pole", supportAheadM: 0.15 },
    [5, 70],
    {
      kneeFlexionDeg: [5, 90, 40],
      heelRaiseDeg: [5, 40, 20],
      handForceN: kgf(0, 30, 5),
    },
  ),
  study("Squat", "sit-to-stand", "Sit-to-stand", "two-feet", { depth: "seat", hands: "pole" }, [0.72, 0.46], {
    seatHeightM: [{ kneeFlexionDeg: 115 }, { kneeFlexionDeg: 20 }, { kneeFlexionDeg: 80 }],
    handForceN: kgf(0, 40, 0),
    shareFraction: SHARE,
  }),
  study("Squat", "pole-squat", "Squat with a pole or rail", "two-feet", { depth: "knee", hands: "pole" }, [5, 85], {
    kneeFlexionDeg: KNEE,
    handForceN: kgf(0, 40, 8),
    handDirectionDeg: [-30, 150, 90],
    supportAheadM: [0.1, 0.6, 0.25],
  }),
  study("Squat", "strap-squat", "Squat on a strap", "two-feet", { depth: "knee", hands: "strap" }, [5, 85], {
    kneeFlexionDeg: KNEE,
    strapForceN: kgf(0, 40, 10),
    anchorHeightM: [0.8, 2.8, 2.2],
    anchorAheadM: [0.6, 2.5, 1.4],
  }),
  study(
    "Squat",
    "band-squat",
    "Squat hung in a band",
    "two-feet",
    { depth: "knee", hands: "band" },
    [5, 90],
    { kneeFlexionDeg: [5, 110, 60], anchorHeightM: [{ of: "stature", times: 1.15 }, 3.2, { of: "stature", times: 1.4 }] },
    { needsBand: true },
  ),
  study("Squat", "ball-squat", "Squat with a ball at the wall", "lean", { against: "ball" }, [10, 85], {
    kneeFlexionDeg: [10, 100, 60],
    shankLeanDeg: [-20, 15, 0],
    trunkKeptDeg: [-5, 20, 0],
  }),
  study("Squat", "wall-sit", "Wall sit", "lean", { against: "wall" }, [20, 90], {
    kneeFlexionDeg: [20, 100, 70],
    shankLeanDeg: [-15, 10, 0],
    setS: [5, 90, 20],
  }),
  study("Split and single leg", "split", "Split squat", "split", { trunk: "free" }, [55, 85], {
    kneeFlexionDeg: [55, 100, 70],
    shankLeanDeg: [0, 35, 15],
    stanceBackM: [0.3, { of: "stature", times: 0.5 }, { of: "stature", times: 0.357 }],
    rearHeelDeg: [10, 55, 45],
    rearLevelM: [0, 0.45, 0],
    shareFraction: [0.3, 0.95, 0.65],
    handForceN: kgf(0, 40, 0),
    loadKg: [0, 30, 0],
  }),
  study("Split and single leg", "split-upright", "Split squat, trunk held", "split", { trunk: "kept" }, [55, 85], {
    kneeFlexionDeg: [55, 100, 70],
    trunkKeptDeg: [-5, 40, 10],
    shankLeanDeg: [0, 35, 15],
    stanceBackM: [0.4, { of: "stature", times: 0.5 }, { of: "stature", times: 0.357 }],
  }),
  study("Split and single leg", "single-leg", "Single-leg squat", "single-leg", {}, [5, 60], {
    kneeFlexionDeg: [5, 80, 40],
    trailThighDeg: [-30, 60, 15],
    trailKneeDeg: [0, 100, 70],
    handForceN: kgf(0, 40, 0),
  }),
  study("Step", "step-up", "Step-up", "step", { direction: "up" }, [0.05, 0.25], {
    stepHeightM: [0.05, 0.35, 0.18],
    shareFraction: [0.3, 1, 0.8],
    handForceN: kgf(0, 40, 0),
    railForceN: kgf(0, 15, 0),
    loadKg: [0, 30, 0],
  }),
  study("Step", "step-down", "Step-down forward", "step", { direction: "down" }, [0.05, 0.25], {
    stepHeightM: [0.05, 0.3, 0.15],
    shareFraction: [0.5, 1, 1],
    handForceN: kgf(0, 40, 0),
    railForceN: kgf(0, 15, 0),
    wedgeDeg: [0, 20, 0],
  }),
  study("Step", "step-down-sideways", "Step-down sideways", "step", { direction: "sideways" }, [0.03, 0.2], {
    stepHeightM: [0.05, 0.25, 0.12],
    handForceN: kgf(0, 40, 0),
    wedgeDeg: [0, 20, 0],
  }),
  study("Hinge", "hinge", "Hinge, load in front", "hinge", { stance: "two", loadAt: "front" }, [10, 70], {
    trunkLeanDeg: TRUNK,
    kneeFlexionDeg: [5, 40, 15],
    loadKg: [0, 60, 10],
    loadAheadM: [0, 0.3, 0],
  }),
  study("Hinge", "hinge-sides", "Hinge, load at the sides", "hinge", { stance: "two", loadAt: "sides" }, [10, 60], {
    trunkLeanDeg: TRUNK,
    kneeFlexionDeg: [5, 70, 30],
    loadKg: [0, 80, 20],
  }),
  study("Hinge", "hinge-back", "Hinge, load on the back", "hinge", { stance: "two", loadAt: "back" }, [10, 70], {
    trunkLeanDeg: TRUNK,
    kneeFlexionDeg: [5, 40, 15],
    loadKg: [0, 60, 10],
  }),
  study("Hinge", "hinge-handle", "Hinge to a raised handle", "hinge", { stance: "two", loadAt: "front", to: "handle" }, [0.6, 0.35], {
    handleHeightM: [
      { of: "stature", times: 0.16 },
      { of: "stature", times: 0.36 },
      { of: "stature", times: 0.3 },
    ],
    kneeFlexionDeg: [5, 90, 30],
    loadKg: [0, 80, 16],
  }),
  study("Hinge", "hinge-staggered", "Hinge, staggered", "hinge", { stance: "staggered", loadAt: "front" }, [15, 60], {
    trunkLeanDeg: TRUNK,
    kneeFlexionDeg: [5, 50, 20],
    stanceBackM: [0.08, 0.35, 0.22],
    shareFraction: [0.5, 0.95, 0.7],
    loadKg: [0, 40, 8],
  }),
  study("Hinge", "hinge-single", "Hinge on one leg", "hinge", { stance: "single", loadAt: "front" }, [10, 75], {
    trunkLeanDeg: [10, 85, 55],
    kneeFlexionDeg: [5, 45, 20],
    loadKg: [0, 40, 0],
    handForceN: kgf(0, 20, 0),
  }),
  study("Bridge and thrust", "bridge", "Bridge and thrust", "bridge", { foot: "floor", other: "same" }, [40, 0], {
    hipFlexionDeg: HIP,
    kneeAtTopDeg: AT_TOP,
    benchHeightM: BENCH,
    loadKg: [0, 100, 0],
    setS: SET,
  }),
  study("Bridge and thrust", "bridge-staggered", "Bridge, staggered", "bridge", { foot: "floor", other: "staggered" }, [40, 0], {
    hipFlexionDeg: HIP,
    kneeAtTopDeg: [70, 130, 95],
    footFurtherM: [0.05, 0.35, 0.2],
    shareFraction: [0.5, 0.95, 0.75],
    setS: SET,
  }),
  study("Bridge and thrust", "bridge-single", "Bridge or thrust on one leg", "bridge", { foot: "floor", other: "free" }, [40, 0], {
    hipFlexionDeg: HIP,
    kneeAtTopDeg: AT_TOP,
    trailKneeDeg: [0, 100, 15],
    benchHeightM: BENCH,
    setS: SET,
  }),
  study("Bridge and thrust", "bridge-ball", "Bridge, heels on a ball", "bridge", { foot: "ball", other: "same" }, [40, 0], {
    hipFlexionDeg: HIP,
    kneeAtTopDeg: [5, 90, 30],
    ballHeightM: [0.25, 0.7, 0.5],
    setS: SET,
  }),
  study("Bridge and thrust", "bridge-wall", "Bridge, feet on a wall", "bridge", { foot: "wall", other: "same" }, [55, 15], {
    hipFlexionDeg: [0, 60, 30],
    kneeAtTopDeg: [60, 110, 90],
    feetUpM: [0.25, { of: "knee-height", times: 1 }, { of: "knee-height", times: 0.95 }],
    setS: SET,
  }),
  study("Bridge and thrust", "leg-press", "Leg press", "leg-press", {}, [15, 95], {
    kneeFlexionDeg: [10, 110, 80],
    sledForceN: kgf(20, 200, 70),
    inclineDeg: [0, 90, 45],
    feetHighM: [0, 0.25, 0.12],
    seatBackDeg: [90, 150, 120],
    shareFraction: [0.3, 1, 0.5],
  }),
  study("Helpers", "straight-leg-raise", "Straight-leg raise", "knee-extension", { way: "straight-leg" }, [0, 45], {
    legRaiseDeg: [0, 70, 30],
    ankleKg: [0, 5, 0],
    setS: SET,
  }),
  study("Helpers", "terminal-extension", "Terminal knee extension with a band", "knee-extension", { way: "band" }, [20, 0], {
    bandForceN: kgf(0, 30, 8),
    shankLeanDeg: [0, 30, 5],
  }),
  study("Helpers", "knee-extension", "Knee extension, seated", "knee-extension", { way: "seated" }, [90, 0], {
    endKneeDeg: [0, 90, 45],
    startKneeDeg: [30, 100, 90],
    ankleKg: [0, 10, 2],
    cuffForceN: kgf(0, 40, 0),
  }),
  study("Helpers", "calf-raise", "Calf raise", "calf", {}, [0, 40], {
    heelRaiseDeg: [0, 45, 20],
    shareFraction: [0.3, 1, 0.5],
    loadKg: [0, 40, 0],
    handForceN: kgf(0, 40, 5),
    kneeFlexionDeg: [0, 40, 0],
  }),
  study("Helpers", "side-lying-raise", "Side-lying leg raise", "side-hip", { way: "lying" }, [0, 35], {
    legRaiseDeg: [0, 45, 15],
    ankleKg: [0, 5, 0],
    bandForceN: kgf(0, 20, 0),
    bandArmM: [0.2, 0.8, 0.35],
  }),
  study("Helpers", "seated-abduction", "Seated knees out against a band", "side-hip", { way: "seated" }, [0, nFromKgf(20)], {
    bandForceN: kgf(0, 40, 10),
    bandArmM: [0.15, 0.45, 0.36],
  }),
  study("Helpers", "one-leg-stand", "One-leg stand with a stick", "side-hip", { way: "standing" }, [0, nFromKgf(15)], {
    stickForceN: kgf(0, 20, 0),
    handOutM: [0.2, 0.5, 0.35],
  }),
  study("Helpers", "strap-lean", "Straight lean back on a strap", "strap-lean", {}, [2, 35], {
    bodyLeanDeg: [2, 45, 15],
    strapDirectionDeg: [-10, 80, 30],
    handleAlongM: [0.7, 1.5, 1.15],
  }),
  study("Helpers", "carry", "Carry, standing", "carry", {}, [0, 40], {
    loadKg: [0, 60, 16],
    loadAheadM: [-0.08, 0.3, 0],
  }),
];
