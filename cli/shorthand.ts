import type { Body, BodyMeasure } from "../src/core/body/body";
import { bodyFromMeasure } from "../src/core/body/body";
import { assistBounds } from "../src/core/mechanics/assist-bounds";
import { contactAreaMm2, contactRatio, quadricepsArmMm } from "../src/core/mechanics/kneecap";
import { standingPose } from "../src/core/mechanics/standing";
import {
  type Arms,
  type Assist,
  type Balance,
  type Depth,
  type LegDemand,
  SHANK_RULES,
  type ShankRule,
  STANDING_DEFAULTS,
  type StandingPose,
  type StandingResult,
  type StandingSetting,
} from "../src/core/mechanics/standing.types";
import { inverse } from "../src/core/solve/inverse";

/**
 * The worked examples' short keys, over the core's full names. Nothing is computed here.
 * Everything it takes has passed `mechanicsSchema`.
 */
type Json = Record<string, unknown>;
interface Spec {
  knee?: number;
  hipHeight?: number;
  seat?: number;
  step?: Json;
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
  trail?: "same" | { kind: string };
  brace?: unknown;
}
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

const NOT_BUILT = { ok: false, reason: "not-built" } as const;
const REASONS: Record<string, string> = { "kneecap-extrapolated": "pfj-extrapolated" };
const SOLVES = { trunk: "trunk", shank: "shank", assist: "assist", cop: "pressure" } as const;

function measureFrom(short: Json): BodyMeasure {
  const { sex, bellyFwdM, table, ...lengths } = short as Json & { bellyFwdM?: number };
  return {
    ...(lengths as unknown as BodyMeasure),
    sex: sex === "F" ? "female" : "male",
    ...(bellyFwdM === undefined ? {} : { bellyForwardM: bellyFwdM }),
    segmentTable: table === "winter" ? "winter" : "de-leva",
  };
}

function depthFrom({ hipHeight, seat, knee = 0 }: Spec): Depth {
  if (hipHeight !== undefined) return { by: "hip-height", hipHeightM: hipHeight };
  return seat === undefined ? { by: "knee-flexion", kneeFlexionDeg: knee } : { by: "seat-height", seatHeightM: seat };
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

/** The full setting, or null where the shorthand asks for a stance that the core does not have yet. */
function settingFrom(spec: Spec): StandingSetting | null {
  const { trail, step, balance = { mode: "trunk" } } = spec;
  if (step || balance.mode === "share" || (trail && trail !== "same" && trail.kind !== "same")) return null;
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
  };
}

function legOut(pose: StandingPose, leg: LegDemand): Json {
  return {
    knee: pose.kneeFlexionDeg,
    hipFlex: pose.hipFlexionDeg,
    dorsi: pose.dorsiflexionDeg,
    sigma: pose.shankLeanDeg,
    theta: pose.thighLeanDeg,
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
    cop: pose.pressure,
    ankle: pose.ankle,
    kneeP: pose.knee,
    hip: pose.hip,
  };
}

function poseOut(result: StandingResult): Json {
  const warn = result.warnings.map((code) => REASONS[code] ?? code);
  if (!result.ok) return { ok: false, reason: result.reason, warn };
  return {
    ok: true,
    warn,
    lead: legOut(result, result.lead),
    trail: legOut(result, result.trail),
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

const bodyOut = (b: Body): Json => ({
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

function poseOf(body: Body, spec: Spec): Json {
  const setting = settingFrom(spec);
  return setting ? poseOut(standingPose(body, setting)) : NOT_BUILT;
}

const channelOf = (body: Body, spec: Spec, path: string, channel: string) => (x: number) => {
  const value = at(poseOf(body, withValue(spec, path, x)), channel);
  return typeof value === "number" ? value : NaN;
};

const SWEEP_CHANNELS =
  "lead.kneeNm lead.hipNm lead.ankleNm lead.pfjN lead.pfjMPa lead.tfBW lead.dorsi lead.hipFlex lead.knee l5Nm l5CompN l5ShearN trunkLean".split(
    " ",
  );

function sweepOut(body: Body, { spec, path, from, to, n = 21 }: { spec: Spec; path: string; from: number; to: number; n?: number }): Json {
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

interface SolveInput {
  path: string;
  channel: string;
  lo: number;
  hi: number;
}

function inverseOut(body: Body, spec: Spec, target: number, { path, channel, lo, hi }: SolveInput): Json {
  const result = inverse(channelOf(body, spec, path, channel), lo, hi, target);
  const range = result.range
    ? { lo: result.range.min, hi: result.range.max, minAt: result.range.minAt, maxAt: result.range.maxAt }
    : { lo: null, hi: null, minAt: null, maxAt: null };
  return result.ok ? { ok: true, x: result.x, all: result.all, target, ...range } : { ok: false, reason: result.reason, target, ...range };
}

function equalDemandOut(body: Body, { specA, specB, ...solve }: { specA: Spec; specB: Spec } & SolveInput): Json {
  const poseA = poseOf(body, specA);
  const target = at(poseA, solve.channel);
  if (typeof target !== "number") return { ok: false, reason: poseA["reason"] ?? "no-feasible-pose" };
  return inverseOut(body, specB, target, solve);
}

function boundsOut(body: Body, { spec, assists }: { spec: Spec; assists: ShortAssist[] }): Json {
  const setting = settingFrom(spec);
  if (!setting) return NOT_BUILT;
  const { base, keepShin, keepTrunk, keepPose } = assistBounds(body, setting, assists.map(assistFrom));
  return { ok: base.ok, base: poseOut(base), keepShin: poseOut(keepShin), keepTrunk: poseOut(keepTrunk), keepPose: poseOut(keepPose) };
}

const usesUnbuilt = (input: Json): boolean =>
  ["spec", "specA", "specB"].some((key) => key in input && settingFrom(input[key] as Spec) === null);

function resultOf({ fn, body: short, input }: Example): Json {
  if (fn === "tissue") {
    const knee = input["knee"] as number;
    return { arm: quadricepsArmMm(knee), k: contactRatio(knee), area: contactAreaMm2(knee) };
  }
  if (["bridge", "legPress", "lever", "band"].includes(fn) || usesUnbuilt(input)) return NOT_BUILT;
  const body = bodyFromMeasure(measureFrom(short ?? {}));
  switch (fn) {
    case "body":
      return bodyOut(body);
    case "evaluate":
      return poseOf(body, input as Spec);
    case "sweep":
      return sweepOut(body, input as unknown as Parameters<typeof sweepOut>[1]);
    case "inverse": {
      const { spec, target, ...solve } = input as unknown as { spec: Spec; target: number } & SolveInput;
      return inverseOut(body, spec, target, solve);
    }
    case "equalDemand":
      return equalDemandOut(body, input as unknown as Parameters<typeof equalDemandOut>[1]);
    default:
      return boundsOut(body, input as unknown as Parameters<typeof boundsOut>[1]);
  }
}

export const runExamples = (examples: readonly Example[]): { id: string; result: Json }[] =>
  examples.map((example) => ({ id: example.id, result: resultOf(example) }));
