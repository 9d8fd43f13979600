import { calmSeatRow } from "../catalogue/calm-seat";
import { variationById } from "../catalogue/catalogue";
import type { Day } from "../day";
import { bindingLimits, type Limit } from "../limits/limit";
import { ask, WHOLE } from "../templates/ask";
import { kneeAtSeatDeg, seatAtKneeM, seatRangeM } from "../templates/seat";
import type { Subject } from "../templates/template";
import type { FitReason } from "./fit-reason";
import { limitReasons } from "./limit-reasons";

/** Easy for anybody who can stand: the knee hardly bent. */
const START_KNEE_DEG = 55;
/** So far under a limit the first seat begins. */
const UNDER_LIMIT_DEG = 10;

/**
 * Why no calm seat is looked for at a height: there is no such seat for this body, or a limit of either leg forbids it, for both
 * feet are down. Null where it may be tried.
 */
export function seatRefusal(subject: Subject, limits: readonly Limit[], heightM: number, today: Day): FitReason | null {
  const row = variationById(calmSeatRow(subject, heightM));
  const setting = { seatHeightM: heightM };
  const asked = ask(subject, row, setting, WHOLE);
  if (!asked.ok) return { code: "pose-impossible", reason: asked.reason };
  const bounds = limits.filter(({ rule }) => rule.kind === "most" || rule.kind === "room");
  return limitReasons({ limits: bounds, today, subject }, row, setting, asked, () => [])[0] ?? null;
}

/** Where the looking begins: high, and higher still where a limit bends either knee less. */
export function firstSeatM(subject: Subject, limits: readonly Limit[], today: Day): number {
  const most = Math.min(
    START_KNEE_DEG,
    ...bindingLimits(limits, today).flatMap(({ rule }) =>
      rule.kind === "most" && rule.channel === "kneeFlexion" ? [rule.most - UNDER_LIMIT_DEG] : [],
    ),
  );
  const [, highest] = seatRangeM(subject);
  const height = seatAtKneeM(subject, Math.max(most, kneeAtSeatDeg(subject, highest) ?? most));
  return Math.min(highest, Math.round(height * 100) / 100);
}
