import { nFromKgf } from "../../core/units";
import type { BodyOverrides } from "../../core/body/body";
import type { DailyTask } from "../../core/fit/daily";
import type { Limit } from "../../core/limits/limit";
import type { MeasuredBand } from "../../core/mechanics/band";
import type { Complaint } from "../../core/limits/complaint";
import type { ClinicianRole } from "../../core/limits/clinician";
import type { Side } from "../../core/mechanics/channels";
import type { CalmPoseFact, ClientProfile } from "../../core/record/record";
import type { OwnCondition } from "../../core/screen/screen";
import type { Setting } from "../../core/templates/lever";

/** Days are counted from the day the demo is seeded, so that it is always about now. */
type InDays<T, Keys extends keyof T> = Omit<T, Keys> & { [K in Keys]: number | null };

export interface DemoClient {
  key: string;
  profile: Omit<ClientProfile, "id">;
  complaints: readonly Omit<Complaint, "id">[];
  /** What is known of them, days from today; who has cleared them for exercise. */
  conditions: readonly InDays<OwnCondition, "day">[];
  cleared: { by: string; role: ClinicianRole } | null;
  heightM: number;
  massKg: number;
  overrides?: BodyOverrides;
  /** Heights of their own day. */
  day: readonly DailyTask[];
  weeks: number;
  /** The first is the visit's own; the others follow on the next days, each for what else hurts. */
  calmPoses: readonly Omit<CalmPoseFact, "id" | "day" | "massKg" | "bellyKg">[];
  limits: (Omit<InDays<Limit, "fromDay" | "untilDay">, "id" | "lift"> & { fromDay: number })[];
  /** What is trained, pattern by pattern, and what is known of it already. */
  rows: readonly { variationId: string; side: Side; known: Setting }[];
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
      archivedDay: null,
    },
    complaints: [
      { site: "kneecap", side: "right", words: "Right kneecap, after a repair in spring", usualPainScore: 2, painLimitScore: 3 },
    ],
    conditions: [{ id: "ligament-repair", side: "right", day: -230 }],
    cleared: { by: "Dr Halvard Sund", role: "surgeon" },
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
    calmPoses: [
      {
        limitedBy: "kneecap",
        variationId: "raised-sit-to-stand",
        setting: { seatHeightM: 0.58 },
        shareFraction: 0.45,
        shankLeanDeg: 26,
        trunkLeanDeg: null,
        side: "right",
      },
    ],
    limits: [
      {
        rule: { kind: "most", channel: "kneeFlexion", most: 95 },
        side: "right",
        owner: { kind: "clinician", name: "Knee surgeon" },
        fromDay: -80,
        untilDay: 47,
      },
      {
        rule: { kind: "never", what: "bar-on-shoulders" },
        side: "both",
        owner: { kind: "client", name: "Maren" },
        fromDay: -62,
        untilDay: null,
      },
    ],
    rows: [
      { variationId: "box-squat-pole", side: "right", known: { handForceN: nFromKgf(8) } },
      { variationId: "step-up-rail", side: "right", known: { handForceN: nFromKgf(8) } },
    ],
    joint: { toleratedUse: 1.0, gainPerSession: 0.012, setback: null },
  },
  {
    key: "ansel",
    profile: {
      name: "Ansel Birk",
      birthYear: 1958,
      sex: "male",
      goal: "An afternoon on the allotment without paying for it",
      archivedDay: null,
    },
    complaints: [{ site: "knee", side: "left", words: "Left knee, wear type, stiff in the morning", usualPainScore: 3, painLimitScore: 3 }],
    conditions: [{ id: "knee-arthritis", side: "left", day: null }],
    cleared: null,
    heightM: 1.76,
    massKg: 88,
    day: [
      { name: "garden bench", kind: "seat", heightM: 0.44 },
      { name: "kerb", kind: "step", heightM: 0.12 },
    ],
    weeks: 10,
    calmPoses: [
      {
        limitedBy: "knee",
        variationId: "raised-sit-to-stand",
        setting: { seatHeightM: 0.6 },
        shareFraction: null,
        shankLeanDeg: null,
        trunkLeanDeg: null,
        side: "left",
      },
    ],
    limits: [
      {
        rule: { kind: "never", what: "kneeling" },
        side: "both",
        owner: { kind: "client", name: "Ansel" },
        fromDay: -70,
        untilDay: null,
      },
    ],
    rows: [
      { variationId: "raised-sit-to-stand", side: "left", known: {} },
      { variationId: "seated-knee-extension", side: "left", known: {} },
    ],
    joint: { toleratedUse: 0.97, gainPerSession: 0.006, setback: { atSession: 11, drop: 0.24 } },
  },
  {
    key: "ines",
    profile: {
      name: "Ines Farrow",
      birthYear: 1973,
      sex: "female",
      goal: "Back in the choir loft, carrying the folders herself",
      archivedDay: null,
    },
    complaints: [{ site: "back-bend", side: "both", words: "Low back, worse with bending", usualPainScore: 1, painLimitScore: 2 }],
    conditions: [{ id: "back-bend", side: "both", day: null }],
    cleared: null,
    heightM: 1.63,
    massKg: 66,
    day: [
      { name: "choir chair", kind: "seat", heightM: 0.46 },
      { name: "loft stairs", kind: "step", heightM: 0.19 },
    ],
    weeks: 8,
    calmPoses: [
      {
        limitedBy: "back-bend",
        variationId: "goblet-to-box",
        setting: { seatHeightM: 0.52, loadKg: 16 },
        shareFraction: 0.5,
        shankLeanDeg: null,
        trunkLeanDeg: null,
        side: "right",
      },
    ],
    limits: [
      {
        rule: { kind: "never", what: "bar-on-shoulders" },
        side: "both",
        owner: { kind: "clinician", name: "Family doctor" },
        fromDay: -60,
        untilDay: 20,
      },
      {
        rule: { kind: "never", what: "breath-holding" },
        side: "both",
        owner: { kind: "rule", name: "Back pain" },
        fromDay: -60,
        untilDay: null,
      },
    ],
    rows: [
      { variationId: "goblet-to-box", side: "right", known: { loadKg: 6 } },
      { variationId: "two-leg-hinge", side: "right", known: {} },
      { variationId: "floor-bridge", side: "right", known: {} },
    ],
    joint: { toleratedUse: 1.03, gainPerSession: 0.01, setback: null },
  },
];
