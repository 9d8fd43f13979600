import type { Body } from "../body/body";
import { refusalOf, type TemplateKind, type Trust } from "../mechanics/channels";
import { geometryOf, hangLeg, newLeg } from "../mechanics/leg";
import {
  calfRaise,
  frontalHip,
  kneeExtension,
  seatedAbductionNm,
  sideLyingAbductionNm,
  straightLegRaiseNm,
  strapLean,
  terminalExtensionNm,
} from "../mechanics/levers";
import { solePoint } from "../mechanics/foot";
import type { Readings } from "../mechanics/readings";
import type { LegGeometry } from "../mechanics/standing.types";
import type { Point } from "../mechanics/vector";
import { cosDeg, GRAVITY_MPS2, nFromKgf, sinDeg } from "../units";
import { channelRows, type ModelResult, shoulderOver, standingModel } from "./model-pose";
import type { SceneProp } from "./scene";
import { byKnee, inHands, standing } from "./squats.data";
import { angle, force, length, mass, type ModelTemplate, share, template, time } from "./template";

const KIND: TemplateKind = "lever";

interface Drawn {
  hip: Point;
  trunkLeanDeg: number;
  /** Thigh forward of the trunk's own frame, vertical down at 0; foot pitch follows the shin unless given. */
  lead: { thighDeg: number; kneeDeg: number; footPitchDeg?: number };
  trail?: { thighDeg: number; kneeDeg: number };
  hand?: (shoulder: Point) => Point;
  pressure?: Point;
  scene?: (lead: LegGeometry, shoulder: Point) => SceneProp[];
}

function legAt(body: Body, hip: Point, { thighDeg, kneeDeg, footPitchDeg }: Drawn["lead"]): LegGeometry {
  const leg = newLeg(body, 0);
  hangLeg(body, leg, hip[0], hip[1], thighDeg, kneeDeg);
  const geometry = geometryOf(leg);
  return footPitchDeg === undefined ? geometry : { ...geometry, footPitchDeg };
}

/** A helper is one formula at one joint: a figure to show it, and only the channels it speaks of. */
function helper(
  body: Body,
  { hip, trunkLeanDeg, lead, trail, hand, pressure, scene }: Drawn,
  asks: Readings["lead"],
  more: { trust?: Trust; lyingS?: number; balance?: number; handN?: number; spineN?: number } = {},
): ModelResult {
  const leg = legAt(body, hip, lead);
  const shoulder = shoulderOver(body, hip, trunkLeanDeg);
  const readings: Readings = {
    lead: { kneeFlexion: leg.kneeFlexionDeg, ...asks },
    trail: null,
    whole: { lyingTime: more.lyingS ?? 0, handWeight: more.handN ?? 0, spineLoad: more.spineN ?? 0 },
    ranks: { balanceDemand: more.balance ?? 0, impact: 0 },
  };
  const warnings = refusalOf("kneecapStress", leg.kneeFlexionDeg) ? ["kneecap-extrapolated"] : [];
  return {
    ok: true,
    kind: KIND,
    body,
    lead: leg,
    trail: trail ? legAt(body, hip, trail) : null,
    trunkLeanDeg,
    shoulder,
    hand: hand ? hand(shoulder) : null,
    pressure: pressure ?? null,
    centreOfMassXM: null,
    turnedDeg: 0,
    scene: scene ? scene(leg, shoulder) : [],
    channels: channelRows(KIND, readings, [], more.trust ?? "A"),
    warnings,
  };
}

const LYING_HIP_M = 0.1;
const ankleLoad = ({ ankle }: LegGeometry, massKg: number): SceneProp[] => (massKg > 0 ? [{ kind: "load", at: ankle, massKg }] : []);
const standHip = (body: Body): Point => [0, body.ankleHeightM + body.shankM + body.thighM];
const seatM = (body: Body): number => body.ankleHeightM + body.shankM - body.hipAboveSeatM;
const SET = time("One set lasts", 10, 120, 40);

