import { expect, test } from "vitest";
import { bodyFromMeasure } from "../body/body";
import { variationById } from "../catalogue/catalogue";
import { leversOf, startSetting } from "../templates/form";
import type { Setting } from "../templates/lever";
import { nFromKgf } from "../units";
import { type FitContext, type Place } from "../judge/context";
import { DEFAULT_SCHOOL } from "../approach/approach";
import { dailyUses } from "../judge/daily";
import { BODY, calmCeilings, complaint, contextWith, kneeLimit, limit, SUBJECT } from "../judge/fit.fixture";
import { snapSetting } from "../kit/on-hand";
import { fitCatalogue } from "./list";
import { leverCeilings } from "./search";
import { solveLever } from "./solve";
import { stairAround, stairToGoal } from "./stair";
import { buildOnce, easeOnce, easeTwice, easeUntilAllowed, type Stepped } from "./step";
import type { Tread } from "./tread";

/**
 * What fitting answers, written out for a handful of clients: which set-up, in which state and why, one step either way
 * and the stairs between. The other tests say what must hold; this one says that nothing moved unseen. A line that
 * changes is a judgement that changes: look at it, and write it anew with `npx vitest run -u`.
 */
const ROWS = [
  "very-high-sit-to-stand",
  "raised-sit-to-stand",
  "cushion-squat",
  "counter-held-mini-squat",
  "box-squat-pole",
  "plain-chair-sit-to-stand",
  "goblet-to-box",
  "bar-on-back",
  "two-leg-hinge",
  "floor-bridge",
  "step-up-rail",
  "seated-knee-extension",
].map(variationById);
const kit = (increments: Partial<FitContext["kit"]["increments"]>): FitContext["kit"] => ({
  ...contextWith().kit,
  increments: { ...contextWith().kit.increments, ...increments },
});
const BACK = complaint({ id: "back", site: "low-back", side: "both" });
const CLIENTS: Record<string, FitContext> = {
  "a sore kneecap": contextWith(),
  "a knee limited to 95 degrees": contextWith({ limits: [kneeLimit(95)] }),
  "both shins limited, the hip measured": contextWith({
    complaints: [complaint({ site: "hip" })],
    ceilings: calmCeilings("hip", 0.55),
    limits: [limit({ kind: "most", channel: "shankLean", most: 20 }, { id: "shin", side: "both" })],
  }),
  "a back to be careful with": contextWith({ complaints: [BACK], careful: ["back"], ceilings: calmCeilings("low-back", 0.55) }),
  "nothing measured": contextWith({ ceilings: [] }),
  "a strong knee, calm with 16 kg": contextWith({
    ceilings: calmCeilings("kneecap", 0.44),
    targetUseFraction: 1,
    calmLoads: { squat: { loadKg: 16 }, hinge: { loadKg: 12 } },
  }),
  "a knee that nothing suits": contextWith({ ceilings: calmCeilings("kneecap", 0.72) }),
  "coarse plates and steps, range first": contextWith({
    kit: kit({ handForceN: nFromKgf(20), seatHeightM: 0.06, loadKg: 6 }),
    school: { ...DEFAULT_SCHOOL, buildOrder: ["range", "load", "support"] },
  }),
  "a bare room": contextWith({ kit: { ...contextWith().kit, equipment: ["chair", "cushion"] } }),
  "a tall heavy man leading with the left": contextWith({
    subject: { ...SUBJECT, body: bodyFromMeasure({ heightM: 1.93, massKg: 112, sex: "male" }), leadSide: "left" },
    ceilings: [...calmCeilings("kneecap", 0.58), ...calmCeilings("hip", 0.5)],
  }),
  "a bar forbidden, a ceiling unusable": contextWith({
    limits: [
      limit({ kind: "never", what: "bar-on-shoulders" }, { side: "both" }),
      limit({ kind: "room", leastDeg: 80 }, { id: "belly", side: "both" }),
    ],
    unusable: [{ ceiling: calmCeilings("hip", 0.55)[0]!, reason: "pose-impossible" }],
  }),
};

