import type { Body, BodyMeasure } from "../src/core/body/body";
import { assistBounds } from "../src/core/mechanics/assist-bounds";
import { standingPose } from "../src/core/mechanics/standing";
import {
  type Arms,
  type Assist,
  type Balance,
  type Brace,
  type Depth,
  type LegDemand,
  type LegGeometry,
  SHANK_RULES,
  type ShankRule,
  STANDING_DEFAULTS,
  type StandingResult,
  type StandingSetting,
  type Trail,
} from "../src/core/mechanics/standing.types";
import type { Point } from "../src/core/mechanics/vector";
import { inverse } from "../src/core/numeric/inverse";

/**
 * The worked examples' short keys, over the core's full names. Nothing is computed here.
 * Everything it takes has passed `mechanicsSchema`.
 */
export type Json = Record<string, unknown>;
export interface Spec {
  knee?: number;
  hipHeight?: number;
  seat?: number;
  step?: { height: number; trailLean?: number; trailHeel?: number };
  shank?: { mode: "natural" | "overToes" | "midfoot" | "vertical" | "fixed"; deg?: number };
  dorsiMax?: number;
  hipMax?: number;
  mu?: number;
  wedge?: number;
  heelRaise?: number;
  cop?: number;
  balance?: { mode: "trunk" | "shank" | "assist" | "cop" | "share"; trunk?: number };
  arms?: { kind: Arms["kind"]; dx?: number; dy?: number; x?: number; y?: number; drop?: number };
  loads?: { kg: number; at: "hands" | "back" | "vest" | "hips" }[];
  assists?: ShortAssist[];
  share?: number;
  trail?: "same" | ShortTrail;
  brace?: "vertical" | "least" | number | { frac: number };
}
export type ShortTrail =
  | { kind: "same" }
  | { kind: "ground"; back: number; heel: number; level?: number; cop?: number }
  | { kind: "reach"; level: number; heel: number; knee?: number; dir?: -1 | 1 }
  | { kind: "free"; thigh: number | "inline"; knee: number };
interface ShortAssist {
  at: Assist["at"];
  fx?: number;
  fy?: number;
  mag?: number;
  dirDeg?: number;
  anchor?: [number, number];
}
export interface Example {
  id: string;
  fn: string;
  body?: Json;
  input: Json;
}

const REASONS: Record<string, string> = { "kneecap-extrapolated": "pfj-extrapolated" };
const SOLVES = { trunk: "trunk", shank: "shank", assist: "assist", cop: "pressure", share: "share" } as const;

export function measureFrom(short: Json): BodyMeasure {
  const { sex, bellyFwdM, table, ...lengths } = short as Json & { bellyFwdM?: number };
  return {
    ...(lengths as unknown as BodyMeasure),
    sex: sex === "F" ? "female" : "male",
    ...(bellyFwdM === undefined ? {} : { bellyForwardM: bellyFwdM }),
    segmentTable: table === "winter" ? "winter" : "de-leva",
  };
}

function depthFrom({ hipHeight, seat, step, knee = 0 }: Spec): Depth {
  if (hipHeight !== undefined) return { by: "hip-height", hipHeightM: hipHeight };
  if (seat !== undefined) return { by: "seat-height", seatHeightM: seat };
  if (step) return { by: "step", stepHeightM: step.height, trailLeanDeg: step.trailLean ?? 10, trailHeelDeg: step.trailHeel ?? 20 };
  return { by: "knee-flexion", kneeFlexionDeg: knee };
}

function trailFrom(trail: Spec["trail"]): Trail {
  if (!trail || trail === "same" || trail.kind === "same") return { kind: "same" };
  if (trail.kind === "free") return { kind: "free", thighDeg: trail.thigh, kneeFlexionDeg: trail.knee };
  if (trail.kind === "ground")
    return { kind: "ground", backM: trail.back, heelDeg: trail.heel, levelM: trail.level ?? 0, pressureFraction: trail.cop ?? 0.5 };
  return { kind: "reach", levelM: trail.level, heelDeg: trail.heel, kneeFlexionDeg: trail.knee ?? 0, direction: trail.dir ?? -1 };
}

function braceFrom(brace: Spec["brace"]): Brace {
  if (brace === undefined || brace === "vertical") return { kind: "vertical" };
  if (typeof brace === "number") return { kind: "force", forceN: brace };
  return { kind: "least", fraction: brace === "least" ? 1 : brace.frac };
}

