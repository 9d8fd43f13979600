import { type Body, bodyFromMeasure } from "../../src/core/body/body";
import { CATALOGUE, variationById } from "../../src/core/catalogue/catalogue";
import type { Variation } from "../../src/core/catalogue/variation";
import type { FitContext } from "../../src/core/judge/context";
import { DEFAULT_KIT } from "../../src/core/kit/kit";
import { DEFAULT_SCHOOL } from "../../src/core/approach/approach";
import { glance, judge } from "../../src/core/judge/judge";
import { leverValues } from "../../src/core/kit/on-hand";
import { fitCatalogue } from "../../src/core/progressions/list";
import { hardestWithin, isWithin } from "../../src/core/progressions/search";
import { stairAround, stairToGoal } from "../../src/core/progressions/stair";
import { type Ceiling, ceilingsFromCalmPose } from "../../src/core/limits/ceiling";
import { BRIDGE_DEFAULTS, bridgePose } from "../../src/core/mechanics/bridge";
import { LEG_PRESS_DEFAULTS, legPress } from "../../src/core/mechanics/leg-press";
import { DEFAULT_POSTURE } from "../../src/core/mechanics/posture";
import { prepareStanding } from "../../src/core/mechanics/prepared";
import { solveStanding, standingPose } from "../../src/core/mechanics/standing";
import { type Depth, STANDING_DEFAULTS, type StandingSetting } from "../../src/core/mechanics/standing.types";
import { headlineOf } from "../../src/core/progressions/solve";
import { inverse } from "../../src/core/numeric/inverse";
import { leversOf, startSetting } from "../../src/core/templates/form";
import { type Setting, withLever } from "../../src/core/templates/lever";

/**
 * npm run bench: speed as ratios within one run, never as a test. Each line stands beside a reference measured in the
 * same minute on the same machine, so that a slow machine shifts both. Built first: run from source, a tool that keeps
 * every function's name costs more than what is measured.
 */
const BODY: Body = bodyFromMeasure({ heightM: 1.68, massKg: 74, sex: "female" });
const SUBJECT = { body: BODY, posture: DEFAULT_POSTURE, leadSide: "right" } as const;

function ceilings(): Ceiling[] {
  const pose = {
    id: "c",
    day: "2026-10-01",
    side: "right",
    limitedBy: "kneecap",
    form: variationById("raised-sit-to-stand"),
    setting: { seatHeightM: 0.58 },
    shareFraction: 0.5,
  } as const;
  const calibration = ceilingsFromCalmPose(SUBJECT, pose);
  return calibration.ok ? calibration.ceilings.map((ceiling, i) => ({ ...ceiling, id: String(i) })) : [];
}
const CONTEXT: FitContext = {
  subject: SUBJECT,
  complaints: [],
  conditions: [],
  nothingHurts: false,
  careful: [],
  limits: [],
  ceilings: ceilings(),
  unusable: [],
  calmLoads: { squat: { loadKg: 30 } },
  calmRows: [],
  ownRange: {},
  today: "2026-11-26",
  kit: DEFAULT_KIT,
  school: DEFAULT_SCHOOL,
  targetUseFraction: 0.7,
};

/** Milliseconds of one call, best of several rounds after warming up. */
function bestMs(work: () => void, calls = 1): number {
  for (let i = 0; i < 3 * Math.min(calls, 1000); i++) work();
  let best = Infinity;
  for (let round = 0; round < 7; round++) {
    const startMs = performance.now();
    for (let i = 0; i < calls; i++) work();
    best = Math.min(best, (performance.now() - startMs) / calls);
  }
  return best;
}

const lines: [name: string, ours: string, reference: string, ratio: string][] = [];
const line = (name: string, oursMs: number, ours: string, reference: string, referenceMs: number): void => {
  lines.push([name, ours, reference, `${(referenceMs / oursMs).toFixed(1)} times faster`]);
};
const perSecond = (ms: number): string => `${(Math.round(1 / ms) * 1000).toLocaleString("en")} a second`;

// first, as in the worker: nothing else was computed there before a client is opened
const catalogueMs = bestMs(() => void fitCatalogue(CONTEXT, CATALOGUE), 5);

// --- poses -----------------------------------------------------------------------------------------------------------