const number = (value: number): string => String(Math.round(value * 1e4) / 1e4);
const settingLine = (setting: Setting): string =>
  Object.entries(setting)
    .map(([lever, value]) => `${lever} ${number(value)}`)
    .join(", ");
function treadLine({ variationId, setting, change, riserFraction, size, channel, judgement }: Tread): string {
  const by = change
    ? [
        ...change.levers.map(({ lever, from, to }) => `${lever} ${number(from)} > ${number(to)}`),
        ...(change.fromVariationId ? [`from ${change.fromVariationId}`] : []),
        ...(change.sets ? [`sets ${change.sets.from} > ${change.sets.to}`] : []),
      ].join(" and ")
    : "stands";
  const riser = riserFraction === null ? "no riser" : `${number(riserFraction * 100)} % of ${channel}`;
  return `${variationId}: ${settingLine(setting)} | ${by} | ${riser}, ${size} | ${judgement.state}: ${judgement.reasons[0].code}`;
}
const steppedLine = (stepped: Stepped | null): string =>
  stepped ? `${stepped.dose.setCount} x ${stepped.dose.repetitionsHigh} ${treadLine(stepped.tread)}` : "nothing";

function fitLines(context: FitContext): string[] {
  return fitCatalogue(context, ROWS).flatMap(({ variationId, setting, state, reasons, opening, tightest }) => {
    const variation = variationById(variationId);
    const ends = leverCeilings(context, variation, setting).map((value) => (value === null ? "none" : number(value)));
    return [
      `${variationId}: ${settingLine(setting)}`,
      `  ${state}, ${tightest ? `${number(tightest.head)} of ${tightest.ceilingId}` : "no use"}: ${reasons.map(({ code }) => code).join(", ")}`,
      `  opens by ${JSON.stringify(opening, (_, value: unknown) => (typeof value === "number" ? Number(number(value)) : value))}; meets its ceiling at ${ends.join(", ")}`,
    ];
  });
}

/** One step either way from an easy, a middling and a hard set-up of every row. */
function stepLines(context: FitContext): string[] {
  return ROWS.flatMap((variation) =>
    [0.2, 0.7].flatMap((part) => {
      const wanted = leversOf(context.subject, variation).map(({ lever, min, max }) => [lever, min + part * (max - min)] as const);
      const place: Place = { variationId: variation.id, setting: snapSetting(context, variation, Object.fromEntries(wanted)) };
      const { dose } = variation;
      return [
        `${variation.id}: ${settingLine(place.setting)}`,
        `  ease ${steppedLine(easeOnce(context, place, { ...dose, setCount: part > 0.6 ? 1 : 2 }))}`,
        `  twice ${steppedLine(easeTwice(context, place, dose))}`,
        `  allowed ${steppedLine(easeUntilAllowed(context, place, dose))}`,
        `  build ${steppedLine(buildOnce(context, place, { ...dose, setCount: dose.setCount - (part < 0.3 ? 1 : 0), repetitionsHigh: 6 }))}`,
      ];
    }),
  );
}
const startOf = ({ subject }: FitContext, variationId: string): Place => ({
  variationId,
  setting: startSetting(subject, variationById(variationId)),
});

const written = (name: string, lines: readonly string[]) =>
  expect(`${lines.join("\n")}\n`).toMatchFileSnapshot(`answers/${name.replaceAll(/[^a-z0-9]+/g, "-")}.txt`);

const STEPPING = [
  "a sore kneecap",
  "a back to be careful with",
  "coarse plates and steps, range first",
  "a bar forbidden, a ceiling unusable",
];
const CLIMBING = [
  "a knee limited to 95 degrees",
  "a strong knee, calm with 16 kg",
  "nothing measured",
  "a tall heavy man leading with the left",
];
const clients = (names: readonly string[]) => Object.entries(CLIENTS).filter(([name]) => names.includes(name));

