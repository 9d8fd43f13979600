import type { Dose } from "../catalogue/variation";
import type { MorningClass } from "./morning";
import type { DecisionReason } from "./decision-reason";
import { shortfall } from "./outcome";
import { isHarder } from "../templates/form";
import type { FitContext, Place } from "../judge/context";
import type { Stepped } from "../progressions/step";
import { byLevers, byVariation, changesBetween, footAt, type LeverChange, treadAfter, watchedOf } from "../progressions/tread";
import { variationById } from "../catalogue/catalogue";
import { known, NOT_MEASURED } from "../known";
import { asksAtOnce, type FloorState, HARMLESS_ENDS } from "../floor/events";

/** Why nothing harder is taken on the floor today, whatever the reason. */
export type BuildRefusal = "warning" | "built-before" | "not-as-planned" | "it-hurt";
/** A build on the floor: by the gate's rule as far as today can tell, or with a reason; or not at all. */
export type FloorBuild = { ok: true; needsReason: DecisionReason | null } | { ok: false; code: BuildRefusal };

/**
 * Whether an item may be made harder in this session. Once a session, never after a warning, after a set that hurt, or
 * where the check-in eased; by the rule where what was done so far is at the goal, clean, with some left, and the last
 * morning was calm.
 */
export function buildOnFloor(asked: {
  state: Pick<FloorState, "checkIn" | "sets" | "moves" | "warnings">;
  itemId: string;
  dose: Dose;
  limitScore: number;
  /** The morning after the last session; null where nobody told it. */
  lastMorning: MorningClass | null;
  isLight: boolean;
}): FloorBuild {
  const { state, itemId, dose, limitScore, lastMorning, isLight } = asked;
  const sets = state.sets.filter((set) => set.itemId === itemId);
  if (state.warnings.length > 0) return { ok: false, code: "warning" };
  if (state.checkIn?.choice !== "as-planned") return { ok: false, code: "not-as-planned" };
  if (sets.some((set) => asksAtOnce(set, limitScore) && !HARMLESS_ENDS.includes(set.endedBy))) return { ok: false, code: "it-hurt" };
  if (state.moves.some(({ by }) => by === "build")) return { ok: false, code: "built-before" };
  const uncounted = state.checkIn.underRelief ? "under-relief" : isLight ? "light-day" : null;
  const today = {
    day: "",
    sets,
    eased: state.moves.some((move) => move.itemId === itemId),
    uncounted,
    morning: lastMorning === null ? NOT_MEASURED : known({ class: lastMorning, newSwelling: false, soreMuscles: false }),
  } as const;
  return { ok: true, needsReason: shortfall(today, { ...dose, setCount: Math.max(1, sets.length) }) };
}

/** Levers that a change by hand moves to the harder side. */
export const harderLevers = (changes: readonly LeverChange[]): LeverChange[] =>
  changes.filter(({ lever, from, to }) => isHarder(lever, to, from));

/** Another place taken by hand, and what it asks beside the one before. */
export function steppedTo(context: FitContext, from: Place, to: Place, dose: Dose): Stepped {
  const below = footAt(context, from);
  const isSame = from.variationId === to.variationId;
  const change = isSame ? byLevers(...changesBetween(from.setting, to.setting)) : byVariation(from.variationId);
  return { tread: treadAfter(context, below, to, change, watchedOf(below.judgement)), dose };
}

const NO_CHANGE = 0.01;
const TAGS = ["knee", "back", "balance"] as const;
/** Whether a place asks more than the one before: by a lever, by the watched joint, or by its row's tags where nothing is compared. */
export function isHarderStep({ tread }: Stepped, from: Place): boolean {
  if (harderLevers(tread.change?.levers ?? []).length > 0) return true;
  if (tread.riserFraction !== null) return tread.riserFraction > NO_CHANGE;
  const [own, before] = [variationById(tread.variationId).tags, variationById(from.variationId).tags];
  return TAGS.some((tag) => own[tag] > before[tag]);
}

/** What a change by hand takes: nothing, a reason, or it is not made today. */
export type HandRule =
  | { code: "free" }
  | { code: "needs-reason"; why: "second-lever" | "not-open" | "too-big" | "not-earned" }
  | { code: "refused"; why: BuildRefusal | "limit" };
/** Easier is always free. Harder goes by the rule of a build; a second lever at once, a step too big or a place that is not open only with a reason. */
export function handRule(stepped: Stepped, from: Place, build: FloorBuild): HandRule {
  const { judgement, change, size } = stepped.tread;
  if (judgement.blocked || !judgement.isPossible) return { code: "refused", why: "limit" };
  if (!isHarderStep(stepped, from)) return { code: "free" };
  if (!build.ok) return { code: "refused", why: build.code };
  if (harderLevers(change?.levers ?? []).length > 1) return { code: "needs-reason", why: "second-lever" };
  if (judgement.state !== "open") return { code: "needs-reason", why: "not-open" };
  if (size === "too-big") return { code: "needs-reason", why: "too-big" };
  return build.needsReason ? { code: "needs-reason", why: "not-earned" } : { code: "free" };
}