const hang = { kind: "hang", forwardM: 0 } as const;
const knee = (kneeFlexionDeg: number): Depth => ({ by: "knee-flexion", kneeFlexionDeg });
const POSES: readonly [name: string, setting: Partial<StandingSetting>, depths: readonly Depth[]][] = [
  ["squat", {}, [knee(45), knee(60), knee(75)]],
  ["seat", { arms: { kind: "crossed" } }, [0.5, 0.55, 0.6].map((seatHeightM) => ({ by: "seat-height", seatHeightM }))],
  ["hinge", { arms: hang, balance: { solve: "shank", trunkLeanDeg: 50 } }, [knee(10), knee(15), knee(20)]],
  [
    "split, braced",
    {
      arms: hang,
      shankRule: { kind: "fixed", shankLeanDeg: 15 },
      trail: { kind: "ground", backM: 0.6, heelDeg: 45, levelM: 0, pressureFraction: 0.5 },
      brace: { kind: "least", fraction: 0.5 },
    },
    [knee(60), knee(70), knee(80)],
  ],
  [
    "staggered hinge",
    {
      arms: hang,
      balance: { solve: "shank", trunkLeanDeg: 50 },
      trail: { kind: "ground", backM: 0.22, heelDeg: 20, levelM: 0, pressureFraction: 0.5 },
    },
    [knee(15), knee(20), knee(25)],
  ],
  ["one leg", { trail: { kind: "free", thighDeg: 15, kneeFlexionDeg: 70 } }, [knee(30), knee(40), knee(50)]],
  [
    "step",
    { arms: hang, trail: { kind: "reach", levelM: -0.18, heelDeg: 20, kneeFlexionDeg: 0, direction: -1 } },
    [0.18, 0.19, 0.2].map((stepHeightM) => ({ by: "step", stepHeightM, trailLeanDeg: 10, trailHeelDeg: 20 })),
  ],
  [
    "strap to an anchor",
    {
      arms: { kind: "point", at: [0.45, 1.1] },
      assists: [{ at: "hands", force: { kind: "anchor", magnitudeN: 100, anchor: [1.4, 2.3] } }],
    },
    [knee(60), knee(70), knee(80)],
  ],
  [
    "wall",
    {
      shankRule: { kind: "fixed", shankLeanDeg: 0 },
      balance: { solve: "assist", trunkLeanDeg: 0 },
      assists: [{ at: "wall", force: { kind: "angle", magnitudeN: null, directionDeg: 0 } }],
    },
    [knee(50), knee(60), knee(70)],
  ],
];

let turn = 0;
for (const [name, part, depths] of POSES) {
  const setting: StandingSetting = { ...STANDING_DEFAULTS, ...part };
  const prepared = prepareStanding(BODY, setting);
  const next = (): Depth => depths[turn++ % depths.length] ?? knee(60);
  if (solveStanding(prepared, next()) !== null) throw new Error(`${name} has no pose`);
  const preparedMs = bestMs(() => void solveStanding(prepared, next()), 20_000);
  const wholeMs = bestMs(() => void standingPose(BODY, { ...setting, depth: next() }), 5000);
  line(`pose: ${name}`, preparedMs, perSecond(preparedMs), `each made whole: ${perSecond(wholeMs)}`, wholeMs);
}

/** The reference for poses: the trunk found by bisection on the pressure point, instead of in closed form. */
function bisectedPose(kneeFlexionDeg: number): number {
  let [low, high] = [-30, 110];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    const pose = standingPose(BODY, {
      ...STANDING_DEFAULTS,
      depth: knee(kneeFlexionDeg),
      balance: { solve: "pressure", trunkLeanDeg: middle },
    });
    const ahead = pose.ok ? pose.pressure[0] - (0.5 * BODY.footM - BODY.heelBehindAnkleM) : middle < 20 ? -1 : 1;
    if (ahead < 0) low = middle;
    else high = middle;
  }
  return low;
}
const wholeMs = bestMs(() => void standingPose(BODY, { ...STANDING_DEFAULTS, depth: knee(60) }), 5000);
const bisectedMs = bestMs(() => void bisectedPose(60), 50);
line("squat, trunk in closed form", wholeMs, perSecond(wholeMs), `by bisection: ${perSecond(bisectedMs)}`, bisectedMs);
const bridgeMs = bestMs(
  () => void bridgePose(BODY, { ...BRIDGE_DEFAULTS, hipFlexionDeg: turn++ % 30, placed: { by: "knee-at-top", kneeFlexionDeg: 90 } }),
  5000,
);
line("pose: bridge", bridgeMs, perSecond(bridgeMs), `the squat by bisection: ${perSecond(bisectedMs)}`, bisectedMs);
const pressMs = bestMs(
  () => void legPress(BODY, { ...LEG_PRESS_DEFAULTS, kneeFlexionDeg: 60 + (turn++ % 30), sledN: 700, inclineDeg: 45, offsetM: 0.12 }),
  5000,
);
line("pose: leg press", pressMs, perSecond(pressMs), `the squat by bisection: ${perSecond(bisectedMs)}`, bisectedMs);

