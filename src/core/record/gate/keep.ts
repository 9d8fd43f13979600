import { type Finding, isUnlikely, protocolOf, sidesOf } from "../../assess/finding";
import { closedBy } from "../../assess/pick";
import { calmSeatRow } from "../../catalogue/calm-seat";
import { isInCatalogue, variationById } from "../../catalogue/catalogue";
import type { Dose } from "../../catalogue/variation";
import type { Day } from "../../day";
import { seatRefusal } from "../../judge/calm-seat";
import type { Place } from "../../judge/context";
import type { FitReason } from "../../judge/fit-reason";
import type { Judgement } from "../../judge/judge";
import { askedOn, footAt, judgePlace, watchedOf } from "../../progressions/tread";
import type { Limit } from "../../limits/limit";
import type { Side } from "../../mechanics/channels";
import { type DecisionMove, type Next, nextOf, overruleRefusal } from "../../progress/decide";
import { screenGate, type ScreenQuestion } from "../../screen/screen";
import { rulesOf, type TrainingPlan } from "../../session/plan";
import { settingProblems } from "../../templates/form";
import { isSameSetting } from "../../templates/lever";
import type { Subject } from "../../templates/template";
import { refusalOn } from "../../week/week";
import { decisionFor } from "./decision";
import { isCoveredByNewer, undecidedItems } from "./undecided";
import { openWarningsOf, plannedOf, trainedDays } from "../standing/history";
import { type Plan, planInLine } from "../standing/plans";
import { fitContextOf } from "../standing/context";
import type { ClientRecord, ItemFact, SessionFact } from "../facts/record";
import { schoolIn } from "../standing/approach";

/** Why something may not be kept, opened or decided; numbers in SI, sentences in src/words. */
export type KeepRefusal =
  | { code: "no-such-protocol" | "value-unlikely" | "screen-before-effort" | "too-early-for-one-leg" }
  | { code: "value-out-of-range"; min: number; max: number }
  | { code: "day-wrong"; condition: string; problem: string }
  | { code: "no-body" | "no-plan" | "retired" | "already-decided" | "newer-first" | "no-such-session" }
  | { code: "unknown-lever"; lever: string; name?: string }
  | { code: "setting-out-of-range"; lever: string; min: number; max: number; name?: string }
  | { code: "pose-impossible"; reason: string; name?: string }
  /** It is not allowed: which exercise, what it would come to, and the limit with its owner and its end, as far as they are known. */
  | { code: "forbidden"; name: string | null; forbids: FitReason | null; limit: Limit | null }
  | { code: "warning-open"; day: Day; sign: string }
  | { code: "screen-missing"; missing: readonly ScreenQuestion[] }
  | { code: "refer-first"; because: readonly string[] }
  | { code: "rest-broken"; day: Day }
  | { code: "overrule-refused"; reason: string };
export type Kept<T = object> = ({ ok: true } & T) | { ok: false; refusal: KeepRefusal };
const no = (refusal: KeepRefusal): { ok: false; refusal: KeepRefusal } => ({ ok: false, refusal });

/** A place as it would stand, read today. */
export interface Judged {
  judgement: Judgement;
  /** It asks clearly more of the watched joint than the rung in force. */
  isHarder: boolean;
}
/** Where a place is to stand: on this side, in this line of work (null: the pattern's own). */
export interface Standing {
  side: Side;
  line: string | null;
}
/** What forbids something, with the limit it comes from. */
function forbiddenBy({ limits }: Pick<ClientRecord, "limits">, because: FitReason, name: string): KeepRefusal {
  const limit = "limitId" in because ? limits.find(({ id }) => id === because.limitId) : undefined;
  return { code: "forbidden", name, forbids: because, limit: limit ?? null };
}
/** A change smaller than this is none: kits and bodies are not known better. */
const NO_CHANGE = 0.01;

/** Judges a place as it would be kept: the figures of a page are not taken on trust. A limit is never passed. */
export function judgedPlace(record: ClientRecord, place: Place, { side, line }: Standing, day: Day): Kept<Judged> {
  const context = fitContextOf(record, day, side);
  if (!context) return no({ code: "no-body" });
  if (!isInCatalogue(place.variationId)) return no({ code: "retired" });
  const variation = variationById(place.variationId);
  const { name } = variation; // one of many is refused by its name
  const [wrong] = settingProblems(context.subject, variation, place.setting);
  if (wrong) return no(wrong.code === "unknown-lever" ? { ...wrong, name } : { ...wrong, code: "setting-out-of-range", name });
  const judgement = judgePlace(context, place);
  const [because] = judgement.reasons; // what forbids stands first
  if (!judgement.isPossible)
    return no({ code: "pose-impossible", reason: because.code === "pose-impossible" ? because.reason : because.code, name });
  if (judgement.blocked) return no(forbiddenBy(record, because, name));
  const standing = planInLine(record, { pattern: variation.pattern, side, line });
  const now = standing && footAt(context, standing.rung).judgement;
  const watched = now && watchedOf(now);
  const riser = watched ? askedOn(judgement, watched) / askedOn(now, watched) - 1 : 0;
  return { ok: true, judgement, isHarder: riser > NO_CHANGE };
}

