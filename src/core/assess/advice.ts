import { SHIN_DEG_PER_TOE_M } from "../standards/measurement";
import { UP_AND_GO_FALLS_S } from "../standards/walking";
import { trunkEndurance, type TrunkFlag } from "../standards/trunk-endurance";
import type { ScreenAnswers } from "../screen/screen";
import { type ChannelSide } from "../mechanics/channels";
import { type Finding, latestOf, protocolOf } from "./finding";
import { isReadyForLoad } from "./range-limits";

/** What measures say together, as data. It proposes an order of work; it closes nothing by itself. */
export type Advice =
  | { code: "straight-and-bend-first"; side: ChannelSide; bendDeg: number | null; shortDeg: number | null }
  /** The hip, or the ankle, runs out before the pelvis tucks: its drill first, then the depth is measured again. */
  | { code: "hip-causes-tuck"; side: ChannelSide; hipDeg: number; tuckDeg: number }
  | { code: "ankle-causes-tuck"; side: ChannelSide; shinDeg: number; tuckDeg: number }
  /** A coin under the heel, raising it in line, before tiptoe and barefoot work. */
  | { code: "coin-heel-raise-first"; side: ChannelSide }
  | { code: "bend-sensitive" }
  | { code: "arch-sensitive" }
  | { code: "spreads"; day: string }
  | { code: "side-short"; side: ChannelSide; fingers: number }
  | { code: "trunk-ratio"; flag: TrunkFlag; ratio: number }
  | { code: "fall-risk"; seconds: number }
  | { code: "carry-fades"; side: ChannelSide }
  | { code: "lower-step"; side: ChannelSide; score: number }
  | { code: "cue"; cue: string };

/** A hip within so much of the tuck is what ran out. Ours. */
const RUNS_OUT_WITHIN_DEG = 10;
/** A shin that comes less far forward tips the pelvis in a squat. Ours. */
const STIFF_SHIN_DEG = 30;
const DRIFTS_FROM = 2;
const SHORT_SIDE_FINGERS = 1;
/** A poor step-down: the step is lowered. Source: Piva 2006 for the grade; what follows from it is ours. */
const POOR_STEP_DOWN_FROM = 4;
const SIDES = ["left", "right"] as const;

/** What the latest results say together. */
export function adviceOf(findings: readonly Finding[], { conditions = [] }: ScreenAnswers): Advice[] {
  const value = (protocol: string, side: ChannelSide = "both"): number | null => latestOf(findings, protocol, side)?.value ?? null;
  const said = (protocol: string): string | null => {
    const place = value(protocol);
    return place === null ? null : (protocolOf(protocol)?.options?.[place] ?? null);
  };
  const found: Advice[] = [];
  for (const { id, side: of } of conditions) {
    if (id !== "knee-replacement") continue;
    for (const side of SIDES.filter((each) => of === "both" || of === each)) {
      const [bendDeg, shortDeg] = [value("knee-bend", side), value("knee-straight", side)];
      if (!isReadyForLoad(findings, side)) found.push({ code: "straight-and-bend-first", side, bendDeg, shortDeg });
    }
  }
  const tuckDeg = value("tuck");
  for (const side of SIDES) {
    const [hipDeg, toeM] = [value("hip-bend", side), value("shin-forward", side)];
    if (tuckDeg !== null && hipDeg !== null && hipDeg <= tuckDeg + RUNS_OUT_WITHIN_DEG)
      found.push({ code: "hip-causes-tuck", side, hipDeg, tuckDeg });
    const shinDeg = toeM === null ? null : toeM * SHIN_DEG_PER_TOE_M;
    if (tuckDeg !== null && shinDeg !== null && shinDeg < STIFF_SHIN_DEG) found.push({ code: "ankle-causes-tuck", side, shinDeg, tuckDeg });
    if (Math.max(value("foot-roll-in", side) ?? 0, value("heel-line", side) ?? 0) >= DRIFTS_FROM)
      found.push({ code: "coin-heel-raise-first", side });
    const fingers = value("side-length", side);
    if (fingers !== null && fingers <= SHORT_SIDE_FINGERS) found.push({ code: "side-short", side, fingers });
    const [early, late] = [value("carry-early", side), value("carry-late", side)];
    if (early !== null && late !== null && late > early) found.push({ code: "carry-fades", side });
    const score = value("step-down", side);
    if (score !== null && score >= POOR_STEP_DOWN_FROM) found.push({ code: "lower-step", side, score });
  }
  if (said("bend-response") === "worse") found.push({ code: "bend-sensitive" });
  if (said("arch-response") === "worse") found.push({ code: "arch-sensitive" });
  const spread = findings.filter(isSpreading).at(-1);
  if (spread) found.push({ code: "spreads", day: spread.day });
  const [flexionS, extensionS, leftS, rightS] = [
    value("hold-front"),
    value("hold-back"),
    value("hold-side", "left"),
    value("hold-side", "right"),
  ];
  if (flexionS && extensionS && leftS && rightS) {
    const ratios = trunkEndurance({ flexionS, extensionS, leftS, rightS });
    for (const flag of ratios.flags) found.push({ code: "trunk-ratio", flag, ratio: ratios[flag] });
  }
  const seconds = value("up-and-go");
  if (seconds !== null && seconds >= UP_AND_GO_FALLS_S) found.push({ code: "fall-risk", seconds });
  const cue = said("cue");
  if (cue && cue !== "no-difference") found.push({ code: "cue", cue });
  return found;
}

const SPREADS = "spreads";
/** Pain that went below the buttock in a test is a warning sign like any other: a clinician clears it. */
export const isSpreading = ({ protocol, value }: Pick<Finding, "protocol" | "value">): boolean =>
  protocolOf(protocol)?.options?.[value] === SPREADS;