// --- one lever -------------------------------------------------------------------------------------------------------

const ms = (value: number): string => `${value.toFixed(value < 1 ? 3 : 1)} ms`;
const raised = variationById("raised-sit-to-stand");
const watched = { channel: "kneeMoment", side: "right" } as const;
const start = startSetting(SUBJECT, raised);
const kneeAt = (seatHeightM: number): number => headlineOf(SUBJECT, raised, withLever(start, "seatHeightM", seatHeightM), watched, true);
const inverseMs = bestMs(() => void inverse(kneeAt, 0.46, 0.7, 36), 20);
const gridMs = bestMs(() => {
  for (let mm = 460; mm <= 700; mm++) kneeAt(mm / 1000);
}, 5);
line("inverse: seat of a level squat", inverseMs, ms(inverseMs), `grid of millimetres: ${ms(gridMs)}`, gridMs);

/** Levers that change the set-up itself are made ready anew at every value. */
function slowInverse(name: string, settingAt: (x: number) => StandingSetting, low: number, high: number, step: number): void {
  const at = (x: number): number => {
    const setting = settingAt(x);
    const prepared = prepareStanding(BODY, setting);
    return solveStanding(prepared, setting.depth) === null ? prepared.leadDemand.hipMomentNm : NaN;
  };
  const target = (at(low) + at(high)) / 2;
  if (!inverse(at, low, high, target).ok) throw new Error(`${name} has no root`);
  const oursMs = bestMs(() => void inverse(at, low, high, target), 50);
  const sweepMs = bestMs(() => {
    for (let x = low; x <= high; x += step) at(x);
  }, 20);
  line(`inverse: ${name}`, oursMs, ms(oursMs), `grid: ${ms(sweepMs)}`, sweepMs);
}
const of = (name: string): Partial<StandingSetting> => POSES.find(([row]) => row === name)?.[1] ?? {};
slowInverse(
  "load of a hinge",
  (massKg) => ({ ...STANDING_DEFAULTS, ...of("hinge"), depth: knee(15), loads: [{ massKg, at: "hands" }] }),
  0,
  40,
  0.1,
);
slowInverse(
  "trunk of a staggered hinge",
  (trunkLeanDeg) => ({ ...STANDING_DEFAULTS, ...of("staggered hinge"), depth: knee(20), balance: { solve: "shank", trunkLeanDeg } }),
  20,
  60,
  0.1,
);
slowInverse(
  "pull of a strap",
  (magnitudeN) => ({
    ...STANDING_DEFAULTS,
    ...of("strap to an anchor"),
    depth: knee(70),
    assists: [{ at: "hands", force: { kind: "anchor", magnitudeN, anchor: [1.4, 2.3] } }],
  }),
  10,
  120,
  0.3,
);

// --- the search ------------------------------------------------------------------------------------------------------

/** Invented rows with four levers each, no two alike: pole and bar at once, so that every lever counts. */
const manyRows = (count: number): Variation[] =>
  Array.from({ length: count }, (_, i) => ({
    ...variationById("box-squat-pole"),
    id: `row-${i}`,
    template: "two-feet",
    parameters: {
      depth: i % 3 === 0 ? "knee" : "seat",
      hands: "pole",
      loadAt: i % 2 === 0 ? "hands" : "back",
      supportAheadM: 0.01 * (i % 12),
      supportHeightM: 1,
    },
    levers: [
      {
        lever: i % 3 === 0 ? "kneeFlexionDeg" : "seatHeightM",
        ...(i % 3 === 0 ? { min: 20, max: 85, start: 45 } : { min: 0.44, max: 0.7, start: 0.6 }),
      },
      { lever: "handForceN", min: 0, max: 20 * 9.81, start: 8 * 9.81 },
      { lever: "loadKg", min: 0, max: 30, start: 2 + (i % 5) },
      { lever: "shareFraction", min: 0.3, max: 0.7, start: 0.5 },
    ],
  }));

