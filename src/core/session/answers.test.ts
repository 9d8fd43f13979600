import { expect, test } from "vitest";
import { CATALOGUE, variationById } from "../catalogue/catalogue";
import type { FitContext } from "../judge/context";
import { calmCeilings, complaint, contextWith, limit } from "../judge/fit.fixture";
import { schoolOf } from "../approach/approach";
import { buildSession, type BuiltSession, hardAndHold, type SessionAsked } from "./build";
import type { SessionItem } from "./session";
import { ASKED } from "./session.fixture";
import { SKELETONS } from "./skeletons.data";

/**
 * Sessions as they are built, written out for a handful of clients, approaches and named sessions. The other tests say what
 * must hold; this one says that nothing moved unseen. A line that changes is what a client does that changes: look at it, and
 * write it anew with `npx vitest run -u`.
 */
const calmRows = CATALOGUE.map(({ id }) => id);
const by = (positions: Record<string, string>, more: Partial<FitContext> = {}): FitContext =>
  contextWith({ calmRows, school: schoolOf({ preset: "mainstream", positions }), ...more });
/** These rows are closed: the next of their station is taken. */
const barring = (codes: string): FitContext =>
  contextWith({ limits: [limit({ kind: "rows", codes: codes.split(" "), instead: [] }, { side: "both" })] });

const number = (value: number): string => String(Math.round(value * 1e3) / 1e3);
function itemLine({ id, variationId, setting, part, dose, sides, isKept, pairedWithNext, waits }: SessionItem): string {
  const { setCount, repetitionsLow, repetitionsHigh, tempo, restS } = dose;
  const levers = Object.entries(setting).map(([lever, value]) => `${lever} ${number(value)}`);
  return [
    `${part}: ${variationById(variationId).code}${id === variationId ? "" : ` (${id})`}`,
    `${setCount} x ${repetitionsLow} to ${repetitionsHigh} at ${tempo.lowerS}-${tempo.pauseS}-${tempo.riseS}, rest ${restS}`,
    sides.map((own) => `${own.side} ${own.setCount} x ${own.repetitions}`).join(", ") || "both legs",
    levers.join(", ") || "no lever",
    ...(isKept ? ["kept"] : []),
    ...(pairedWithNext ? ["in turn"] : []),
    ...(waits ? ["waits"] : []),
  ].join(" | ");
}
const codesOf = (items: readonly SessionItem[]): string => items.map(({ variationId }) => variationById(variationId).code).join(" ");
const lines = ({ items, dropped, unfilled, rounds }: BuiltSession): string[] => [
  ...items.map(itemLine),
  `left out ${codesOf(dropped) || "nothing"}; nothing fills ${unfilled.map((codes) => codes.join("|")).join(" ") || "nothing"}; ${rounds} round(s)`,
];
const written = (name: string, told: readonly string[]) =>
  expect(`${told.join("\n")}\n`).toMatchFileSnapshot(`answers/${name.replaceAll(/[^a-z0-9]+/g, "-")}.txt`);
const KNEE = complaint({ site: "knee" });
const step = { variationId: "step-up-rail", setting: { stepHeightM: 0.12, handForceN: 60, loadKg: 0 } };

const BUILT: Record<string, [FitContext, Partial<SessionAsked>]> = {
  "first visit, a sore kneecap": [contextWith(), {}],
  "a sore knee, both joints stiff, all calm before": [contextWith({ complaints: [KNEE], calmRows }), { stiff: ["ankle", "hip"] }],
  "a sore back and a knee, for strength": [
    contextWith({
      complaints: [complaint({ id: "back", site: "low-back", side: "both" }), KNEE],
      ceilings: calmCeilings("low-back", 0.55),
      calmRows,
    }),
    { purpose: "strength", weak: { kind: "back" } },
  ],
  "a squat and a step planned, one with its dose": [
    contextWith({ calmRows }),
    {
      planned: [
        { variationId: "raised-sit-to-stand", setting: { seatHeightM: 0.64, shareFraction: 0.5 } },
        { ...step, dose: { ...variationById("step-up-rail").dose, setCount: 4, repetitionsLow: 5, repetitionsHigh: 6 } },
      ],
    },
  ],
  "short of time": [contextWith({ calmRows }), { minutes: 25 }],
  "both sides weak, another session": [by({ "weak-side": "alone" }), { weakSide: "both", sessionNumber: 1 }],
  "the first of each station closed": [barring("E01 M03 A06 T08 A10 K05"), {}],
  "the first two of each station closed": [barring("E01 E03 M03 A06 A05 T08 T03 A10 A18"), {}],
  "nothing measured": [contextWith({ ceilings: [] }), {}],
  "a bare room": [contextWith({ calmRows, kit: { ...contextWith().kit, equipment: ["chair", "cushion"] } }), {}],
  ...Object.fromEntries(
    ["circuit", "ground-up", "four-patterns", "core-every-session", "extension-both-ends"].map((position) => [
      `in the order ${position}`,
      [by({ "session-order": position }), {}],
    ]),
  ),
  "stretching in every session": [by({ stretching: "every-session", trunk: "core-each-session" }), { stiff: ["hip"] }],
  "mobilised and strengthened, a burn at the end": [by({ stretching: "mobilise-and-strengthen", activation: "burn-at-end" }), {}],
  "one stretch, no bend, drops": [by({ stretching: "one-stretch", "first-knee-work": "no-bend", "abduction-dose": "drops" }), {}],
  "a band and a drag, moderate": [by({ "first-knee-work": "band-and-drag", "abduction-dose": "moderate" }), {}],
};
test.each(Object.entries(BUILT))("a session: %s", async (name, [context, more]) => {
  const built = buildSession(context, { ...ASKED, minutes: 75, ...more });
  expect(built.items.length).toBeGreaterThan(0);
  await written(name, lines(built));
});
test("every named session, with time and without, for a knee that was calm", async () => {
  const told = SKELETONS.flatMap(({ id }) =>
    [120, 30].flatMap((minutes) => [`${id}, ${minutes} minutes`, ...lines(buildSession(by({}), { ...ASKED, minutes, skeletonId: id }))]),
  );
  expect(told.length).toBeGreaterThan(80);
  await written("named-sessions", told);
});
test("half a minute hard and half held, of what is open", async () =>
  written("hard-and-held", [
    ...(hardAndHold(contextWith({ calmRows })) ?? []).map(itemLine),
    ...(hardAndHold(barring("E05 T01")) ?? []).map(itemLine),
    ...(hardAndHold(barring("E05 E01 T01 T02")) ?? []).map(itemLine),
    JSON.stringify(hardAndHold(barring("T01 T02 T03"))),
  ]));