export const HELPER_MODELS: readonly ModelTemplate[] = [
  template({
    id: "straight-leg-raise",
    group: "Helpers",
    name: "Straight-leg raise",
    levers: { angle: angle("Leg above level", 0, 70, 30), ankle: mass("Weight at the ankle", 0, 5, 0), set: SET },
    movement: { lever: "angle", from: 0, to: 45 },
    pose: ({ body }, v) =>
      helper(
        body,
        {
          hip: [0, LYING_HIP_M],
          trunkLeanDeg: -90,
          lead: { thighDeg: 90 + v.angle, kneeDeg: 0 },
          trail: { thighDeg: 145, kneeDeg: 110 },
          scene: (leg) => ankleLoad(leg, v.ankle),
        },
        { hipMoment: -straightLegRaiseNm(body, v.angle, v.ankle) },
        { lyingS: v.set },
      ),
    shin: "none",
    cannotSay: "What the low back does to hold the pelvis. The front of the hip works, so the hip's figure is below nothing.",
  }),
  template({
    id: "terminal-extension",
    group: "Helpers",
    name: "Terminal knee extension with a band",
    levers: { tension: force("Pull of the band", 0, 30, 8), shin: angle("Shin forward", 0, 30, 5) },
    movement: { lever: "shin", from: 20, to: 0 },
    pose: ({ body }, v) => {
      const hip = standHip(body);
      const knee = (leg: LegGeometry): Point => leg.knee;
      return helper(
        body,
        {
          hip,
          trunkLeanDeg: 0,
          lead: { thighDeg: v.shin, kneeDeg: 2 * v.shin, footPitchDeg: 0 },
          trail: { thighDeg: 0, kneeDeg: 0 },
          hand: ([x, y]) => [x + 0.05, y - body.armReachM + 0.02],
          scene: (leg) => [
            { kind: "band", from: knee(leg), to: [knee(leg)[0] + 0.8, knee(leg)[1]] },
            { kind: "force", at: knee(leg), fxN: v.tension, fyN: 0 },
          ],
        },
        { kneeMoment: terminalExtensionNm(body, v.tension, v.shin) },
        { balance: 2 },
      );
    },
    shin: "none",
    cannotSay: "Leaning: if the trunk goes over the knee instead of the pressure staying put, the band adds nothing at the knee.",
  }),
  template({
    id: "knee-extension",
    group: "Helpers",
    name: "Seated knee extension",
    levers: {
      knee: angle("Knee bend", 0, 100, 45),
      ankle: mass("Weight at the ankle", 0, 10, 2),
      cuff: force("Pull of a cuff or hand", 0, 40, 0),
    },
    movement: { lever: "knee", from: 90, to: 0 },
    pose: ({ body }, v) => {
      const { kneeMomentNm, contactN, stressMPa } = kneeExtension(body, v.knee, v.ankle, v.cuff);
      return helper(
        body,
        {
          hip: [0, seatM(body) + body.hipAboveSeatM],
          trunkLeanDeg: 0,
          lead: { thighDeg: 90, kneeDeg: v.knee },
          trail: { thighDeg: 90, kneeDeg: 90 },
          hand: ([x, y]) => [x + 0.15, y - 0.45],
          scene: (leg) => [{ kind: "seat", heightM: seatM(body), underXM: 0.04 }, ...ankleLoad(leg, v.ankle)],
        },
        { kneeMoment: kneeMomentNm, kneecapForce: contactN, kneecapStress: stressMPa },
      );
    },
    shin: "none",
    cannotSay: "The shin sliding under the thigh. Held against a cuff or moved against a weight, gravity is always in it.",
  }),
  template({
    id: "calf-raise",
    group: "Helpers",
    name: "Calf raise",
    levers: {
      heel: angle("Heel raised", 0, 45, 20),
      share: share("Share on this leg", 0.3, 1, 0.5),
      load: mass("Load in the hands", 0, 40, 0),
      hands: force("Held up by the hands", 0, 40, 5),
      bend: angle("Knee bent", 0, 40, 0),
    },
    movement: { lever: "heel", from: 0, to: 40 },
    pose: ({ body }, v) => {
      const ball = solePoint(body, 0.73, v.heel);
      const ankle: Point = [0, -ball[1]];
      const rise = (body.shankM + body.thighM) * cosDeg(v.bend / 2);
      const { ankleMomentNm, achillesN } = calfRaise(body, v.heel, v.share, v.load, v.hands);
      return helper(
        body,
        {
          hip: [ankle[0], ankle[1] + rise],
          trunkLeanDeg: 0,
          lead: { thighDeg: v.bend / 2, kneeDeg: v.bend, footPitchDeg: v.heel },
          hand: ([x, y]) => [x + 0.3, y - 0.35],
          pressure: [ball[0], 0],
          scene: () => (v.hands > 0 ? [{ kind: "pole", xM: 0.3 }] : []),
        },
        { ankleMoment: ankleMomentNm, achillesForce: achillesN },
        { balance: v.share === 1 ? 3 : 1, handN: v.hands + v.load * GRAVITY_MPS2, spineN: v.load * GRAVITY_MPS2 },
      );
    },
    shin: "none",
    cannotSay: "Which of the two calf muscles works: bent or straight, the moment is the same.",
  }),
  template({
    id: "side-lying-raise",
    group: "Helpers",
    name: "Side-lying leg raise",
    levers: {
      angle: angle("Leg above level", 0, 45, 15),
      ankle: mass("Weight at the ankle", 0, 5, 0),
      band: force("Pull of a band", 0, 20, 0),
      arm: length("Band from the hip", 0.2, 0.8, 0.35),
    },
    movement: { lever: "angle", from: 0, to: 35 },
    pose: ({ body }, v) =>
      helper(
        body,
        {
          hip: [0, LYING_HIP_M],
          trunkLeanDeg: -90,
          lead: { thighDeg: 90 + v.angle, kneeDeg: 0 },
          trail: { thighDeg: 90, kneeDeg: 0 },
          scene: (leg) => ankleLoad(leg, v.ankle),
        },
        { hipSideMoment: sideLyingAbductionNm(body, v.angle, { tensionN: v.band, armM: v.arm, angleToLegDeg: 90 }, v.ankle) },
      ),
    shin: "none",
    cannotSay: "Rolling back, which hands the work to the front of the hip.",
  }),
  template({
    id: "seated-abduction",
    group: "Helpers",
    name: "Seated knees out against a band",
    levers: { band: force("Pull of the band", 0, 40, 10), arm: length("Band from the hip", 0.15, 0.45, 0.36) },
    movement: { lever: "band", from: 0, to: nFromKgf(20) },
    pose: ({ body }, v) =>
      helper(
        body,
        {
          hip: [0, seatM(body) + body.hipAboveSeatM],
          trunkLeanDeg: 0,
          lead: { thighDeg: 90, kneeDeg: 90 },
          hand: ([x, y]) => [x + 0.15, y - 0.45],
          scene: (leg) => [
            { kind: "seat", heightM: seatM(body), underXM: 0.04 },
            { kind: "band", from: [v.arm, leg.hip[1] + 0.09], to: [v.arm, leg.hip[1] - 0.09] },
          ],
        },
        { hipSideMoment: seatedAbductionNm(body, v.band, v.arm) },
      ),
    shin: "none",
    cannotSay: "Which part of the side hip works at which lean of the trunk.",
  }),
  template({
    id: "one-leg-stand",
    group: "Helpers",
    name: "One-leg stand with a stick",
    levers: { stick: force("Weight on the stick", 0, 20, 0), out: length("Hand out from the body", 0.2, 0.5, 0.35) },
    movement: { lever: "stick", from: 0, to: nFromKgf(15) },
    pose: ({ body }, v) => {
      const { abductorMomentNm, hipContactN } = frontalHip(body, v.stick, "opposite", v.out);
      return helper(
        body,
        {
          hip: standHip(body),
          trunkLeanDeg: 0,
          lead: { thighDeg: 0, kneeDeg: 0 },
          trail: { thighDeg: 10, kneeDeg: 50 },
          hand: ([x, y]) => [x + 0.2, y - 0.5],
          pressure: [0.02, 0],
          scene: () => [{ kind: "pole", xM: 0.2 }],
        },
        { hipSideMoment: abductorMomentNm, hipContact: hipContactN / (body.massKg * GRAVITY_MPS2) },
        { trust: "B", balance: v.stick > 0 ? 3 : 4, handN: v.stick },
      );
    },
    shin: "none",
    cannotSay: "Drawn from the side; the stick is in the opposite hand. At 15 % of body weight the relief comes out too strong.",
  }),
  template({
    id: "strap-lean",
    group: "Helpers",
    name: "Straight lean back on a strap",
    levers: {
      lean: angle("Lean back", 2, 45, 15),
      direction: angle("Strap above level", -10, 80, 30),
      handle: length("Handle's height along the body", 0.7, 1.5, 1.15),
    },
    movement: { lever: "lean", from: 2, to: 35 },
    pose: ({ body }, v) => {
      const along = (upM: number): Point => [-upM * sinDeg(v.lean), upM * cosDeg(v.lean)];
      const { tensionN, feetN } = strapLean(body, v.lean, 0.56 * body.heightM, v.handle, v.direction);
      if (!(tensionN >= 0)) return { ok: false, reason: "assist-wrong-way" };
      if (!(feetN > 0)) return { ok: false, reason: "assist-overload" };
      const [dx, dy] = [cosDeg(v.direction), sinDeg(v.direction)];
      const handle: Point = [along(v.handle)[0] + 0.35, along(v.handle)[1]];
      return helper(
        body,
        {
          hip: along(standHip(body)[1]),
          trunkLeanDeg: -v.lean,
          lead: { thighDeg: v.lean, kneeDeg: 0 },
          hand: () => handle,
          pressure: [0, 0],
          scene: () => [
            { kind: "strap", from: handle, to: [handle[0] + 0.9 * dx, handle[1] + 0.9 * dy] },
            { kind: "force", at: handle, fxN: tensionN * dx, fyN: tensionN * dy },
          ],
        },
        {},
        { balance: 1, handN: tensionN },
      );
    },
    shin: "none",
    cannotSay: "Bending anywhere: the body is taken as one straight piece turning about the heels.",
  }),
  template({
    id: "carry",
    group: "Helpers",
    name: "Carry, standing",
    levers: { load: mass("Weight in both hands", 0, 60, 16), ahead: length("Held ahead of the shoulder", -0.08, 0.3, 0) },
    movement: { lever: "load", from: 0, to: 40 },
    pose: (who, v) =>
      standingModel(
        who.body,
        standing(who, {
          depth: byKnee(3),
          arms: { kind: "hang", forwardM: v.ahead },
          loads: inHands(v.load),
        }),
        "B",
      ),
    shin: "rule",
    cannotSay: "One hand only, where the side of the trunk works; and the steps themselves.",
  }),
];