/** The hardest value on hand of each lever that keeps the target, one lever at a time: by a few poses, or by all of them. */
const solvedLevers = (variation: Variation): (number | null)[] =>
  leversOf(SUBJECT, variation).map((range) =>
    hardestWithin(CONTEXT, variation, startSetting(SUBJECT, variation), range, CONTEXT.targetUseFraction),
  );
const sweptLevers = (variation: Variation): (number | null)[] =>
  leversOf(SUBJECT, variation).map((range) => {
    let hardest: number | null = null;
    for (const value of leverValues(range, DEFAULT_KIT.increments[range.lever])) {
      const judgement = glance(CONTEXT, variation, withLever(startSetting(SUBJECT, variation), range.lever, value));
      if (isWithin(judgement, CONTEXT.targetUseFraction)) hardest = value;
    }
    return hardest;
  });

const catalogueSweepMs = bestMs(() => void CATALOGUE.forEach((variation) => sweptLevers(variation)), 3);
line(`fit: the ${CATALOGUE.length} rows`, catalogueMs, ms(catalogueMs), `sweep of every lever: ${ms(catalogueSweepMs)}`, catalogueSweepMs);

const rows = manyRows(100);
const fewMs = bestMs(() => void rows.forEach(solvedLevers));
const sweepMs = bestMs(() => void rows.forEach(sweptLevers));
line("400 levers of 100 rows", fewMs, ms(fewMs), `plain grid: ${ms(sweepMs)}`, sweepMs);
const apart = rows.flatMap((row) => {
  const [few, swept] = [solvedLevers(row), sweptLevers(row)];
  return row.levers.map(({ lever }, i) => {
    const [a, b] = [few[i] ?? null, swept[i] ?? null];
    return a === b ? 0 : a === null || b === null ? Infinity : Math.abs(a - b) / DEFAULT_KIT.increments[lever];
  });
});
lines.push(["  largest difference to the grid", `${Math.max(...apart).toFixed(0)} increments`, `${apart.length} answers`, ""]);
const each = [50, 200, 1000].map((count) => {
  const some = manyRows(count);
  return { count, eachMs: bestMs(() => void fitCatalogue(CONTEXT, some)) / count };
});
const fiftyMs = each[0]?.eachMs ?? NaN;
for (const { count, eachMs } of each)
  lines.push([`  fit, each of ${count} rows`, ms(eachMs), `each of 50: ${ms(fiftyMs)}`, `${(eachMs / fiftyMs).toFixed(2)} of it`]);

// --- what the hand waits for -----------------------------------------------------------------------------------------

const FRAME_MS = 1000 / 60;
const FRAME = "one frame at 60 Hz: 16.7 ms";
const pole = variationById("box-squat-pole");
const SETTING: Setting = { seatHeightM: 0.6, handForceN: 80, shareFraction: 0.5 };
const dragMs = bestMs(() => void judge(CONTEXT, pole, { ...SETTING, seatHeightM: 0.5 + (turn++ % 20) / 100 }), 200);
line("lever drag, computing", dragMs, ms(dragMs), FRAME, FRAME_MS);
const here = { variationId: pole.id, setting: SETTING };
const stairMs = bestMs(() => void stairAround(CONTEXT, here, { down: 2, up: 6 }), 3);
line("stair around a rung", stairMs, ms(stairMs), FRAME, FRAME_MS);
const goal = { variationId: "goblet-to-box", setting: { seatHeightM: 0.46, loadKg: 12, shareFraction: 0.5 } };
const goalMs = bestMs(() => void stairToGoal(CONTEXT, here, goal), 3);
line("stair to a goal", goalMs, ms(goalMs), "a tap's patience: 100 ms", 100);

const widths = [0, 1, 2].map((column) => Math.max(...lines.map((row) => row[column]?.length ?? 0)));
for (const row of lines) console.log(row.map((cell, i) => cell.padEnd(widths[i] ?? 0)).join("   "));
