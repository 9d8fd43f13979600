import { type Body, bodyFromMeasure } from "../src/core/body/body";
import { bandTension } from "../src/core/mechanics/band";
import { BRIDGE_DEFAULTS, bridgePose } from "../src/core/mechanics/bridge";
import { LEG_PRESS_DEFAULTS, legPress } from "../src/core/mechanics/leg-press";
import {
  calfRaise,
  frontalHip,
  kneeExtension,
  seatedAbductionNm,
  sideLyingAbductionNm,
  straightLegRaiseNm,
  strapLean,
  tempoFactor,
  terminalExtensionNm,
} from "../src/core/mechanics/levers";
import { type Json, legOut, measureFrom, type ShortTrail, warningsOut } from "./shorthand";

/** The shorthand of everything that is not standing: bridge, leg press, levers, band. Nothing is computed here. */
interface BridgeSpec {
  hipFlex: number;
  kneeTop?: number;
  sep?: number;
  bench?: number;
  cop?: number;
  share?: number;
  shear?: "zero" | "least" | number;
  loads?: { kg: number; at: "hips" | "vest" | "back" }[];
  trail?: "same" | ShortTrail;
}

export function bridgeOut(body: Body, spec: BridgeSpec): Json {
  const { trail, shear = "zero" } = spec;
  const result = bridgePose(body, {
    hipFlexionDeg: spec.hipFlex,
    placed:
      spec.kneeTop === undefined ? { by: "separation", separationM: spec.sep ?? NaN } : { by: "knee-at-top", kneeFlexionDeg: spec.kneeTop },
    benchHeightM: spec.bench ?? BRIDGE_DEFAULTS.benchHeightM,
    foot: BRIDGE_DEFAULTS.foot,
    pressureFraction: spec.cop ?? BRIDGE_DEFAULTS.pressureFraction,
    leadShareFraction: spec.share ?? BRIDGE_DEFAULTS.leadShareFraction,
    footDrag: typeof shear === "number" ? { kind: "force", forceN: shear } : { kind: shear },
    loads: (spec.loads ?? []).map(({ kg, at }) => ({ massKg: kg, at })),
    trail:
      trail && trail !== "same" && trail.kind === "free"
        ? { kind: "free", thighDeg: trail.thigh, kneeFlexionDeg: trail.knee }
        : { kind: "same" },
  });
  const warn = warningsOut(result.warnings);
  if (!result.ok) return { ok: false, reason: result.reason, warn };
  return {
    ok: true,
    warn,
    lead: legOut(result, result.lead, result.trunkLeanDeg, result.pressure),
    trail: legOut(result.trailLeg, result.trail, result.trunkLeanDeg, result.trailLeg === result ? result.pressure : result.trailLeg.ankle),
    trunkLean: result.trunkLeanDeg,
    trunkThigh: 180 - result.hipFlexionDeg,
    hipHeight: result.hipHeightM,
    l5Nm: result.lowBackMomentNm,
    l5CompN: result.lowBackCompressionN,
    l5ShearN: result.lowBackShearN,
    mu: result.frictionNeeded,
    residual: result.residual,
  };
}

interface PressSpec {
  knee: number;
  sledN: number;
  inclineDeg: number;
  offset?: number;
  cop?: number;
  legs?: 1 | 2;
  share?: number;
  trunkDeg?: number;
}

export function pressOut(body: Body, spec: PressSpec): Json {
  const d = LEG_PRESS_DEFAULTS;
  const result = legPress(body, {
    kneeFlexionDeg: spec.knee,
    sledN: spec.sledN,
    inclineDeg: spec.inclineDeg,
    offsetM: spec.offset ?? d.offsetM,
    pressureFraction: spec.cop ?? d.pressureFraction,
    shareFraction: spec.share ?? (spec.legs === 1 ? 1 : d.shareFraction),
    trunkDeg: spec.trunkDeg ?? d.trunkDeg,
  });
  if (!result.ok) return result;
  return {
    ok: true,
    knee: result.kneeFlexionDeg,
    hipFlex: result.hipFlexionDeg,
    dorsi: result.dorsiflexionDeg,
    ankleNm: result.ankleMomentNm,
    kneeNm: result.kneeMomentNm,
    hipNm: result.hipMomentNm,
    quadN: result.quadricepsN,
    pfjN: result.kneecapForceN,
    pfjMPa: result.kneecapStressMPa,
    grfN: result.plateN,
    travelM: result.reachM,
  };
}

type LeverRow = (body: Body, n: readonly (number | undefined)[], args: readonly unknown[]) => Json;

/** The helpers by their shorthand names; arguments in the shorthand's order. */
const LEVER_ROWS: Readonly<Record<string, LeverRow>> = {
  straightLegRaise: (body, [angle = 0, ankleKg]) => ({ value: straightLegRaiseNm(body, angle, ankleKg) }),
  sideLyingAbduction: (body, [angle = 0, tensionN = 0, armM = 0, angleToLegDeg = 90, ankleKg]) => ({
    value: sideLyingAbductionNm(body, angle, { tensionN, armM, angleToLegDeg }, ankleKg),
  }),
  seatedAbduction: (body, [tensionN = 0, armM, angleDeg]) => ({ value: seatedAbductionNm(body, tensionN, armM, angleDeg) }),
  tke: (body, [tensionN = 0, shankDeg]) => ({ value: terminalExtensionNm(body, tensionN, shankDeg) }),
  calfRaise: (body, [heelDeg = 0, share = 1, loadKg, upN]) => {
    const { ankleMomentNm, achillesN } = calfRaise(body, heelDeg, share, loadKg, upN);
    return { ankleNm: ankleMomentNm, achillesN };
  },
  kneeExtension: (body, [knee = 0, ankleKg = 0, cuffN, cuffM]) => {
    const result = kneeExtension(body, knee, ankleKg, cuffN, cuffM === 0 ? undefined : cuffM);
    return { kneeNm: result.kneeMomentNm, quadN: result.quadricepsN, pfjN: result.contactN, pfjMPa: result.stressMPa };
  },
  frontalHip: (body, [stickN, , handOut], args) => {
    const { abductorMomentNm, abductorN, hipContactN } = frontalHip(body, stickN, args[1] === "same" ? "same" : "opposite", handOut);
    return { abdNm: abductorMomentNm, abdN: abductorN, hipN: hipContactN };
  },
  strapLean: (body, [lean = 0, comH = 0, handleH = 0, dirDeg = 0]) => {
    const { tensionN, upwardFraction, feetN } = strapLean(body, lean, comH, handleH, dirDeg);
    return { tensionN, upBW: upwardFraction, feetN };
  },
};

export function leverOut(short: Json | undefined, { name, args }: { name: string; args: unknown[] }): Json {
  const numbers = args.map((arg) => (typeof arg === "number" ? arg : undefined));
  if (name === "inertia") return { value: tempoFactor(numbers[0] ?? NaN, numbers[1] ?? NaN) };
  const row = LEVER_ROWS[name];
  if (!row) throw new RangeError(`no lever ${name}`); // names were checked on the way in
  return row(bodyFromMeasure(measureFrom(short ?? {})), numbers, args);
}

export function bandOut({ table, len }: { table: { restM: number; points: [number, number][] }; len: number }): Json {
  const points = table.points.map(([lengthM, tensionN]) => ({ lengthM, tensionN }));
  const { tensionN, isExtrapolated } = bandTension({ restM: table.restM, points }, len);
  return { n: tensionN, extrapolated: isExtrapolated };
}
