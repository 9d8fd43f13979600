import type { Body } from "../../body/body";
import { frontalHip, seatedAbductionNm, sideLyingAbductionNm } from "../../mechanics/levers";
import { GRAVITY_MPS2, nFromKgf } from "../../units";
import { ankleLoad, LYING_HIP_M, seatedHipM, seatM, standingHip } from "../helper-figure";
import type { LeverSetUp } from "../set-up";
import { fixed, template } from "../template";

/** Side-hip moments are positive where the outer hip holds, negative where the inner thigh would have to. */
const RESTING_KNEE = { kneeMoment: 0, kneecapForce: 0, kneecapStress: 0 } as const;

function sideLying(body: Body, angleDeg: number, ankleKg: number, tensionN: number, armM: number): LeverSetUp {
  const band = { tensionN, armM, angleToLegDeg: 90 };
  return {
    by: "lever",
    body,
    drawn: {
      hip: [0, LYING_HIP_M],
      trunkLeanDeg: -90,
      lead: { thighDeg: 90 + angleDeg, kneeDeg: 0 },
      trail: { thighDeg: 90, kneeDeg: 0 },
      scene: (leg) => ankleLoad(leg, ankleKg),
    },
    asks: { ...RESTING_KNEE, kneeFlexion: 0, hipFlexion: 0, hipSideMoment: sideLyingAbductionNm(body, angleDeg, band, ankleKg) },
    whole: {},
    ranks: {},
    trust: "A",
  };
}

function seated(body: Body, bandN: number, armM: number): LeverSetUp {
  return {
    by: "lever",
    body,
    drawn: {
      hip: [0, seatedHipM(body)],
      trunkLeanDeg: 0,
      lead: { thighDeg: 90, kneeDeg: 90 },
      hand: ([x, y]) => [x + 0.15, y - 0.45],
      scene: (leg) => [
        { kind: "seat", heightM: seatM(body), underXM: 0.04 },
        { kind: "band", from: [armM, leg.hip[1] + 0.09], to: [armM, leg.hip[1] - 0.09] },
      ],
    },
    asks: { ...RESTING_KNEE, kneeFlexion: 90, hipFlexion: 90, hipSideMoment: seatedAbductionNm(body, bandN, armM) },
    whole: {},
    ranks: {},
    trust: "A",
    isEven: true,
  };
}

function oneLeg(body: Body, stickN: number, handOutM: number): LeverSetUp {
  const { abductorMomentNm, hipContactN } = frontalHip(body, stickN, "opposite", handOutM);
  return {
    by: "lever",
    body,
    drawn: {
      hip: standingHip(body),
      trunkLeanDeg: 0,
      lead: { thighDeg: 0, kneeDeg: 0 },
      trail: { thighDeg: 10, kneeDeg: 50 },
      hand: ([x, y]) => [x + 0.2, y - 0.5],
      pressure: [0.02, 0],
      scene: () => [{ kind: "pole", xM: 0.2 }],
    },
    asks: { kneeFlexion: 0, hipSideMoment: abductorMomentNm, hipContact: hipContactN / (body.massKg * GRAVITY_MPS2) },
    whole: { handWeight: stickN },
    ranks: { balanceDemand: stickN > 0 ? 3 : 4 },
    trust: "B",
  };
}

/** The side of the hip by itself: lying on the side, seated against a band, or standing on one leg with a stick. */
export const SIDE_HIP = template({
  id: "side-hip",
  kind: "lever",
  parameters: { way: ["lying", "seated", "standing"] },
  levers: {
    legRaiseDeg: fixed(0, 45, 15),
    ankleKg: fixed(0, 5, 0),
    bandForceN: fixed(0, nFromKgf(40), 0),
    bandArmM: fixed(0.15, 0.8, 0.35),
    stickForceN: fixed(0, nFromKgf(20), 0),
    handOutM: fixed(0.2, 0.5, 0.35),
  },
  movesBy: ({ way }) => (way === "lying" ? "legRaiseDeg" : way === "seated" ? "bandForceN" : "stickForceN"),
  samples: [1, 0.5, 0],
  isEven: ({ way }) => way === "seated",
  shin: "none",
  set:
    ({ body }, { way }, v) =>
    (at) => {
      if (way === "lying") return sideLying(body, v.legRaiseDeg * at, v.ankleKg, v.bandForceN, v.bandArmM);
      return way === "seated" ? seated(body, v.bandForceN * at, v.bandArmM) : oneLeg(body, v.stickForceN, v.handOutM);
    },
  traits: (_, { ankleKg }) => (ankleKg > 0 ? ["added-weight"] : []),
  cannotSay: ({ way }) =>
    ({
      lying: "Rolling back, which hands the work to the front of the hip.",
      seated: "Which part of the side hip works at which lean of the trunk.",
      standing: "Drawn from the side; the stick is in the opposite hand. At 15% of body weight the relief comes out too strong.",
    })[way],
});