/** What must be said before a place may be kept by hand: past a ceiling, where nothing was measured, or past the gate. */
export function noteNeeded({ judgement, isHarder }: Judged): "closed-needs-note" | "not-measured-needs-note" | "gate-needs-note" | null {
  if (judgement.state === "closed") return "closed-needs-note";
  if (judgement.state === "not-measured") return "not-measured-needs-note";
  return isHarder ? "gate-needs-note" : null;
}

/** The warning sign that stops all planning until somebody with the right role clears it. */
export function warningRefusal(record: Pick<ClientRecord, "warnings" | "clearances">): { ok: false; refusal: KeepRefusal } | null {
  const [warning] = openWarningsOf(record);
  return warning ? no({ code: "warning-open", day: warning.day, sign: warning.sign }) : null;
}

/** Whether a session may be opened today, and the one that is under way already. */
export function mayOpen(record: ClientRecord, day: Day): Kept<{ underWayId: string | null }> {
  const warned = warningRefusal(record);
  if (warned) return warned;
  const gate = screenGate(record.screen, day, []);
  if (gate.state === "missing") return no({ code: "screen-missing", missing: gate.missing });
  if (gate.state !== "open") return no({ code: "refer-first", because: gate.because });
  return { ok: true, underWayId: record.sessions.findLast((session) => session.day === day && session.endedAt === null)?.id ?? null };
}

/** Of mixed sets the hardest is what counts. */
export const hardestOf = ({ variationId, setting }: Place, { mixed }: Dose): Place => ({ variationId, setting: mixed?.setting ?? setting });

/** The plan that this place is already, word for word; null where keeping it would be something new. */
export const sameAsStanding = (record: ClientRecord, place: Place, { side, line }: Standing): Plan | null => {
  const standing = planInLine(record, { pattern: variationById(place.variationId).pattern, side, line });
  return standing?.rung.variationId === place.variationId && isSameSetting(standing.rung.setting, place.setting) ? standing : null;
};

/** Why a programme may not be kept: a warning, what a limit forbids on the side that trains it, or a day that breaks its rest. */
export function programmeRefusal(
  record: ClientRecord,
  plan: Omit<TrainingPlan, "day" | "sequence" | "keptAt">,
  today: Day,
): KeepRefusal | null {
  const warned = warningRefusal(record);
  if (warned) return warned.refusal;
  const lead = fitContextOf(record, today)?.subject.leadSide;
  if (!lead) return { code: "no-body" };
  for (const item of plan.items) {
    const sides = item.sides.length > 0 ? item.sides : [{ side: lead }];
    for (const own of sides) {
      const place = ("place" in own ? own.place : undefined) ?? item;
      const found = judgedPlace(record, hardestOf(place, item.dose), { side: own.side, line: null }, today);
      if (!found.ok) return found.refusal;
    }
  }
  const doneDays = trainedDays(record);
  const rules = rulesOf(plan, schoolIn(record), doneDays);
  const coming = plan.laid.filter(({ day }) => day >= today && !doneDays.includes(day));
  const wrong = coming.find((each) => refusalOn(each.day, each, coming, rules) !== null);
  return wrong ? { code: "rest-broken", day: wrong.day } : null;
}

/** What the trainer decided about one item: the rules' own move, or another with a note. */
export interface DecisionChosen {
  /** Null takes whatever the rules say. */
  move: DecisionMove | null;
  /** An ease by two steps, as after sharp pain. */
  isMore?: boolean;
  note: string;
}
export interface Decided {
  found: NonNullable<ReturnType<typeof decisionFor>>;
  planned: NonNullable<ReturnType<typeof plannedOf>>;
  move: DecisionMove;
  isOverruled: boolean;
  /** What is trained next; null where nothing changes. */
  next: Next | null;
  /** Of what comes next. */
  judgement: Judgement | null;
  /** The plan was changed since, so that nothing follows from this. */
  isSuperseded: boolean;
}

