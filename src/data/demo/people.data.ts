import { nFromKgf } from "../../core";
import type { BodyOverrides, CalmPoseFact, ClientProfile, DailyTask, Limit, MeasuredBand, Setting } from "../../core";

/** Days are counted from the day the demo is seeded, so that it is always about now. */
type InDays<T, Keys extends keyof T> = Omit<T, Keys> & { [K in Keys]: number | null };

export interface DemoClient {
  key: string;
  profile: Omit<ClientProfile, "id">;
  heightM: number;
  massKg: number;
  overrides?: BodyOverrides;
  /** Heights of their own day. */
  day: readonly DailyTask[];
  weeks: number;
  calmPose: Omit<CalmPoseFact, "id" | "day" | "side">;
  limits: (Omit<InDays<Limit, "fromDay" | "untilDay">, "id" | "lift"> & { fromDay: number })[];
  variationId: string;
  known: Setting;
  /** How the simulated joint behaves; the rules never see it. */
  joint: { toleratedUse: number; gainPerSession: number; setback: { atSession: number; drop: number } | null };
}

/** Bands of the studio, as a hand scale read them. */
export const DEMO_BANDS: readonly MeasuredBand[] = [
  {
    name: "long loop by the window",
    restM: 1.0,
    points: [
      { lengthM: 1.3, tensionN: nFromKgf(6) },
      { lengthM: 1.6, tensionN: nFromKgf(10) },
      { lengthM: 1.9, tensionN: nFromKgf(13) },
    ],
  },
  {
    name: "short stiff one",
    restM: 0.6,
    points: [
      { lengthM: 0.9, tensionN: nFromKgf(9) },
      { lengthM: 1.2, tensionN: nFromKgf(15) },
    ],
  },
];

/** Three invented clients of the studio above the chandlery. */
export const DEMO_CLIENTS: readonly DemoClient[] = [
  {
    key: "maren",
    profile: {
      name: "Maren Holt",
      birthYear: 1965,
      sex: "female",
      goal: "Up the bell tower again, one foot per step",
      complaint: "Right kneecap, after a repair in spring",
      side: "right",
      baselinePainScore: 2,
      painLimitScore: 3,
    },
    heightM: 1.68,
    massKg: 74,
    overrides: { shankM: 0.405, thighM: 0.42 },
    day: [
      { name: "toilet", kind: "seat", heightM: 0.47 },
      { name: "sofa", kind: "seat", heightM: 0.42 },
      { name: "ferry step", kind: "step", heightM: 0.16 },
      { name: "bell tower", kind: "step", heightM: 0.2 },
    ],
    weeks: 9,
    calmPose: {
      limitedBy: "kneecap",
      variationId: "raised-sit-to-stand",
      setting: { seatHeightM: 0.58 },
      shareFraction: 0.45,
      shankLeanDeg: 26,
      trunkLeanDeg: null,
    },
    limits: [
      {
        rule: { kind: "knee-bend", maxDeg: 95 },
        side: "right",
        owner: { kind: "clinician", name: "Knee surgeon" },
        fromDay: -80,
        untilDay: 47,
      },
      { rule: { kind: "no-load-on-back" }, side: "both", owner: { kind: "client", name: "Maren" }, fromDay: -62, untilDay: null },
    ],
    variationId: "box-squat-pole",
    known: { handForceN: nFromKgf(12) },
    joint: { toleratedUse: 1.0, gainPerSession: 0.012, setback: null },
  },
  {
    key: "ansel",
    profile: {
      name: "Ansel Birk",
      birthYear: 1958,
      sex: "male",
      goal: "An afternoon on the allotment without paying for it",
      complaint: "Left knee, wear type, stiff in the morning",
      side: "left",
      baselinePainScore: 3,
      painLimitScore: 3,
    },
    heightM: 1.76,
    massKg: 88,
    day: [
      { name: "garden bench", kind: "seat", heightM: 0.44 },
      { name: "kerb", kind: "step", heightM: 0.12 },
    ],
    weeks: 10,
    calmPose: {
      limitedBy: "knee",
      variationId: "raised-sit-to-stand",
      setting: { seatHeightM: 0.6 },
      shareFraction: null,
      shankLeanDeg: null,
      trunkLeanDeg: null,
    },
    limits: [
      {
        rule: { kind: "own-words", text: "No kneeling on the left knee" },
        side: "left",
        owner: { kind: "client", name: "Ansel" },
        fromDay: -70,
        untilDay: null,
      },
    ],
    variationId: "raised-sit-to-stand",
    known: {},
    joint: { toleratedUse: 0.97, gainPerSession: 0.006, setback: { atSession: 11, drop: 0.24 } },
  },
  {
    key: "ines",
    profile: {
      name: "Ines Farrow",
      birthYear: 1973,
      sex: "female",
      goal: "Back in the choir loft, carrying the folders herself",
      complaint: "Low back, worse with bending",
      side: "right",
      baselinePainScore: 1,
      painLimitScore: 2,
    },
    heightM: 1.63,
    massKg: 66,
    day: [
      { name: "choir chair", kind: "seat", heightM: 0.46 },
      { name: "loft stairs", kind: "step", heightM: 0.19 },
    ],
    weeks: 8,
    calmPose: {
      limitedBy: "low-back",
      variationId: "goblet-to-box",
      setting: { seatHeightM: 0.52, loadKg: 16 },
      shareFraction: 0.5,
      shankLeanDeg: null,
      trunkLeanDeg: null,
    },
    limits: [
      { rule: { kind: "no-load-on-back" }, side: "both", owner: { kind: "clinician", name: "Family doctor" }, fromDay: -60, untilDay: 20 },
      {
        rule: { kind: "own-words", text: "Nothing that makes her hold her breath" },
        side: "both",
        owner: { kind: "rule", name: "Back pain" },
        fromDay: -60,
        untilDay: null,
      },
    ],
    variationId: "goblet-to-box",
    known: { loadKg: 6 },
    joint: { toleratedUse: 1.03, gainPerSession: 0.01, setback: null },
  },
];