function armsFrom(arms: NonNullable<Spec["arms"]>): Arms {
  const { kind, dx = 0, dy = 0, x = 0, y = 0, drop = 0 } = arms;
  if (kind === "hang") return { kind, forwardM: dx };
  if (kind === "point") return { kind, at: [x, y] };
  if (kind === "pole") return { kind, xM: x, belowShoulderM: drop };
  if (kind === "hip") return { kind, forwardM: dx, upM: dy };
  return { kind };
}

function assistFrom({ at, fx, fy, mag, dirDeg, anchor }: ShortAssist): Assist {
  if (fx !== undefined || fy !== undefined) return { at, force: { kind: "components", fxN: fx ?? 0, fyN: fy ?? 0 } };
  const magnitudeN = mag ?? null;
  if (anchor) return { at, force: { kind: "anchor", magnitudeN, anchor } };
  return { at, force: { kind: "angle", magnitudeN, directionDeg: dirDeg ?? (at === "wall" ? 0 : 90) } };
}

const shankFrom = ({ mode, deg = 0 }: NonNullable<Spec["shank"]>): ShankRule =>
  mode === "fixed" ? { kind: "fixed", shankLeanDeg: deg } : SHANK_RULES[mode];

/** The full setting. */
function settingFrom(spec: Spec): StandingSetting {
  const { balance = { mode: "trunk" } } = spec;
  const d = STANDING_DEFAULTS;
  const solved: Balance =
    balance.mode === "trunk" ? { solve: "trunk" } : ({ solve: SOLVES[balance.mode], trunkLeanDeg: balance.trunk } as Balance);
  return {
    depth: depthFrom(spec),
    shankRule: spec.shank ? shankFrom(spec.shank) : d.shankRule,
    dorsiflexionMaxDeg: spec.dorsiMax ?? d.dorsiflexionMaxDeg,
    hipFlexionMaxDeg: spec.hipMax ?? d.hipFlexionMaxDeg,
    frictionMax: spec.mu ?? d.frictionMax,
    wedgeDeg: spec.wedge ?? 0,
    heelRaiseDeg: spec.heelRaise ?? 0,
    pressureFraction: spec.cop ?? d.pressureFraction,
    balance: solved,
    arms: spec.arms ? armsFrom(spec.arms) : d.arms,
    loads: (spec.loads ?? []).map(({ kg, at }) => ({ massKg: kg, at })),
    assists: (spec.assists ?? []).map(assistFrom),
    leadShareFraction: spec.share ?? d.leadShareFraction,
    trail: trailFrom(spec.trail),
    brace: braceFrom(spec.brace),
  };
}

export function legOut(geometry: LegGeometry, leg: LegDemand, trunkLeanDeg: number, pressure: Point): Json {
  return {
    knee: geometry.kneeFlexionDeg,
    hipFlex: geometry.thighLeanDeg + trunkLeanDeg,
    dorsi: geometry.shankLeanDeg - geometry.footPitchDeg,
    sigma: geometry.shankLeanDeg,
    theta: geometry.thighLeanDeg,
    ankleNm: leg.ankleMomentNm,
    kneeNm: leg.kneeMomentNm,
    hipNm: leg.hipMomentNm,
    quadN: leg.quadricepsN,
    pfjN: leg.kneecapForceN,
    pfjMPa: leg.kneecapStressMPa,
    tfBW: leg.kneeContactBw,
    share: leg.shareFraction,
    Fx: leg.groundFxN,
    Fy: leg.groundFyN,
    cop: pressure,
    ankle: geometry.ankle,
    kneeP: geometry.knee,
    hip: geometry.hip,
  };
}

export const warningsOut = (warnings: readonly string[]): string[] => warnings.map((code) => REASONS[code] ?? code);

function poseOut(result: StandingResult): Json {
  const warn = warningsOut(result.warnings);
  if (!result.ok) return { ok: false, reason: result.reason, warn };
  return {
    ok: true,
    warn,
    lead: legOut(result, result.lead, result.trunkLeanDeg, result.pressure),
    trail: legOut(result.trailLeg, result.trail, result.trunkLeanDeg, result.trailPressure),
    trunkLean: result.trunkLeanDeg,
    trunkThigh: 180 - result.hipFlexionDeg,
    hipHeight: result.hipHeightM,
    l5Nm: result.lowBackMomentNm,
    l5CompN: result.lowBackCompressionN,
    l5ShearN: result.lowBackShearN,
    assistN: result.assistN,
    assistUpBW: result.assistUpFraction,
    mu: result.frictionNeeded,
    comX: result.centreOfMassXM,
    residual: result.residual,
  };
}