/** Where another move than the rules' would lead. */
function nextFor({ decision, input }: Decided["found"], move: DecisionMove, isMore: boolean): Next | null {
  if (move === "ease" && isMore) return input.easeTwice && nextOf(input.easeTwice.tread, input.easeTwice.dose);
  if (move === decision.move) return decision.next;
  if (move === "build") return input.build && nextOf(input.build.tread, input.build.dose);
  if (move === "ease") return input.ease && nextOf(input.ease.tread, input.ease.dose);
  return null;
}

/** What a decision about one item comes to: once, newest first, and by hand only with a reason and never past a limit. */
export function decided(
  record: ClientRecord,
  session: SessionFact,
  item: ItemFact,
  { isMore = false, note, ...chosen }: DecisionChosen,
  day: Day,
): Kept<Decided> {
  if (record.decisions.some((decision) => decision.itemId === item.id)) return no({ code: "already-decided" });
  if (isCoveredByNewer(record, item)) return no({ code: "newer-first" });
  const [found, planned] = [decisionFor(record, session, item, day), plannedOf(record, item)];
  if (!found || !planned) return no({ code: "no-plan" });
  const move = chosen.move ?? found.decision.move;
  const isOverruled = move !== found.decision.move || isMore;
  const next = nextFor(found, move, isMore);
  const { side, line } = planned.rung;
  // what would be trained next: holding against the rules keeps the rung as it stands
  const current = planInLine(record, planned.rung) ?? planned;
  const kept = next ?? (isOverruled && move === "hold" ? { ...current.rung, dose: current.prescription.dose } : null);
  const place = kept && judgedPlace(record, hardestOf(kept, kept.dose), { side, line }, day);
  if (isOverruled) {
    const isBlocked = place !== null && !place.ok && place.refusal.code === "forbidden";
    const refusal = overruleRefusal(found.decision, move, isBlocked, next, note);
    if (refusal) return no({ code: "overrule-refused", reason: refusal.code });
  }
  if (place && !place.ok) return place;
  return {
    ok: true,
    found,
    planned,
    move,
    isOverruled,
    next,
    judgement: place && place.judgement,
    isSuperseded: found.input.isPlanChanged && next === null,
  };
}

/** The exercises of a session that the rules hold: they are decided in one go, and the others wait to be looked at. */
export const holdsOf = (record: ClientRecord, sessionId: string, day: Day): ItemFact[] =>
  undecidedItems(record).flatMap(({ session, item }) =>
    session.id === sessionId && decisionFor(record, session, item, day)?.decision.move === "hold" ? [item] : [],
  );

const COUNTED_WHOLE: readonly string[] = ["count", "score", "choice"];
const CLOSED_CODE = { gate: "screen-before-effort", phase: "too-early-for-one-leg" } as const;

/**
 * Why a result is not kept, or null: a value that cannot be, one that is hardly believed until it is confirmed, anything
 * that tires before the questions on Screen are answered, anything that a limit forbids.
 */
export function findingRefusal(
  record: ClientRecord,
  { protocol: id, side, value, day }: Pick<Finding, "protocol" | "side" | "value" | "day">,
  isConfirmed: boolean,
  today: Day,
): KeepRefusal | null {
  const protocol = protocolOf(id);
  if (!protocol || !sidesOf(protocol).includes(side)) return { code: "no-such-protocol" };
  const { min, max, quantity } = protocol;
  if (!(value >= min && value <= max) || (COUNTED_WHOLE.includes(quantity) && !Number.isInteger(value)))
    return { code: "value-out-of-range", min, max };
  if (day > today) return { code: "day-wrong", condition: "finding", problem: "day.future" };
  const signs = openWarningsOf(record).map(({ sign }) => sign);
  const { screen, limits } = record;
  const closed = closedBy(protocol, { gate: screenGate(screen, today, signs).state, limits, screen, today });
  if (closed?.by === "limit") return { code: "forbidden", name: null, forbids: null, limit: closed.limit };
  if (closed) return { code: CLOSED_CODE[closed.by] };
  return !isConfirmed && isUnlikely(protocol, value) ? { code: "value-unlikely" } : null;
}

/** Why a seat may not be this side's calm one, or null. */
export function calmSeatRefusal(record: ClientRecord, subject: Subject, heightM: number, today: Day): KeepRefusal | null {
  const because = seatRefusal(subject, record.limits, heightM, today);
  if (!because) return null;
  if (because.code === "pose-impossible") return because;
  return forbiddenBy(record, because, variationById(calmSeatRow(subject, heightM)).name);
}
