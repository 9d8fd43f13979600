import type { Body } from "../body/body";
import { cosDeg, GRAVITY_MPS2, radFromDeg, sinDeg } from "../units";
import { footComPoint } from "./foot";
import type { Arms, Assist, Load, StandingSetting, Trail } from "./standing.types";

/**
 * Everything above the hips, made ready once for a set-up (docs/equations.md E6). Each point up there is linear in sine
 * and cosine of the trunk's lean, and hands on a fixed support also in the hip's own place; so is each force's moment.
 * Only a strap to an anchor, and a force still to be solved, stay by themselves.
 */
export interface TrunkPoint {
  /** From the hip: `x + xSin sin + xCos cos + xHip hipX`, metres; y likewise. */
  x: number;
  xSin: number;
  xCos: number;
  xHip: number;
  y: number;
  ySin: number;
  yCos: number;
  yHip: number;
}

/** A sum of fixed forces and its moment about the hip, in the same terms. */
interface ForceSums {
  fxN: number;
  fyN: number;
  momentNm: number;
  momentSinNm: number;
  momentCosNm: number;
  momentPerHipXN: number;
  momentPerHipYN: number;
}

/** An assist made ready: where it acts, how big it is (null: to be solved), and which way it points. */
interface ReadyAssist {
  at: TrunkPoint;
  magnitudeN: number | null;
  direction: { xFraction: number; yFraction: number } | { anchorXM: number; anchorYM: number };
  isAboveL5: boolean;
}

export interface UpperBody {
  shoulder: TrunkPoint;
  hand: TrunkPoint;
  assists: ReadyAssist[];
  /** Weights and loads alone; then with the assists whose force is known, in all and above L5/S1. */
  weights: ForceSums;
  all: ForceSums;
  above: ForceSums;
  /** Assists whose direction turns with the hand, or whose size is to be solved. */
  open: ReadyAssist[];
  isAnchored: boolean;
}

/** Forces of the upper body in one pose, and their moment about the hip. */
export interface UpperForces {
  fxN: number;
  fyN: number;
  hipMomentNm: number;
}

/** Fixed in the trunk: `upM` along it from the hip, `frontM` ahead of it. */
const onTrunk = (upM: number, frontM: number): TrunkPoint => ({
  x: 0,
  xSin: upM,
  xCos: frontM,
  xHip: 0,
  y: 0,
  ySin: -frontM,
  yCos: upM,
  yHip: 0,
});
/** At a fixed distance from the hip. */
const fromHip = (x: number, y: number): TrunkPoint => ({ x, xSin: 0, xCos: 0, xHip: 0, y, ySin: 0, yCos: 0, yHip: 0 });
/** Fixed in the room. */
const inRoom = (x: number, y: number): TrunkPoint => ({ x, xSin: 0, xCos: 0, xHip: -1, y, ySin: 0, yCos: 0, yHip: -1 });
const moved = (p: TrunkPoint, dx: number, dy: number): TrunkPoint => ({ ...p, x: p.x + dx, y: p.y + dy });

export const pointX = (p: TrunkPoint, sin: number, cos: number, hipXM: number): number =>
  p.x + p.xSin * sin + p.xCos * cos + p.xHip * hipXM;
export const pointY = (p: TrunkPoint, sin: number, cos: number, hipYM: number): number =>
  p.y + p.ySin * sin + p.yCos * cos + p.yHip * hipYM;

function between(a: TrunkPoint, b: TrunkPoint, fraction: number): TrunkPoint {
  const mix = (from: number, to: number): number => from + fraction * (to - from);
  return {
    x: mix(a.x, b.x),
    xSin: mix(a.xSin, b.xSin),
    xCos: mix(a.xCos, b.xCos),
    xHip: mix(a.xHip, b.xHip),
    y: mix(a.y, b.y),
    ySin: mix(a.ySin, b.ySin),
    yCos: mix(a.yCos, b.yCos),
    yHip: mix(a.yHip, b.yHip),
  };
}

