import type { Body } from "../../body/body";
import { kneecapLoad } from "../../mechanics/kneecap";
import { kneeExtension, straightLegRaiseNm, terminalExtensionNm } from "../../mechanics/levers";
import type { LegGeometry } from "../../mechanics/standing.types";
import type { Point } from "../../mechanics/vector";
import { cosDeg, nFromKgf } from "../../units";
import { ankleLoad, LYING_HIP_M, seatedHipM, seatM, standingHip } from "../helper-figure";
import { between, fixed, template } from "../template";
import type { LeverSetUp } from "../set-up";

function straightLeg(body: Body, angleDeg: number, ankleKg: number, setS: number): LeverSetUp {
  // the shin and foot hang from a straight knee as in a seated extension at full reach, less by the leg's slope
  const kneeMoment = kneeExtension(body, 0, ankleKg).kneeMomentNm * cosDeg(angleDeg);
  const { contactN, stressMPa } = kneecapLoad(kneeMoment, 0);
  return {
    by: "lever",
    body,
    drawn: {
      hip: [0, LYING_HIP_M],
      trunkLeanDeg: -90,
      lead: { thighDeg: 90 + angleDeg, kneeDeg: 0 },
      trail: { thighDeg: 145, kneeDeg: 110 },
      scene: (leg) => ankleLoad(leg, ankleKg),
    },
    asks: {
      kneeFlexion: 0,
      hipFlexion: angleDeg,
      hipMoment: -straightLegRaiseNm(body, angleDeg, ankleKg),
      kneeMoment,
      kneecapForce: contactN,
      kneecapStress: stressMPa,
    },
    whole: { lyingTime: setS },
    ranks: {},
    trust: "A",
  };
}

function seated(body: Body, kneeDeg: number, ankleKg: number, cuffN: number): LeverSetUp {
  const { kneeMomentNm, contactN, stressMPa } = kneeExtension(body, kneeDeg, ankleKg, cuffN);
  return {
    by: "lever",
    body,
    drawn: {
      hip: [0, seatedHipM(body)],
      trunkLeanDeg: 0,
      lead: { thighDeg: 90, kneeDeg },
      trail: { thighDeg: 90, kneeDeg: 90 },
      hand: ([x, y]) => [x + 0.15, y - 0.45],
      scene: (leg) => [{ kind: "seat", heightM: seatM(body), underXM: 0.04 }, ...ankleLoad(leg, ankleKg)],
    },
    asks: { kneeFlexion: kneeDeg, hipFlexion: 90, kneeMoment: kneeMomentNm, kneecapForce: contactN, kneecapStress: stressMPa },
    whole: {},
    ranks: {},
    trust: "A",
  };
}

function againstBand(body: Body, bandN: number, shinDeg: number): LeverSetUp {
  const kneeMoment = terminalExtensionNm(body, bandN, shinDeg);
  const { contactN, stressMPa } = kneecapLoad(kneeMoment, 2 * shinDeg);
  const knee = (leg: LegGeometry): Point => leg.knee;
  return {
    by: "lever",
    body,
    drawn: {
      hip: standingHip(body),
      trunkLeanDeg: 0,
      lead: { thighDeg: shinDeg, kneeDeg: 2 * shinDeg, footPitchDeg: 0 },
      trail: { thighDeg: 0, kneeDeg: 0 },
      hand: ([x, y]) => [x + 0.05, y - body.armReachM + 0.02],
      scene: (leg) => [
        { kind: "band", from: knee(leg), to: [knee(leg)[0] + 0.8, knee(leg)[1]] },
        { kind: "force", at: knee(leg), fxN: bandN, fyN: 0 },
      ],
    },
    asks: { kneeFlexion: 2 * shinDeg, kneeMoment, kneecapForce: contactN, kneecapStress: stressMPa },
    whole: {},
    ranks: { balanceDemand: 2 },
    trust: "A",
  };
}

/** The front of the thigh by itself: a straight leg raised, a seated knee straightened, or the last part against a band. */
export const KNEE_EXTENSION = template({
  id: "knee-extension",
  kind: "lever",
  parameters: { way: ["straight-leg", "seated", "band"] },
  levers: {
    legRaiseDeg: fixed(0, 70, 30),
    ankleKg: fixed(0, 10, 0),
    setS: fixed(10, 120, 40),
    /** Where a seated knee begins and where it ends; against a band, the shin's lean at the start. */
    startKneeDeg: fixed(30, 100, 90),
    endKneeDeg: fixed(0, 90, 0),
    cuffForceN: fixed(0, nFromKgf(40), 0),
    bandForceN: fixed(0, nFromKgf(30), nFromKgf(8)),
    shankLeanDeg: fixed(0, 30, 0),
  },
  movesBy: ({ way }) => (way === "straight-leg" ? "legRaiseDeg" : way === "seated" ? "endKneeDeg" : "shankLeanDeg"),
  samples: [1, 0.75, 0.5, 0.25, 0],
  isEven: () => false,
  shin: "none",
  set:
    ({ body }, { way }, v) =>
    (at) => {
      if (way === "straight-leg") return straightLeg(body, v.legRaiseDeg * at, v.ankleKg, v.setS);
      if (way === "seated") return seated(body, between(Math.max(v.startKneeDeg, v.endKneeDeg), v.endKneeDeg, at), v.ankleKg, v.cuffForceN);
      return againstBand(body, v.bandForceN, between(Math.max(20, v.shankLeanDeg), v.shankLeanDeg, at));
    },
  traits: ({ way }, { ankleKg, cuffForceN }) => [
    ...(way === "straight-leg" ? (["lying"] as const) : []),
    ...(way !== "band" && (ankleKg > 0 || cuffForceN > 0) ? (["added-weight"] as const) : []),
  ],
  cannotSay: ({ way }) =>
    ({
      "straight-leg": "What the low back does to hold the pelvis. The front of the hip works, so the hip's figure is below nothing.",
      seated: "The shin sliding under the thigh. Held against a cuff or moved against a weight, gravity is always in it.",
      band: "Leaning: if the trunk goes over the knee instead of the pressure staying put, the band adds nothing at the knee.",
    })[way],
});
