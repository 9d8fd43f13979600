import { nFromKgf } from "../core/units";
import type { Finding } from "../core/assess/finding";
import type { SetUp } from "../core/assess/protocols.data";
import type { BodyOverrides } from "../core/body/body";
import type { KitItem } from "../core/kit/assemble";
import type { DailyTask } from "../core/judge/context";
import type { Limit } from "../core/limits/limit";
import type { MeasuredBand } from "../core/mechanics/band";
import type { Complaint } from "../core/limits/complaint";
import type { ClinicianRole, WarningSign } from "../core/limits/clinician";
import type { Side } from "../core/mechanics/channels";
import type { CalmPoseFact, ClientProfile } from "../core/record/facts/record";
import type { OwnCondition, ScreenAnswers, ScreenQuestion } from "../core/screen/screen";
import type { PresetId } from "../core/approach/approach";
import type { Setting } from "../core/templates/lever";

/** Days are counted from the day the demo is seeded, so that it is always about now. */
type InDays<T, Keys extends keyof T> = Omit<T, Keys> & { [K in Keys]: number | null };

export interface DemoClient {
  key: string;
  profile: Omit<ClientProfile, "id">;
  complaints: readonly Omit<Complaint, "id">[];
  /** What is known of them, days from today; who has cleared them for exercise. */
  conditions: readonly InDays<OwnCondition, "day">[];
  cleared: { by: string; role: ClinicianRole } | null;
  /** Answers that nobody waits for. */
  further?: Pick<ScreenAnswers, "goals" | "pain" | "medicines" | "aids" | "person">;
  /** Parts of the screen that nobody has asked yet. */
  notAsked?: readonly ScreenQuestion[];
  /** Signs said at the first visit, and who cleared them. */
  signs?: readonly { sign: WarningSign; clearedBy: string; role: ClinicianRole; note: string }[];
  /** A sign said on the last morning: it stands open. */
  lastMorningSign?: WarningSign;
  /** What was measured, so many days ago. */
  findings: readonly (Pick<Finding, "protocol" | "side" | "value"> & { daysAgo: number; setUp?: SetUp })[];
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
  /** What stands at home. */
  home?: readonly KitItem[];
  /** The school they are trained by, where it is not the house's own. */
  school?: { preset: PresetId; reason: string };
  /** Has a programme kept, with a session today; the last one lies long enough ago for it. */
  trainsToday?: true;
  /** Has a page of their own: how hard the stairs were, week by week, 0 easy to 3 not done. */
  atHome?: readonly number[];
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

/** The invented clients of the studio above the chandlery: every family of conditions, a stop and its lifting, a trimester about to change. */
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
    signs: [{ sign: "giving-way", clearedBy: "Dr Halvard Sund", role: "surgeon", note: "Gave way once in June; the repair is tight" }],
    further: {
      goals: [
        { task: "stairs", measure: 0.2, words: "the bell tower, one foot per step" },
        { task: "rise", measure: 0.42, words: "her own sofa" },
      ],
      pain: { worstScore: 5, morningStiffMin: 10, swells: false, when: "Stairs down, and after long sitting" },
      person: {
        fear: "That the repair gives way",
        ownLimit: "The right heel lifts a little at the bottom: an old ankle, and no fault",
        sessionsPerWeek: 2,
        minutes: 40,
      },
    },
    findings: [
      { protocol: "chair-stand", side: "both", value: 11, daysAgo: 61, setUp: { seatHeightM: 0.43 } },
      { protocol: "chair-stand", side: "both", value: 13, daysAgo: 5, setUp: { seatHeightM: 0.43 } },
      { protocol: "calm-seat", side: "right", value: 0.58, daysAgo: 62 },
      { protocol: "knee-bend", side: "right", value: 104, daysAgo: 61 },
      { protocol: "knee-bend", side: "left", value: 128, daysAgo: 61 },
      { protocol: "knee-bend", side: "right", value: 112, daysAgo: 12 },
      { protocol: "knee-bend", side: "left", value: 129, daysAgo: 12 },
      { protocol: "knee-straight", side: "right", value: 3, daysAgo: 12 },
      { protocol: "knee-straight", side: "left", value: 0, daysAgo: 12 },
      { protocol: "one-leg-stance", side: "right", value: 14, daysAgo: 12 },
      { protocol: "one-leg-stance", side: "left", value: 27, daysAgo: 12 },
      { protocol: "weight-share", side: "right", value: 0.43, daysAgo: 61 },
      { protocol: "thigh-girth", side: "right", value: 0.475, daysAgo: 61 },
      { protocol: "thigh-girth", side: "left", value: 0.5, daysAgo: 61 },
    ],
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
    home: [
      { kind: "chair", heightM: 0.46 },
      { kind: "sofa", heightM: 0.42 },
      { kind: "cushion", thicknessM: 0.05, count: 4 },
      { kind: "step", heightM: 0.18 },
      { kind: "counter" },
      { kind: "rail" },
      { kind: "mat", thicknessM: 0.01, count: 1 },
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
    signs: [{ sign: "hot-swollen-joint", clearedBy: "Dr Peder Lowe", role: "doctor", note: "Warm in August; no infection, train on" }],
    findings: [
      { protocol: "five-rises", side: "both", value: 14.2, daysAgo: 68, setUp: { seatHeightM: 0.43 } },
      { protocol: "five-rises", side: "both", value: 12.9, daysAgo: 40, setUp: { seatHeightM: 0.43 } },
      { protocol: "calm-seat", side: "left", value: 0.6, daysAgo: 70 },
      { protocol: "up-and-go", side: "both", value: 8.4, daysAgo: 40 },
    ],
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
    conditions: [
      { id: "back-bend", side: "both", day: null },
      { id: "tight-hip", side: "right", day: null },
    ],
    cleared: null,
    findings: [
      { protocol: "tuck", side: "both", value: 88, daysAgo: 55 },
      { protocol: "bend-response", side: "both", value: 2, daysAgo: 55 },
      { protocol: "hinge", side: "both", value: 2, daysAgo: 55 },
      { protocol: "hinge", side: "both", value: 1, daysAgo: 20 },
      { protocol: "hip-bend", side: "right", value: 96, daysAgo: 55 },
      { protocol: "hip-bend", side: "left", value: 108, daysAgo: 55 },
    ],
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
  {
    key: "edda",
    profile: { name: "Edda Quill", birthYear: 1992, sex: "female", goal: "At the pottery wheel until the last weeks", archivedDay: null },
    complaints: [{ site: "low-back", side: "both", words: "Low back, by the evening", usualPainScore: 1, painLimitScore: 2 }],
    conditions: [{ id: "pregnancy", side: "both", day: 85 }], // the last trimester begins tomorrow
    cleared: { by: "Midwife Asta Rune", role: "midwife" },
    signs: [
      { sign: "bleeding-or-fluid", clearedBy: "Midwife Asta Rune", role: "midwife", note: "Spotting in week 9; seen, all well" },
      { sign: "belly-or-pelvic", clearedBy: "Midwife Asta Rune", role: "midwife", note: "Ligament pull; keep steps short" },
      { sign: "severe-headache", clearedBy: "Dr Ingrid Solheim", role: "doctor", note: "Blood pressure normal three times" },
    ],
    findings: [{ protocol: "chair-stand", side: "both", value: 19, daysAgo: 20, setUp: { seatHeightM: 0.43 } }],
    heightM: 1.66,
    massKg: 71,
    overrides: { bellyKg: 7 },
    day: [{ name: "wheel stool", kind: "seat", heightM: 0.48 }],
    weeks: 3,
    calmPoses: [
      {
        limitedBy: "low-back",
        variationId: "raised-sit-to-stand",
        setting: { seatHeightM: 0.56 },
        shareFraction: null,
        shankLeanDeg: null,
        trunkLeanDeg: null,
        side: "right",
      },
    ],
    limits: [
      { rule: { kind: "never", what: "lying" }, side: "both", owner: { kind: "clinician", name: "Midwife" }, fromDay: -20, untilDay: null },
    ],
    rows: [{ variationId: "raised-sit-to-stand", side: "right", known: {} }],
    joint: { toleratedUse: 1.02, gainPerSession: 0.004, setback: null },
  },
  {
    key: "oswin",
    profile: { name: "Oswin Marr", birthYear: 1955, sex: "male", goal: "Into the kayak from the slip", archivedDay: null },
    complaints: [{ site: "knee", side: "right", words: "Replaced knee, stiff on rising", usualPainScore: 2, painLimitScore: 3 }],
    conditions: [
      { id: "knee-replacement", side: "right", day: -150 },
      { id: "diabetes", side: "both", day: null },
    ],
    cleared: { by: "Dr Ingrid Solheim", role: "surgeon" },
    signs: [{ sign: "calf-swelling", clearedBy: "Dr Ingrid Solheim", role: "surgeon", note: "No clot on the scan" }],
    findings: [
      { protocol: "knee-straight", side: "right", value: 8, daysAgo: 40 },
      { protocol: "knee-bend", side: "right", value: 95, daysAgo: 40 },
      { protocol: "knee-bend", side: "left", value: 124, daysAgo: 40 },
      { protocol: "chair-stand", side: "both", value: 9, daysAgo: 40, setUp: { seatHeightM: 0.48 } },
    ],
    heightM: 1.78,
    massKg: 92,
    day: [
      { name: "boat shed bench", kind: "seat", heightM: 0.46 },
      { name: "slip", kind: "step", heightM: 0.18 },
    ],
    weeks: 5,
    calmPoses: [
      {
        limitedBy: "knee",
        variationId: "raised-sit-to-stand",
        setting: { seatHeightM: 0.64 },
        shareFraction: 0.43,
        shankLeanDeg: null,
        trunkLeanDeg: null,
        side: "right",
      },
    ],
    limits: [],
    rows: [
      { variationId: "raised-sit-to-stand", side: "right", known: {} },
      { variationId: "seated-knee-extension", side: "right", known: {} },
    ],
    joint: { toleratedUse: 1, gainPerSession: 0.008, setback: null },
  },
  {
    key: "thora",
    profile: {
      name: "Thora Vane",
      birthYear: 1954,
      sex: "female",
      goal: "Lift the grandchildren, and stay on her feet",
      archivedDay: null,
    },
    complaints: [{ site: "hip", side: "left", words: "Left hip, on stairs", usualPainScore: 1, painLimitScore: 2 }],
    conditions: [
      { id: "bone-thinning", side: "both", day: null },
      { id: "falls", side: "both", day: null },
    ],
    cleared: { by: "Dr Peder Lowe", role: "doctor" },
    signs: [{ sign: "faint", clearedBy: "Dr Peder Lowe", role: "doctor", note: "Stood up too fast; tablets changed" }],
    findings: [
      { protocol: "up-and-go", side: "both", value: 12.6, daysAgo: 25 },
      { protocol: "one-leg-stance", side: "left", value: 4, daysAgo: 25 },
      { protocol: "one-leg-stance", side: "right", value: 9, daysAgo: 25 },
      { protocol: "chair-stand", side: "both", value: 8, daysAgo: 25, setUp: { seatHeightM: 0.43 } },
      { protocol: "walking-speed", side: "both", value: 0.98, daysAgo: 25, setUp: { distanceM: 4 } },
    ],
    heightM: 1.58,
    massKg: 57,
    day: [{ name: "kitchen chair", kind: "seat", heightM: 0.45 }],
    weeks: 3,
    calmPoses: [
      {
        limitedBy: "hip",
        variationId: "raised-sit-to-stand",
        setting: { seatHeightM: 0.54 },
        shareFraction: null,
        shankLeanDeg: null,
        trunkLeanDeg: null,
        side: "left",
      },
    ],
    limits: [],
    rows: [{ variationId: "raised-sit-to-stand", side: "left", known: {} }],
    school: { preset: "gentle", reason: "Unsure after the fall; a little every day suits her" },
    joint: { toleratedUse: 1, gainPerSession: 0.006, setback: null },
  },
  {
    key: "bram",
    profile: { name: "Bram Ketter", birthYear: 1967, sex: "male", goal: "Up the ferry ramp with the hand cart", archivedDay: null },
    complaints: [{ site: "knee", side: "right", words: "Right knee, after long stands", usualPainScore: 1, painLimitScore: 3 }],
    conditions: [
      { id: "heart", side: "both", day: null },
      { id: "blood-pressure", side: "both", day: null },
      { id: "heart-rate-medicine", side: "both", day: null },
    ],
    cleared: { by: "Dr Halvard Sund", role: "doctor" },
    signs: [{ sign: "chest-pain", clearedBy: "Dr Halvard Sund", role: "doctor", note: "Exercise test in spring, light effort is fine" }],
    lastMorningSign: "chest-pain",
    further: { medicines: { kinds: ["blunts-heart-rate", "thins-blood"], injectionDay: null } },
    findings: [{ protocol: "walking-speed", side: "both", value: 1.31, daysAgo: 18, setUp: { distanceM: 4 } }],
    heightM: 1.82,
    massKg: 101,
    day: [{ name: "ramp kerb", kind: "step", heightM: 0.14 }],
    weeks: 2,
    calmPoses: [
      {
        limitedBy: "knee",
        variationId: "raised-sit-to-stand",
        setting: { seatHeightM: 0.6 },
        shareFraction: null,
        shankLeanDeg: null,
        trunkLeanDeg: null,
        side: "right",
      },
    ],
    limits: [],
    rows: [{ variationId: "raised-sit-to-stand", side: "right", known: {} }],
    school: { preset: "knee-forward", reason: "Wants the ramp back; the knee is quiet forward" },
    joint: { toleratedUse: 1.02, gainPerSession: 0.005, setback: null },
  },
  {
    key: "liv",
    profile: {
      name: "Liv Aster",
      birthYear: 1979,
      sex: "female",
      goal: "Sit through a concert, then carry the cello home",
      archivedDay: null,
    },
    complaints: [{ site: "back-bend", side: "both", words: "Low back into the left buttock", usualPainScore: 2, painLimitScore: 2 }],
    conditions: [
      { id: "back-disc", side: "both", day: null },
      { id: "back-spasm", side: "both", day: null },
      { id: "nerve-signs", side: "both", day: null },
    ],
    cleared: { by: "Dr Peder Lowe", role: "doctor" },
    signs: [
      { sign: "spreading-pain", clearedBy: "Dr Peder Lowe", role: "doctor", note: "Seen on Monday; train away from bending" },
      { sign: "leg-weakness", clearedBy: "Dr Peder Lowe", role: "doctor", note: "Strength equal again" },
      { sign: "bladder-bowel", clearedBy: "Dr Peder Lowe", role: "doctor", note: "Sent in at once in May; ruled out" },
    ],
    findings: [
      { protocol: "bend-response", side: "both", value: 2, daysAgo: 16 },
      { protocol: "arch-response", side: "both", value: 0, daysAgo: 16 },
      { protocol: "tuck", side: "both", value: 82, daysAgo: 16 },
      { protocol: "side-length", side: "left", value: 1, daysAgo: 16 },
      { protocol: "side-length", side: "right", value: 3.5, daysAgo: 16 },
    ],
    heightM: 1.71,
    massKg: 63,
    day: [{ name: "concert seat", kind: "seat", heightM: 0.44 }],
    weeks: 3,
    calmPoses: [
      {
        limitedBy: "back-bend",
        variationId: "raised-sit-to-stand",
        setting: { seatHeightM: 0.6 },
        shareFraction: null,
        shankLeanDeg: null,
        trunkLeanDeg: null,
        side: "right",
      },
    ],
    limits: [],
    rows: [{ variationId: "raised-sit-to-stand", side: "right", known: {} }],
    school: { preset: "one-leg", reason: "Legs without a bar while the back settles" },
    joint: { toleratedUse: 1.02, gainPerSession: 0.006, setback: null },
  },
  {
    key: "jorun",
    profile: { name: "Jorun Pell", birthYear: 1974, sex: "female", goal: "The cliff path on both feet alike", archivedDay: null },
    complaints: [{ site: "hip", side: "left", words: "Left side hip, lying on it", usualPainScore: 2, painLimitScore: 3 }],
    conditions: [
      { id: "side-hip", side: "left", day: null },
      { id: "sprains", side: "right", day: null },
    ],
    cleared: null,
    signs: [{ sign: "other-sign", clearedBy: "Signe Mo", role: "physiotherapist", note: "Numb patch on the thigh, nothing to hold back" }],
    further: {
      goals: [{ task: "walk", measure: 90, words: "the cliff path" }],
      aids: { brace: false, stick: false, footwear: "Firm walking shoes, an insole on the right", helperAtHome: false },
      person: { fear: "", ownLimit: "Left hip turns out in the squat", sessionsPerWeek: 3, minutes: 30 },
    },
    findings: [
      { protocol: "one-leg-stance", side: "left", value: 21, daysAgo: 30 },
      { protocol: "one-leg-stance", side: "right", value: 38, daysAgo: 30 },
      { protocol: "shin-forward", side: "right", value: 0.065, daysAgo: 30 },
      { protocol: "shin-forward", side: "left", value: 0.09, daysAgo: 30 },
      { protocol: "foot-roll-in", side: "right", value: 2, daysAgo: 30 },
      { protocol: "step-down", side: "left", value: 4, daysAgo: 30, setUp: { stepHeightM: 0.2 } },
      { protocol: "step-down", side: "right", value: 2, daysAgo: 30, setUp: { stepHeightM: 0.2 } },
      { protocol: "step-down", side: "left", value: 3, daysAgo: 1, setUp: { stepHeightM: 0.2 } },
    ],
    heightM: 1.73,
    massKg: 69,
    day: [{ name: "cliff steps", kind: "step", heightM: 0.19 }],
    weeks: 9,
    calmPoses: [
      {
        limitedBy: "hip",
        variationId: "raised-sit-to-stand",
        setting: { seatHeightM: 0.56 },
        shareFraction: 0.46,
        shankLeanDeg: null,
        trunkLeanDeg: null,
        side: "left",
      },
    ],
    limits: [],
    rows: [{ variationId: "raised-sit-to-stand", side: "left", known: {} }],
    joint: { toleratedUse: 1.01, gainPerSession: 0.008, setback: null },
  },
  {
    key: "nils",
    profile: { name: "Nils Corrie", birthYear: 1961, sex: "male", goal: "Back on the harbour pilot's ladder", archivedDay: null },
    complaints: [{ site: "hip", side: "right", words: "Replaced hip, since summer", usualPainScore: 1, painLimitScore: 2 }],
    conditions: [
      { id: "hip-replacement", side: "right", day: -120 },
      { id: "kidney", side: "both", day: null },
      { id: "shoulder-or-grip", side: "both", day: null },
    ],
    cleared: null,
    notAsked: ["activity", "clearance"], // his first visit, half asked
    findings: [],
    heightM: 1.8,
    massKg: 86,
    day: [],
    weeks: 0,
    calmPoses: [],
    limits: [],
    rows: [],
    joint: { toleratedUse: 1, gainPerSession: 0, setback: null },
  },
  {
    key: "runa",
    profile: { name: "Runa Skov", birthYear: 1959, sex: "female", goal: "Kneel in the herb garden and up again", archivedDay: null },
    complaints: [{ site: "knee", side: "left", words: "Inner left knee, down stairs", usualPainScore: 2, painLimitScore: 3 }],
    conditions: [{ id: "knee-arthritis", side: "left", day: null }],
    cleared: { by: "Dr Peder Lowe", role: "doctor" },
    findings: [
      { protocol: "chair-stand", side: "both", value: 11, daysAgo: 20, setUp: { seatHeightM: 0.45 } },
      { protocol: "one-leg-stance", side: "left", value: 14, daysAgo: 20 },
      { protocol: "one-leg-stance", side: "right", value: 26, daysAgo: 20 },
    ],
    heightM: 1.66,
    massKg: 71,
    day: [{ name: "garden stool", kind: "seat", heightM: 0.4 }],
    weeks: 4,
    calmPoses: [
      {
        limitedBy: "knee",
        variationId: "raised-sit-to-stand",
        setting: { seatHeightM: 0.55 },
        shareFraction: 0.45,
        shankLeanDeg: null,
        trunkLeanDeg: null,
        side: "left",
      },
    ],
    limits: [],
    rows: [{ variationId: "raised-sit-to-stand", side: "left", known: {} }],
    trainsToday: true,
    atHome: [2, 2, 2, 1, 1, 1, 0],
    joint: { toleratedUse: 1, gainPerSession: 0.007, setback: null },
  },
  {
    key: "tord",
    profile: {
      name: "Tord Vinge",
      birthYear: 1964,
      sex: "male",
      goal: "Load the boat trailer without a second thought",
      archivedDay: null,
    },
    complaints: [
      { site: "low-back", side: "both", words: "Low back, after the first lift of the day", usualPainScore: 1, painLimitScore: 2 },
    ],
    conditions: [{ id: "back-spasm", side: "both", day: null }],
    cleared: null,
    findings: [
      { protocol: "bend-response", side: "both", value: 1, daysAgo: 12 },
      { protocol: "chair-stand", side: "both", value: 14, daysAgo: 12, setUp: { seatHeightM: 0.45 } },
    ],
    heightM: 1.83,
    massKg: 88,
    day: [{ name: "trailer edge", kind: "seat", heightM: 0.5 }],
    weeks: 3,
    calmPoses: [
      {
        limitedBy: "low-back",
        variationId: "raised-sit-to-stand",
        setting: { seatHeightM: 0.56 },
        shareFraction: null,
        shankLeanDeg: null,
        trunkLeanDeg: null,
        side: "right",
      },
    ],
    limits: [],
    rows: [{ variationId: "raised-sit-to-stand", side: "right", known: {} }],
    trainsToday: true,
    joint: { toleratedUse: 1.02, gainPerSession: 0.006, setback: null },
  },
];
