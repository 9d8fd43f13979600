import type { AxisId } from "./axes.data";

/** What a position has the client told on some rows; the row's own words that say otherwise are left unsaid. */
export interface SchoolCue {
  axisId: AxisId;
  positionId: string;
  cue: string;
  codes: readonly string[];
  /** A row's own cue with one of these words gives way. */
  insteadOf?: readonly string[];
}
const words = (text: string): string[] => text.split(" ");
const STANDING = words("S02 S03 S04 S05 S06 S07 S08 L01 L02 L03 L05 L10");
const STEP_UPS = words("L01 L02 L03 L05 L10");
const QUARTER = words("S27 S28 S29 S30 S31");
const STRAIGHTENING = words("K02 K03 K04 K05 K06 K09");
const MACHINE_ABDUCTION = words("A10 A11 A12 A18");
const THRUSTS = words("B07 B08 B09 B11 B12 B13 B14");

/** Cues by school where they differ. Source: handbook E4, points 7, 9, 15, 16, 18 and 25. */
export const SCHOOL_CUES: readonly SchoolCue[] = [
  { axisId: "foot-pressure", positionId: "heels", cue: "Push through the heel", codes: STANDING, insteadOf: ["foot"] },
  { axisId: "foot-pressure", positionId: "forefoot", cue: "Weight forward in the foot", codes: STANDING, insteadOf: ["foot", "heel"] },
  {
    axisId: "foot-pressure",
    positionId: "three-points",
    cue: "Big toe, little toe, heel: all three down",
    codes: STANDING,
    insteadOf: ["foot"],
  },
  {
    axisId: "foot-pressure",
    positionId: "raised-heels",
    cue: "Heels on the wedge, weight in the middle",
    codes: words("S22 S23 L13"),
    insteadOf: ["heel"],
  },
  { axisId: "step-up", positionId: "lean", cue: "Lean a little over the front foot", codes: STEP_UPS, insteadOf: ["lean", "upright"] },
  { axisId: "step-up", positionId: "upright", cue: "Straight up, the buttock first", codes: STEP_UPS, insteadOf: ["lean"] },
  { axisId: "step-up", positionId: "knee-forward", cue: "Let the knee travel forward", codes: STEP_UPS, insteadOf: ["lean", "upright"] },
  { axisId: "muscle-cue", positionId: "buttock", cue: "Sit back, the buttock starts it", codes: QUARTER },
  {
    axisId: "muscle-cue",
    positionId: "knee-muscle",
    cue: "Hips stay under you, the thigh does it",
    codes: QUARTER,
    insteadOf: ["sit back"],
  },
  {
    axisId: "straightening",
    positionId: "soft",
    cue: "Stop just short of locked",
    codes: STRAIGHTENING,
    insteadOf: ["straight", "squeeze"],
  },
  {
    axisId: "straightening",
    positionId: "lock-out",
    cue: "Squeeze to straight, never past it",
    codes: STRAIGHTENING,
    insteadOf: ["short of"],
  },
  {
    axisId: "abduction-trunk",
    positionId: "lean",
    cue: "Lean and slide forward on the seat",
    codes: MACHINE_ABDUCTION,
    insteadOf: ["upright", "tall"],
  },
  { axisId: "abduction-trunk", positionId: "neutral", cue: "Sit tall, back as it is", codes: MACHINE_ABDUCTION, insteadOf: ["lean"] },
  {
    axisId: "abduction-trunk",
    positionId: "three-angles",
    cue: "A set leaning, one tall, one back",
    codes: MACHINE_ABDUCTION,
    insteadOf: ["lean", "tall"],
  },
  { axisId: "thrust-start", positionId: "vertical-shins", cue: "Shins upright at the top", codes: THRUSTS, insteadOf: ["shin"] },
  { axisId: "thrust-start", positionId: "feet-out", cue: "Feet a little further out", codes: THRUSTS, insteadOf: ["shin"] },
];