test.each(clients(Object.keys(CLIENTS)))("%s is fitted as written", async (name, context) => {
  const lines = fitLines(context);
  expect(lines).toHaveLength(3 * ROWS.length);
  await written(`${name} fit`, lines);
});
test.each(clients(STEPPING))("%s steps as written", async (name, context) => {
  await written(`${name} steps`, stepLines(context));
});
test.each(clients(CLIMBING))("%s climbs around where it is as written", async (name, context) => {
  const lines = ROWS.flatMap(({ id }) => {
    const { treads, current } = stairAround(context, startOf(context, id), { down: 3, up: 4 });
    return [`${id}, standing on ${current}`, ...treads.map((tread) => `  ${treadLine(tread)}`)];
  });
  await written(`${name} around`, lines);
});

test("the stairs between all squats and from other rows are as written", async () => {
  const goals = ROWS.filter(({ pattern }) => pattern === "squat").map(({ id }) => id);
  const pairs: [FitContext, string, string][] = [
    ...goals.flatMap((from) => goals.map((to): [FitContext, string, string] => [contextWith(), from, to])),
    ...["two-leg-hinge", "floor-bridge", "step-up-rail", "seated-knee-extension"].map((id): [FitContext, string, string] => [
      contextWith(),
      id,
      id,
    ]),
    [contextWith({ ceilings: [] }), "very-high-sit-to-stand", "goblet-to-box"],
    [contextWith({ school: { ...DEFAULT_SCHOOL, buildOrder: ["load", "range", "support"] } }), "box-squat-pole", "bar-on-back"],
    [contextWith(), "floor-bridge", "step-up-rail"],
  ];
  const lines = pairs.flatMap(([context, from, to]) => {
    const goal = startOf(context, to);
    const end = { ...goal, setting: { ...goal.setting, ...(goal.setting.seatHeightM ? { seatHeightM: 0.43 } : {}), shareFraction: 0.5 } };
    const start = startOf(context, from);
    const { treads, channel, reachesGoal } = stairToGoal(context, { ...start, setting: { ...start.setting, shareFraction: 0.5 } }, end);
    return [`${from} to ${to}: ${reachesGoal ? "there" : "not there"} by ${channel}`, ...treads.map((tread) => `  ${treadLine(tread)}`)];
  });
  expect(lines.length).toBeGreaterThan(300);
  await written("stairs to a goal", lines);
});

test("levers solved for a demand are as written", async () => {
  const short = (_: string, value: unknown) => (typeof value === "number" ? Number(number(value)) : value);
  const lines = [
    ["raised-sit-to-stand", "seatHeightM", "kneeMoment", 40],
    ["counter-held-mini-squat", "kneeFlexionDeg", "kneecapStress", 2],
    ["two-leg-hinge", "loadKg", "hipMoment", 60],
    ["goblet-to-box", "loadKg", "kneeFlexion", 60],
  ].flatMap(([id, lever, channel, target]) => {
    const variation = variationById(String(id));
    const range = leversOf(SUBJECT, variation).find((each) => each.lever === lever)!;
    const solvedFor = { channel: channel as "kneeMoment", side: "right" } as const;
    return [true, false].map((along) => {
      const solution = solveLever(SUBJECT, variation, startSetting(SUBJECT, variation), range, solvedFor, Number(target), 0.05, along);
      return `${id} ${lever} for ${channel} ${target}, ${along ? "along" : "at the pose"}: ${JSON.stringify(solution, short)}`;
    });
  });
  await written("levers solved", lines);
});

test("the client's own day is as written", async () => {
  const tasks = [
    { name: "sofa", kind: "seat", heightM: 0.42 },
    { name: "kerb", kind: "step", heightM: 0.12 },
    { name: "bar stool", kind: "seat", heightM: 1.2 },
    { name: "stairs", kind: "step", heightM: 0.18 },
  ] as const;
  const lines = [{}, { shareFraction: 0.4 }].flatMap((share) =>
    dailyUses({ subject: { ...SUBJECT, body: BODY }, ceilings: calmCeilings("kneecap", 0.58) }, tasks, share).map(
      ({ task, use }) => `${task.name}: ${use ? [use.low, use.head, use.high].map(number).join(" ") : "nothing"}`,
    ),
  );
  await written("own day", lines);
});