function handPoint(body: Body, arms: Arms, shoulder: TrunkPoint): TrunkPoint {
  const { armReachM: reachM, heightM } = body;
  switch (arms.kind) {
    case "hang":
      return moved(shoulder, arms.forwardM, -Math.sqrt(Math.max(0, reachM ** 2 - arms.forwardM ** 2)));
    case "forward":
      return moved(shoulder, reachM, 0);
    case "overhead":
      return onTrunk(body.trunkM + reachM, 0);
    case "crossed":
      return onTrunk(body.trunkM - 0.12 * heightM, 0.1 * heightM);
    case "goblet":
      return onTrunk(body.trunkM - 0.1 * heightM, 0.14 * heightM);
    case "point":
      return inRoom(arms.at[0], arms.at[1]);
    case "pole":
      return { ...moved(shoulder, 0, -arms.belowShoulderM), x: arms.xM, xSin: 0, xCos: 0, xHip: -1 };
    case "hip":
      return fromHip(arms.forwardM, arms.upM);
  }
}

const noForce = (): ForceSums => ({
  fxN: 0,
  fyN: 0,
  momentNm: 0,
  momentSinNm: 0,
  momentCosNm: 0,
  momentPerHipXN: 0,
  momentPerHipYN: 0,
});

function addForce(sums: ForceSums, p: TrunkPoint, fxN: number, fyN: number): void {
  sums.fxN += fxN;
  sums.fyN += fyN;
  sums.momentNm += p.x * fyN - p.y * fxN;
  sums.momentSinNm += p.xSin * fyN - p.ySin * fxN;
  sums.momentCosNm += p.xCos * fyN - p.yCos * fxN;
  sums.momentPerHipXN += p.xHip * fyN;
  sums.momentPerHipYN -= p.yHip * fxN;
}

/** Weights of a leg that hangs from the hip, as points that turn with the trunk where its thigh is in line with it. */
function hangingWeights(body: Body, { thighDeg, kneeFlexionDeg }: Extract<Trail, { kind: "free" }>): [TrunkPoint, number][] {
  const isInline = thighDeg === "inline";
  // the thigh at zero, then turned with the trunk (its angle is minus the lean) or left where it is
  const at = ([x, y]: readonly [number, number]): TrunkPoint => (isInline ? onTrunk(y, x) : fromHip(x, y));
  const angleDeg = isInline ? 0 : thighDeg;
  const shankDeg = kneeFlexionDeg - angleDeg;
  const knee = [body.thighM * sinDeg(angleDeg), -body.thighM * cosDeg(angleDeg)] as const;
  const down = (lengthM: number) => [knee[0] - lengthM * sinDeg(shankDeg), knee[1] - lengthM * cosDeg(shankDeg)] as const;
  const ankle = down(body.shankM);
  const foot = footComPoint(body, shankDeg);
  return [
    [at([body.thighComFraction * knee[0], body.thighComFraction * knee[1]]), body.thighKg],
    [at(down(body.shankComFraction * body.shankM)), body.shankKg],
    [at([ankle[0] + foot[0], ankle[1] + foot[1]]), body.footKg],
  ];
}

function loadPoint(body: Body, at: Load["at"], hand: TrunkPoint): TrunkPoint {
  if (at === "hands") return hand;
  if (at === "back") return onTrunk(body.trunkM + 0.02 * body.heightM, -0.03 * body.heightM);
  return at === "vest" ? onTrunk(0.18 * body.heightM, 0) : onTrunk(0, 0.06 * body.heightM);
}

function assistPoint(body: Body, at: Assist["at"], hand: TrunkPoint): TrunkPoint {
  if (at === "hands") return hand;
  if (at === "wall") return onTrunk(0.13 * body.heightM, -0.06 * body.heightM);
  return at === "chest" ? onTrunk(0.24 * body.heightM, 0) : fromHip(0, 0);
}

function readyAssist(body: Body, { at, force }: Assist, hand: TrunkPoint): ReadyAssist {
  const point = assistPoint(body, at, hand);
  const isAboveL5 = at !== "pelvis";
  switch (force.kind) {
    case "anchor": {
      const [anchorXM, anchorYM] = force.anchor;
      return { at: point, magnitudeN: force.magnitudeN, direction: { anchorXM, anchorYM }, isAboveL5 };
    }
    case "angle": {
      const rad = radFromDeg(force.directionDeg);
      return { at: point, magnitudeN: force.magnitudeN, direction: { xFraction: Math.cos(rad), yFraction: Math.sin(rad) }, isAboveL5 };
    }
    case "components":
      return { at: point, magnitudeN: 1, direction: { xFraction: force.fxN, yFraction: force.fyN }, isAboveL5 };
  }
}

