import type { Dose, Setting } from "../catalogue/variation";
import type { FloorSet, FloorState } from "../floor/events";
import type { BodyOverrides, Sex } from "../body/body";
import type { DailyTask } from "../fit/daily";
import type { Ceiling, LimitedBy } from "../limits/ceiling";
import type { Day, Limit } from "../limits/limit";
import type { ChannelDemand, Side } from "../mechanics/channels";
import type { PostureRule } from "../mechanics/posture";
import type { DecisionMove, DecisionReason } from "../progress/decide";
import type { MorningClass } from "../progress/morning";
import type { Step } from "../fit/stair";

/** Raised whenever a formula changes what a stored number would be. Stored with every computed fact. */
export const ENGINE_VERSION = 1;

/** Everything known of one client, oldest first: what pages and decisions are derived from. */
export interface ClientRecord {
  client: ClientProfile;
  measures: readonly MeasureFact[];
  dailyTasks: readonly DailyTask[];
  calmPoses: readonly CalmPoseFact[];
  postures: readonly { id: string; day: Day; rule: PostureRule }[];
  limits: readonly Limit[];
  ceilings: readonly Ceiling[];
  rungs: readonly RungFact[];
  prescriptions: readonly PrescriptionFact[];
  sessions: readonly SessionFact[];
  responses: readonly ResponseFact[];
  decisions: readonly DecisionFact[];
  clearances: readonly { id: string; day: Day; by: string; role: string; note: string }[];
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
  complaint: string;
  side: Side;
  baselinePainScore: number;
  painLimitScore: number;
}

/** A client as one line of the studio's list. */
export interface ClientLine extends Pick<ClientProfile, "id" | "name" | "birthYear" | "complaint" | "goal"> {
  lastSessionDay: Day | null;
  lastResponse: MorningClass | null;
}

export interface CalmPoseFact {
  id: string;
  day: Day;
  side: Side;
  limitedBy: LimitedBy;
  variationId: string;
  setting: Setting;
  shareFraction: number | null;
  shankLeanDeg: number | null;
  trunkLeanDeg: number | null;
}

export interface RungFact {
  id: string;
  day: Day;
  variationId: string;
  setting: Setting;
  demands: readonly ChannelDemand[];
  useFraction: number | null;
}

export interface PrescriptionFact {
  id: string;
  day: Day;
  rungId: string;
  dose: Dose;
}

export interface SessionFact extends Omit<FloorState, "sets"> {
  id: string;
  day: Day;
  items: readonly { id: string; prescriptionId: string }[];
  sets: readonly FloorSet[];
}

export interface ResponseFact {
  id: string;
  sessionId: string | null;
  day: Day;
  painScore: number;
  newSwelling: boolean;
  warningSigns: readonly string[];
  usualScore: number;
  class: MorningClass;
}

export interface DecisionFact {
  id: string;
  sessionId: string;
  day: Day;
  move: DecisionMove;
  overruled: DecisionMove | null;
  rule: DecisionReason["code"];
  reasons: readonly DecisionReason[];
  step: Pick<Step, "lever" | "from" | "to" | "riserFraction"> | null;
  note: string;
}