export const bodyOut = (b: Body): Json => ({
  H: b.heightM,
  m: b.massKg,
  sex: b.sex === "female" ? "F" : "M",
  ankleH: b.ankleHeightM,
  shank: b.shankM,
  thigh: b.thighM,
  trunk: b.trunkM,
  arm: b.armReachM,
  foot: b.footM,
  heel: b.heelBehindAnkleM,
  l5: b.l5M,
  seatDrop: b.hipAboveSeatM,
  hPelvis: b.pelvisComM,
  hUpper: b.upperComM,
  bellyAlong: b.bellyAlongM,
  bellyFwd: b.bellyForwardM,
  mFoot: b.footKg,
  mShank: b.shankKg,
  mThigh: b.thighKg,
  mPelvis: b.pelvisKg,
  mUpper: b.upperKg,
  mArms: b.armsKg,
  bellyKg: b.bellyKg,
  cFoot: b.footComFraction,
  cShank: b.shankComFraction,
  cThigh: b.thighComFraction,
  cArm: b.armsComFraction,
});

const at = (tree: unknown, path: string): unknown =>
  path.split(".").reduce<unknown>((node, key) => (node as Json | undefined)?.[key], tree);

/** A copy of the spec with one value replaced by its dot path; its parents were checked on the way in. */
function withValue(spec: Spec, path: string, value: number): Spec {
  const copy = structuredClone(spec);
  const keys = path.split(".");
  const last = keys.pop() ?? "";
  const parent = keys.reduce<unknown>((node, key) => (node as Json | undefined)?.[key], copy);
  (parent as Json)[last] = value;
  return copy;
}

export const poseOf = (body: Body, spec: Spec): Json => poseOut(standingPose(body, settingFrom(spec)));

const channelOf = (body: Body, spec: Spec, path: string, channel: string) => (x: number) => {
  const value = at(poseOf(body, withValue(spec, path, x)), channel);
  return typeof value === "number" ? value : NaN;
};

const SWEEP_CHANNELS =
  "lead.kneeNm lead.hipNm lead.ankleNm lead.pfjN lead.pfjMPa lead.tfBW lead.dorsi lead.hipFlex lead.knee l5Nm l5CompN l5ShearN trunkLean".split(
    " ",
  );

export function sweepOut(
  body: Body,
  { spec, path, from, to, n = 21 }: { spec: Spec; path: string; from: number; to: number; n?: number },
): Json {
  const xs = Array.from({ length: n }, (_, i) => from + ((to - from) * i) / (n - 1));
  const poses = xs.map((x) => poseOf(body, withValue(spec, path, x)));
  const out: Json = { bad: poses.filter((pose) => !pose["ok"]).length };
  for (const channel of SWEEP_CHANNELS) {
    let peak = -Infinity;
    poses.forEach((pose, i) => {
      const value = at(pose, channel);
      if (typeof value !== "number" || !(value > peak)) return;
      peak = value;
      out[`peak:${channel}`] = value;
      out[`at:${channel}`] = xs[i];
    });
  }
  return out;
}

export interface SolveInput {
  path: string;
  channel: string;
  lo: number;
  hi: number;
}

export function inverseOut(body: Body, spec: Spec, target: number, { path, channel, lo, hi }: SolveInput): Json {
  const result = inverse(channelOf(body, spec, path, channel), lo, hi, target);
  const range = result.range
    ? { lo: result.range.min, hi: result.range.max, minAt: result.range.minAt, maxAt: result.range.maxAt }
    : { lo: null, hi: null, minAt: null, maxAt: null };
  return result.ok ? { ok: true, x: result.x, all: result.all, target, ...range } : { ok: false, reason: result.reason, target, ...range };
}

export function equalDemandOut(body: Body, { specA, specB, ...solve }: { specA: Spec; specB: Spec } & SolveInput): Json {
  const poseA = poseOf(body, specA);
  const target = at(poseA, solve.channel);
  if (typeof target !== "number") return { ok: false, reason: poseA["reason"] ?? "no-feasible-pose" };
  return inverseOut(body, specB, target, solve);
}

export function boundsOut(body: Body, { spec, assists }: { spec: Spec; assists: ShortAssist[] }): Json {
  const { base, keepShin, keepTrunk, keepPose } = assistBounds(body, settingFrom(spec), assists.map(assistFrom));
  return { ok: base.ok, base: poseOut(base), keepShin: poseOut(keepShin), keepTrunk: poseOut(keepTrunk), keepPose: poseOut(keepPose) };
}
