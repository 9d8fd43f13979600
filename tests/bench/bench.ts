import {
  type Body,
  bodyFromMeasure,
  type Candidate,
  CATALOGUE,
  type Ceiling,
  ceilingsFromCalmPose,
  DEFAULT_KIT,
  DEFAULT_POSTURE,
  fitCatalogue,
  type FitContext,
  inverse,
  judge,
  leverValues,
  type Setting,
  STANDING_DEFAULTS,
  stairAround,
  standingPose,
  type Variation,
  variationById,
  withLever,
} from "../../src/core";

/**
 * npm run bench: speed as ratios within one run, never as a test. Each line stands beside a reference measured in the
 * same minute on the same machine, so that a slow machine shifts both.
 */
const BODY: Body = bodyFromMeasure({ heightM: 1.68, massKg: 74, sex: "female" });
const SUBJECT = { body: BODY, posture: DEFAULT_POSTURE, leadSide: "right" } as const;

function ceilings(): Ceiling[] {
  const variation = variationById("raised-sit-to-stand");
  const pose = {
    id: "c",
    day: "2026-10-01",
    side: "right",
    limitedBy: "kneecap",
    variation,
    setting: { seatHeightM: 0.58 },
    shareFraction: 0.5,
  } as const;
  const calibration = ceilingsFromCalmPose(SUBJECT, pose);
  return calibration.ok ? calibration.ceilings.map((ceiling, i) => ({ ...ceiling, id: String(i) })) : [];
}
const CONTEXT: FitContext = {
  subject: SUBJECT,
  limits: [],
  ceilings: ceilings(),
  today: "2026-11-26",
  ...DEFAULT_KIT,
  targetUseFraction: 0.7,
};

/** Milliseconds of one call, best of several rounds after warming up. */
function bestMs(work: () => void, calls = 1): number {
  for (let i = 0; i < 3; i++) work();
  let best = Infinity;
  for (let round = 0; round < 7; round++) {
    const startMs = performance.now();
    for (let i = 0; i < calls; i++) work();
    best = Math.min(best, (performance.now() - startMs) / calls);
  }
  return best;
}

/** The reference for poses: the trunk found by bisection on the residual, instead of in closed form. */
function bisectedPose(kneeFlexionDeg: number): number {
  let [low, high] = [-30, 110];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    const pose = standingPose(BODY, {
      ...STANDING_DEFAULTS,
      depth: { by: "knee-flexion", kneeFlexionDeg },
      balance: { solve: "pressure", trunkLeanDeg: middle },
    });
    const ahead = pose.ok ? pose.pressure[0] - (0.5 * BODY.footM - BODY.heelBehindAnkleM) : middle < 20 ? -1 : 1;
    if (ahead < 0) low = middle;
    else high = middle;
  }
  return low;
}

/** The reference for the search: every value of every solved lever, one lever after the other. */
function sweptCatalogue(variations: readonly Variation[]): number {
  let poses = 0;
  for (const variation of variations) {
    const start: Setting = Object.fromEntries(variation.levers.map(({ lever, start: value }) => [lever, value]));
    for (const range of variation.levers)
      for (const value of leverValues(range, CONTEXT.increments[range.lever])) {
        judge(CONTEXT, variation, withLever(start, range.lever, value));
        poses++;
      }
  }
  return poses;
}

const manyVariations = (count: number): Variation[] =>
  Array.from({ length: count }, (_, i) => {
    const row = CATALOGUE[i % CATALOGUE.length];
    if (!row) throw new Error("empty catalogue");
    return { ...row, id: `${row.id}-${i}` };
  });

const lines: [name: string, ours: string, reference: string, ratio: string][] = [];
const line = (name: string, oursMs: number, unit: string, reference: string, referenceMs: number): void => {
  lines.push([name, unit, reference, `${(referenceMs / oursMs).toFixed(1)} times faster`]);
};

let angle = 0;
const onePose = (): void =>
  void standingPose(BODY, { ...STANDING_DEFAULTS, depth: { by: "knee-flexion", kneeFlexionDeg: 30 + (angle++ % 60) } });
const poseMs = bestMs(onePose, 5000);
const bisectedMs = bestMs(() => void bisectedPose(60), 50);
line(
  "one squat pose",
  poseMs,
  `${Math.round(1000 / poseMs).toLocaleString("en")} a second`,
  `bisection: ${Math.round(1000 / bisectedMs).toLocaleString("en")} a second`,
  bisectedMs,
);

const knee = (seatHeightM: number): number => {
  const pose = standingPose(BODY, { ...STANDING_DEFAULTS, depth: { by: "seat-height", seatHeightM }, arms: { kind: "crossed" } });
  return pose.ok ? pose.lead.kneeMomentNm : NaN;
};
const inverseMs = bestMs(() => void inverse(knee, 0.42, 0.7, 40), 50);
const gridMs = bestMs(() => {
  for (let mm = 420; mm <= 700; mm++) knee(mm / 1000);
}, 10);
line("one-lever inverse", inverseMs, `${inverseMs.toFixed(2)} ms`, `grid of millimetres: ${gridMs.toFixed(2)} ms`, gridMs);

const found: Candidate[] = fitCatalogue(CONTEXT, CATALOGUE);
const searchMs = bestMs(() => void fitCatalogue(CONTEXT, CATALOGUE));
const sweepMs = bestMs(() => void sweptCatalogue(CATALOGUE));
line(
  `catalogue search, ${found.length} variations`,
  searchMs,
  `${searchMs.toFixed(1)} ms`,
  `sweep of every lever: ${sweepMs.toFixed(1)} ms`,
  sweepMs,
);

const many = manyVariations(120);
const manyMs = bestMs(() => void fitCatalogue(CONTEXT, many));
const manySweepMs = bestMs(() => void sweptCatalogue(many));
line("the same for 120 variations", manyMs, `${manyMs.toFixed(0)} ms`, `sweep: ${manySweepMs.toFixed(0)} ms`, manySweepMs);

const pole = variationById("box-squat-pole");
const SETTING: Setting = { seatHeightM: 0.6, handForceN: 80, shareFraction: 0.5 };
let drag = 0;
const dragMs = bestMs(() => void judge(CONTEXT, pole, { ...SETTING, seatHeightM: 0.5 + (drag++ % 20) / 100 }), 200);
line("lever drag, computing", dragMs, `${dragMs.toFixed(2)} ms`, "one frame at 60 Hz: 16.7 ms", 1000 / 60);
const stairMs = bestMs(() => void stairAround(CONTEXT, pole, SETTING, { down: 2, up: 6 }), 3);
line("stair around a rung", stairMs, `${stairMs.toFixed(1)} ms`, "one frame at 60 Hz: 16.7 ms", 1000 / 60);

const widths = [0, 1, 2].map((column) => Math.max(...lines.map((row) => row[column]?.length ?? 0)));
for (const row of lines) console.log(row.map((cell, i) => cell.padEnd(widths[i] ?? 0)).join("   "));