export function upperBody(body: Body, { arms, loads, assists, trail }: StandingSetting): UpperBody {
  const shoulder = onTrunk(body.trunkM, 0);
  const hand = handPoint(body, arms, shoulder);
  const [weights, above] = [noForce(), noForce()];
  const weigh = (p: TrunkPoint, massKg: number, isAboveL5: boolean): void => {
    addForce(weights, p, 0, -massKg * GRAVITY_MPS2);
    if (isAboveL5) addForce(above, p, 0, -massKg * GRAVITY_MPS2);
  };
  weigh(onTrunk(body.upperComM, 0), body.upperKg, true);
  weigh(between(shoulder, hand, body.armsComFraction), body.armsKg, true);
  if (body.bellyKg > 0) weigh(onTrunk(body.bellyAlongM, body.bellyForwardM), body.bellyKg, true);
  weigh(onTrunk(body.pelvisComM, 0), body.pelvisKg, false);
  if (trail.kind === "free") for (const [p, massKg] of hangingWeights(body, trail)) weigh(p, massKg, false);
  for (const { massKg, at } of loads) weigh(loadPoint(body, at, hand), massKg, at !== "hips");

  const ready = assists.map((assist) => readyAssist(body, assist, hand));
  const all = { ...weights };
  const open: ReadyAssist[] = [];
  for (const assist of ready) {
    const { at, magnitudeN, direction, isAboveL5 } = assist;
    if (magnitudeN === null || "anchorXM" in direction) {
      open.push(assist);
      continue;
    }
    const [fxN, fyN] = [magnitudeN * direction.xFraction, magnitudeN * direction.yFraction];
    addForce(all, at, fxN, fyN);
    if (isAboveL5) addForce(above, at, fxN, fyN);
  }
  const isAnchored = open.some(({ direction }) => "anchorXM" in direction);
  return { shoulder, hand, assists: ready, weights, all, above, open, isAnchored };
}

/** One assist's force in a pose, and its moment about the hip. */
export function writeAssist(
  out: UpperForces,
  assist: ReadyAssist,
  sin: number,
  cos: number,
  hipXM: number,
  hipYM: number,
  solvedN: number,
): void {
  const { at, direction } = assist;
  const x = pointX(at, sin, cos, hipXM);
  const y = pointY(at, sin, cos, hipYM);
  const magnitudeN = assist.magnitudeN ?? solvedN;
  let dx = 0;
  let dy = 0;
  if ("anchorXM" in direction) {
    dx = direction.anchorXM - hipXM - x;
    dy = direction.anchorYM - hipYM - y;
    const distanceM = Math.sqrt(dx * dx + dy * dy);
    dx /= distanceM;
    dy /= distanceM;
  } else {
    dx = direction.xFraction;
    dy = direction.yFraction;
  }
  out.fxN = magnitudeN * dx;
  out.fyN = magnitudeN * dy;
  out.hipMomentNm = x * out.fyN - y * out.fxN;
}

const scratch: UpperForces = { fxN: 0, fyN: 0, hipMomentNm: 0 };

/** Sum of the upper body's forces (`all`, or those `above` L5/S1) at one trunk lean over one hip. */
export function writeUpperForces(
  out: UpperForces,
  upper: UpperBody,
  part: "all" | "above",
  sin: number,
  cos: number,
  hipXM: number,
  hipYM: number,
  solvedN: number,
): void {
  const sums = part === "all" ? upper.all : upper.above;
  out.fxN = sums.fxN;
  out.fyN = sums.fyN;
  out.hipMomentNm =
    sums.momentNm + sums.momentSinNm * sin + sums.momentCosNm * cos + sums.momentPerHipXN * hipXM + sums.momentPerHipYN * hipYM;
  for (const assist of upper.open) {
    if (part === "above" && !assist.isAboveL5) continue;
    writeAssist(scratch, assist, sin, cos, hipXM, hipYM, solvedN);
    out.fxN += scratch.fxN;
    out.fyN += scratch.fyN;
    out.hipMomentNm += scratch.hipMomentNm;
  }
}
