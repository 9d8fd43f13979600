import type { LimitedBy } from "../limits/complaint";
import type { Careful } from "../limits/rails";
import type { Disease } from "../standards/pre-participation";

/** What a client may live with, as far as a rule speaks of it. */
export interface ConditionKind {
  id: string;
  family: "knee" | "foot" | "hip" | "back" | "pregnancy" | "whole";
  isSided: boolean;
  /** The day that starts its clock. */
  dated: "surgery" | "due" | "birth" | null;
  /** Counts as a known disease before exercise. */
  disease?: Disease;
  careful?: Careful;
  /** The joint it names: measured before anything that loads it is open, as one that hurts is. */
  joint?: LimitedBy;
}
const kind = (family: ConditionKind["family"], id: string, more: Partial<Omit<ConditionKind, "family" | "id">> = {}): ConditionKind => ({
  id,
  family,
  isSided: family === "knee" || family === "foot" || family === "hip",
  dated: null,
  ...more,
});

/** Source of the families and their phases: common practice, no source; the three diseases: Riebe 2015. */
export const CONDITION_KINDS: readonly ConditionKind[] = [
  kind("knee", "knee-arthritis", { joint: "knee" }),
  kind("knee", "knee-inflammatory", { joint: "knee" }),
  kind("knee", "kneecap-pain", { joint: "kneecap" }),
  kind("knee", "knee-replacement", { dated: "surgery", joint: "knee" }),
  kind("knee", "ligament-repair", { dated: "surgery", joint: "knee" }),
  kind("knee", "knee-tendon", { joint: "knee" }),
  kind("foot", "sprains"),
  kind("hip", "hip-arthritis", { joint: "hip" }),
  kind("hip", "side-hip", { joint: "hip" }),
  kind("hip", "tight-hip"),
  kind("hip", "hip-replacement", { dated: "surgery", joint: "hip" }),
  kind("back", "back-bend", { careful: "back", joint: "low-back" }),
  kind("back", "back-disc", { careful: "back", joint: "low-back" }),
  kind("back", "nerve-signs", { careful: "back", joint: "low-back" }),
  kind("back", "back-arch", { careful: "back", joint: "low-back" }),
  kind("back", "back-spasm", { careful: "back", joint: "low-back" }),
  kind("pregnancy", "pregnancy", { dated: "due", careful: "pregnancy" }),
  kind("pregnancy", "after-birth", { dated: "birth" }),
  kind("whole", "bone-thinning", { careful: "bone-thinning" }),
  kind("whole", "heart", { disease: "cardiovascular" }),
  kind("whole", "blood-pressure"),
  kind("whole", "diabetes", { disease: "metabolic" }),
  kind("whole", "kidney", { disease: "renal" }),
  kind("whole", "heart-rate-medicine"),
  kind("whole", "falls"),
  kind("whole", "shoulder-or-grip"),
];
export const CONDITION_IDS = CONDITION_KINDS.map(({ id }) => id);
