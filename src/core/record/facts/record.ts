import type { HomeTold, TaskTold } from "./home-told";
import type { DailyTask, Place } from "../../judge/context";
import type { Finding } from "../../assess/finding";
import type { BodyOverrides, Sex } from "../../body/body";
import type { OwnRow } from "../../catalogue/own";
import type { Dose, Pattern } from "../../catalogue/variation";
import type { FloorSet, FloorState } from "../../floor/events";
import type { Ceiling } from "../../limits/ceiling";
import type { Complaint, LimitedBy } from "../../limits/complaint";
import type { Day } from "../../day";
import type { Limit } from "../../limits/limit";
import type { Demand, Side } from "../../mechanics/channels";
import type { PostureRule } from "../../mechanics/posture";
import type { DecisionMove } from "../../progress/decide";
import type { DecisionReason } from "../../progress/decision-reason";
import type { Morning, MorningClass } from "../../progress/morning";
import type { Clearance, Warning } from "../../progress/warning";
import type { KitItem } from "../../kit/assemble";
import type { SchoolChoice } from "../../approach/approach";
import type { ScreenAnswers } from "../../screen/screen";
import type { Change } from "../../progressions/tread";
import type { TrainingPlan } from "../../session/plan";
import type { Part } from "../../dose/part";
import type { Setting } from "../../templates/lever";

/** Raised whenever a formula changes what a stored number would be. Stored with every computed fact. */
export const ENGINE_VERSION = 3;

/** What a page or a decision needs of one client, oldest first: what counts now, and the last sessions. */
export interface ClientRecord {
  client: ClientProfile;
  /** What was asked before training; a part nobody asked is missing. */
  screen: ScreenAnswers;
  complaints: readonly Complaint[];
  /** The latest alone counts; a calm pose keeps the mass of its own day. */
  measures: readonly MeasureFact[];
  dailyTasks: readonly DailyTask[];
  calmPoses: readonly CalmPoseFact[];
  postures: readonly { id: string; day: Day; rule: PostureRule }[];
  /** What was measured, every time. */
  findings: readonly Finding[];
  /** Those that people set, those that follow from the screen, and the client's own measured ranges. */
  limits: readonly Limit[];
  ceilings: readonly CeilingFact[];
  /** Ceilings that a calm morning confirmed once: they stay so. */
  confirmedCeilingIds: readonly string[];
  rungs: readonly RungFact[];
  /** The latest of each pattern and side, and those of the sessions here. */
  prescriptions: readonly PrescriptionFact[];
  sessions: readonly SessionFact[];
  responses: readonly ResponseFact[];
  decisions: readonly DecisionFact[];
  warnings: readonly Warning[];
  clearances: readonly Clearance[];
  /** How thick one of the studio's cushions is under a client; null until somebody measured one. */
  cushionM: number | null;
  /** What the studio and the client's home have; null where nobody has listed it. */
  studioKit: readonly KitItem[] | null;
  homeKit: readonly KitItem[] | null;
  /** The programme as it was last kept. */
  trainingPlan: TrainingPlan | null;
  /** The studio's own rows, retired ones among them: what was done with them still opens. */
  ownRows: readonly OwnRow[];
  /** What the client did at home and told from their own page, lately; those nobody has looked at count for nothing yet. */
  homeSets: readonly HomeSet[];
  /** How the everyday task of the week went, as the client told it. */
  tasksTold: readonly TaskTold[];
  /** As it was last chosen; null where the house's own holds. */
  school: SchoolChoice | null;
}

/** A body as it was measured on a day. */
export interface MeasureFact {
  id: string;
  day: Day;
  heightM: number;
  massKg: number;
  overrides: BodyOverrides;
}

export interface ClientProfile {
  id: string;
  name: string;
  birthYear: number;
  sex: Sex;
  goal: string;
  archivedDay: Day | null;
}

/** A ceiling as it was set: its calm pose, and how far calm mornings have raised it since. Its value is of that day and engine. */
export interface CeilingFact extends Ceiling {
  calmPoseId: string;
  raisedBy: number;
  /** Why the trainer moved it; empty where nobody did. */
  reason: string;
}

export interface CalmPoseFact {
  id: string;
  day: Day;
  /** The body that did it. */
  massKg: number;
  bellyKg: number;
  side: Side;
  limitedBy: LimitedBy;
  variationId: string;
  setting: Setting;
  shareFraction: number | null;
  shankLeanDeg: number | null;
  trunkLeanDeg: number | null;
}

/** A variation in one set-up, as it was kept: the leg that leads, and what it asked on the day. */
export interface RungFact {
  id: string;
  day: Day;
  pattern: Pattern;
  variationId: string;
  side: Side;
  /** Which place of the programme it stands in; null for what Fit keeps for its pattern. */
  line: string | null;
  setting: Setting;
  demands: readonly Demand[];
  useFraction: number | null;
}

export interface PrescriptionFact {
  id: string;
  day: Day;
  rungId: string;
  dose: Dose;
  note: string;
  /** ISO 8601. */
  at: string;
}

export interface ItemFact {
  id: string;
  prescriptionId: string;
  /** Where it stands in a programme's session; null where there is none. */
  part: Part | null;
  /** Its sets go in turn with those of the item after it. */
  inTurn: boolean;
}
export interface SessionFact extends Omit<FloorState, "sets"> {
  id: string;
  day: Day;
  items: readonly ItemFact[];
  place: "studio" | "home";
  /** A light day between heavy ones: it counts for nothing but itself. */
  isLight: boolean;
  sets: readonly FloorSet[];
}

export interface ResponseFact extends Morning {
  id: string;
  sessionId: string | null;
  day: Day;
  /** Of the complaint that answered worst; null where nothing hurts, and no pain was asked. */
  painScore: number | null;
  usualScore: number | null;
  warningSigns: readonly string[];
  class: MorningClass;
}

export interface DecisionFact {
  id: string;
  /** Who decided, by their id. */
  by: string;
  sessionId: string;
  itemId: string;
  day: Day;
  move: DecisionMove;
  overruled: DecisionMove | null;
  rule: DecisionReason["code"];
  reasons: readonly DecisionReason[];
  change: (Change & { riserFraction: number | null }) | null;
  note: string;
}

/** A set at home as the studio keeps it: what was told, and what stood on the sheet. */
export interface HomeSet extends Omit<Extract<HomeTold, { kind: "set" }>, "kind"> {
  id: string;
  day: Day;
  at: string;
  place: Place;
  dose: Dose;
  /** The trainer has seen it: it counts like a set of the studio's. */
  isLooked: boolean;
}
