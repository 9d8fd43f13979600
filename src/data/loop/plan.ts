import { isDeepStrictEqual } from "node:util";
import type { EntityManager } from "@mikro-orm/postgresql";
import { isInCatalogue, variationById } from "../../core/catalogue/catalogue";
import { type Dose, PATTERNS } from "../../core/catalogue/variation";
import type { Place } from "../../core/fit/context";
import { askedOn, footAt, judgePlace, watchedOf } from "../../core/fit/tread";
import type { Judgement } from "../../core/fit/judge";
import type { Day } from "../../core/day";
import type { Side } from "../../core/mechanics/channels";
import { type DecisionMove, type Next, nextOf, overruleRefusal } from "../../core/progress/decide";
import {
  currentPlans,
  decisionFor,
  fitContextOf,
  openWarningsOf,
  type Plan,
  planInLine,
  undecidedItems,
  isCoveredByNewer,
} from "../../core/record/derive";
import { plannedOf } from "../../core/record/history";
import type { ClientRecord } from "../../core/record/record";
import type { OpenedItem } from "../../core/floor/events";
import { screenGate } from "../../core/screen/screen";
import { settingProblems } from "../../core/templates/form";
import { isSameSetting } from "../../core/templates/lever";
import { laidOn, type ProgrammeItem, programmeItems } from "../../core/record/programme";
import { addDecision, addRung, type NewItem, prescribe, startSession } from "../repos/plan.repo";
import type { Scope } from "../scope";
import { refuse, type Taken, withRecord } from "./load";

interface Judged {
  judgement: Judgement;
  /** It asks clearly more of the watched joint than the rung in force. */
  isHarder: boolean;
}
/** A change smaller than this is none: kits and bodies are not known better. */
const NO_CHANGE = 0.01;

/** Judges a place again here: the page's own figures are not taken on trust. */
function judged(record: ClientRecord, place: Place, side: Side, day: Day, line: string | null = null): Taken<Judged> {
  const context = fitContextOf(record, day, side);
  if (!context) return refuse({ code: "no-body" });
  const variation = variationById(place.variationId);
  if (!isInCatalogue(place.variationId)) return refuse({ code: "retired" });
  const [wrong] = settingProblems(context.subject, variation, place.setting);
  if (wrong) return refuse(wrong.code === "unknown-lever" ? wrong : { ...wrong, code: "setting-out-of-range" });
  const judgement = judgePlace(context, place);
  if (!judgement.isPossible) {
    const [reason] = judgement.reasons;
    return refuse({ code: "pose-impossible", reason: reason.code === "pose-impossible" ? reason.reason : reason.code });
  }
  if (judgement.blocked) return refuse({ code: "blocked-by-limit" });
  const standing = planInLine(record, { pattern: variation.pattern, side, line });
  const now = standing && footAt(context, standing.rung).judgement;
  const watched = now && watchedOf(now);
  const riser = watched ? askedOn(judgement, watched) / askedOn(now, watched) - 1 : 0;
  return { ok: true, judgement, isHarder: riser > NO_CHANGE };
}

/** Keeps a rung with what it asks today; the one in force is kept on, so that its sessions go on counting. */
async function keepPlace(
  scope: Scope,
  em: EntityManager,
  record: ClientRecord,
  place: Place,
  side: Side,
  judgement: Judgement,
  day: Day,
  line: string | null = null,
): Promise<string> {
  const { pattern } = variationById(place.variationId);
  const standing = planInLine(record, { pattern, side, line })?.rung;
  if (standing?.variationId === place.variationId && isSameSetting(standing.setting, place.setting)) return standing.id;
  return addRung(scope, em, record.client.id, {
    ...place,
    pattern,
    side,
    line,
    day,
    demands: judgement.demands,
    useFraction: judgement.tightest?.head ?? null,
    bodyMeasureId: record.measures.at(-1)?.id ?? "",
    postureRuleId: record.postures.at(-1)?.id ?? null,
  });
}

/** What must be said before a place may be kept by hand: past a ceiling, where nothing was measured, or past the gate. */
function noteNeeded({ judgement, isHarder }: Judged): "closed-needs-note" | "not-measured-needs-note" | "gate-needs-note" | null {
  if (judgement.state === "closed") return "closed-needs-note";
  if (judgement.state === "not-measured") return "not-measured-needs-note";
  return isHarder ? "gate-needs-note" : null;
}

/** Keep: the chosen rung and dose become the plan of their pattern and side. Past a ceiling or the gate only with a reason; past a limit never. */
export const keepRung = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  choice: Place & { side: Side; dose: Dose; note: string },
  day: Day,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const [warning] = openWarningsOf(record);
    if (warning) return refuse({ code: "warning-open", day: warning.day });
    const { side, dose, variationId, setting } = choice;
    const found = judged(record, { variationId, setting }, side, day);
    if (!found.ok) return found;
    const note = choice.note.trim();
    const needed = noteNeeded(found);
    if (needed && note === "") return refuse({ code: needed });
    const rungId = await keepPlace(scope, em, record, { variationId, setting }, side, found.judgement, day);
    await prescribe(scope, em, clientId, { rungId, dose, day, note });
    return { ok: true };
  });

/**
 * A set-up that was put by hand or built on the floor, kept as the place to begin from next time, in the line its exercise stands
 * in. It is judged again here; harder than what stands only with the reason that was given on the floor.
 */
export const rememberSetUp = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { sessionId, itemId }: { sessionId: string; itemId: string },
  day: Day,
): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const [warning] = openWarningsOf(record);
    if (warning) return refuse({ code: "warning-open", day: warning.day });
    const session = record.sessions.find(({ id }) => id === sessionId);
    const item = session?.items.find(({ id }) => id === itemId);
    const planned = item && plannedOf(record, item);
    const moved = session?.moves.findLast((move) => move.itemId === itemId);
    if (!planned || !moved || (moved.by !== "set-up" && moved.by !== "build")) return refuse({ code: "no-such-set" });
    const { side, line } = planned.rung;
    const found = judged(record, moved.to, side, day, line);
    if (!found.ok) return found;
    const needed = noteNeeded(found);
    if (needed && moved.reason === "") return refuse({ code: needed });
    const rungId = await keepPlace(scope, em, record, moved.to, side, found.judgement, day, line);
    await prescribe(scope, em, clientId, { rungId, dose: planned.prescription.dose, day, note: moved.reason });
    return { ok: true };
  });

/** Of mixed sets the hardest is what counts. */
const placeOf = ({ variationId, setting }: Place, { mixed }: Dose): Place => ({ variationId, setting: mixed?.setting ?? setting });

const orderOf = ({ rung }: Plan): number => PATTERNS.indexOf(rung.pattern);

/** What keeps a session from being opened today, or the one that is under way. */
function underWayOf(record: ClientRecord, day: Day): Taken<{ sessionId: string | null }> {
  const [warning] = openWarningsOf(record);
  if (warning) return refuse({ code: "warning-open", day: warning.day });
  const gate = screenGate(record.screen, day, []);
  if (gate.state === "missing") return refuse({ code: "screen-missing", missing: gate.missing });
  if (gate.state !== "open") return refuse({ code: "refer-first", because: gate.because });
  return { ok: true, sessionId: record.sessions.findLast((session) => session.day === day && session.endedAt === null)?.id ?? null };
}
const isForbidden = (found: Taken<Judged>): boolean => !found.ok && found.refusal.code === "blocked-by-limit";

/** An item of a session: its place kept and prescribed anew, unless it stands so already. */
export async function keptItem(
  scope: Scope,
  em: EntityManager,
  record: ClientRecord,
  { place, side, dose, line, part, inTurn }: Omit<OpenedItem, "itemId">,
  judgement: Judgement,
  day: Day,
): Promise<NewItem> {
  const rungId = await keepPlace(scope, em, record, place, side, judgement, day, line);
  const standing = planInLine(record, { pattern: variationById(place.variationId).pattern, side, line });
  const isSame = standing?.rung.id === rungId && isDeepStrictEqual(standing.prescription.dose, dose);
  const prescriptionId = isSame ? standing.prescription.id : await prescribe(scope, em, record.client.id, { rungId, dose, day });
  return { prescriptionId, part, inTurn };
}

/**
 * The session of the programme as it stands today: every open item that was not left out, each side by its own log. A
 * place nobody kept before is kept now; a limit closes it as it closes any other.
 */
export const openProgramme = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  day: Day,
  leftOut: readonly string[] = [],
): Promise<Taken<{ sessionId: string }>> =>
  withRecord(scope, em, clientId, async (record) => {
    const found = underWayOf(record, day);
    if (!found.ok) return found;
    if (found.sessionId !== null) return { ok: true, sessionId: found.sessionId };
    const sided = programmeItems(record, day).filter(({ line }) => !leftOut.includes(line));
    if (sided.length === 0) return refuse({ code: "no-plan" });
    const asked: { item: ProgrammeItem; judgement: Judgement }[] = [];
    for (const item of sided) {
      const found = judged(record, placeOf(item.place, item.dose), item.side, day, item.ownLine);
      if (isForbidden(found)) return refuse({ code: "plan-forbidden", name: variationById(item.place.variationId).name });
      if (!found.ok) return found; // before anything is kept
      asked.push({ item, judgement: found.judgement });
    }
    const items: NewItem[] = [];
    for (const { item, judgement } of asked) items.push(await keptItem(scope, em, record, { ...item, line: item.ownLine }, judgement, day));
    const isLight = laidOn(record, day)?.isLight === true;
    return { ok: true, sessionId: await startSession(scope, em, clientId, { day, isLight, items }) };
  });

/** Today's session: the one under way, or a new one of the plans in force, or of those chosen among them. */
export const openSession = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  day: Day,
  prescriptionIds: readonly string[] | null = null,
): Promise<Taken<{ sessionId: string }>> =>
  withRecord(scope, em, clientId, async (record) => {
    const found = underWayOf(record, day);
    if (!found.ok) return found;
    if (found.sessionId !== null) return { ok: true, sessionId: found.sessionId };
    const plans = currentPlans(record)
      .filter(({ prescription, rung }) => isInCatalogue(rung.variationId) && (prescriptionIds?.includes(prescription.id) ?? true))
      .toSorted((a, b) => orderOf(a) - orderOf(b));
    if (plans.length === 0) return refuse({ code: "no-plan" });
    for (const { rung, prescription } of plans) {
      if (isForbidden(judged(record, placeOf(rung, prescription.dose), rung.side, day)))
        return refuse({ code: "plan-forbidden", name: variationById(rung.variationId).name });
    }
    const items = plans.map(({ prescription }) => ({ prescriptionId: prescription.id }));
    return { ok: true, sessionId: await startSession(scope, em, clientId, { day, items }) };
  });

/** What the trainer decided about one item: the rules' own move, or another with a note. */
export interface DecisionChoice {
  sessionId: string;
  itemId: string;
  /** Null takes whatever the rules say. */
  move: DecisionMove | null;
  /** An ease by two steps, as after sharp pain. */
  isMore?: boolean;
  note: string;
}

/** Where another move than the rules' would lead. */
function nextFor(found: NonNullable<ReturnType<typeof decisionFor>>, move: DecisionMove, isMore: boolean): Next | null {
  const { decision, input } = found;
  if (move === "ease" && isMore) return input.easeTwice && nextOf(input.easeTwice.tread, input.easeTwice.dose);
  if (move === decision.move) return decision.next;
  if (move === "build") return input.build && nextOf(input.build.tread, input.build.dose);
  if (move === "ease") return input.ease && nextOf(input.ease.tread, input.ease.dose);
  return null;
}

/** A decision about a line of work, by the last item trained in it; where the plan was changed since, it eases what stands now or nothing. */
export const decideItem = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  choice: DecisionChoice,
  day: Day,
): Promise<Taken<{ isSuperseded: boolean }>> => withRecord(scope, em, clientId, (record) => decideIn(scope, em, record, choice, day));

async function decideIn(
  scope: Scope,
  em: EntityManager,
  record: ClientRecord,
  { sessionId, itemId, move: chosen, isMore = false, note }: DecisionChoice,
  day: Day,
): Promise<Taken<{ isSuperseded: boolean }>> {
  const session = record.sessions.find(({ id }) => id === sessionId);
  const item = session?.items.find(({ id }) => id === itemId);
  if (!session || !item) return refuse({ code: "no-such-session" });
  if (record.decisions.some((decision) => decision.itemId === itemId)) return refuse({ code: "already-decided" });
  if (isCoveredByNewer(record, item)) return refuse({ code: "newer-first" });
  const [found, planned] = [decisionFor(record, session, item, day), plannedOf(record, item)];
  if (!found || !planned) return refuse({ code: "no-plan" });
  const { decision } = found;
  const move = chosen ?? decision.move;
  const overruled = move !== decision.move || isMore;
  const next = nextFor(found, move, isMore);
  const { side, line } = planned.rung;
  // what would be trained next: holding against the rules keeps the rung as it stands
  const current = planInLine(record, planned.rung) ?? planned;
  const standing = { ...current.rung, dose: current.prescription.dose };
  const kept = next ?? (overruled && move === "hold" ? standing : null);
  const place = kept && judged(record, placeOf(kept, kept.dose), side, day, line);
  if (overruled) {
    const isBlocked = place !== null && !place.ok && place.refusal.code === "blocked-by-limit";
    const refusal = overruleRefusal(decision, move, isBlocked, next, note);
    if (refusal) return refuse({ code: "overrule-refused", reason: refusal.code });
  }
  if (place && !place.ok) return place;
  const isSuperseded = found.input.isPlanChanged && next === null;
  const nextRungId =
    next && place
      ? await keepPlace(scope, em, record, { variationId: next.variationId, setting: next.setting }, side, place.judgement, day, line)
      : null;
  const decisionId = await addDecision(scope, em, record.client.id, {
    sessionId,
    itemId,
    prescriptionId: planned.prescription.id,
    day,
    move,
    overruled: overruled ? decision.move : null,
    rule: decision.rule,
    reasons: decision.reasons,
    next,
    nextRungId,
    note: note.trim(),
  });
  if (nextRungId && next) await prescribe(scope, em, record.client.id, { rungId: nextRungId, dose: next.dose, day, decisionId });
  return { ok: true, isSuperseded };
}

/** All exercises of a session that the rules hold, decided in one go; the others wait to be looked at. */
export const decideHolds = (scope: Scope, em: EntityManager, clientId: string, sessionId: string, day: Day): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const session = record.sessions.find(({ id }) => id === sessionId);
    if (!session) return refuse({ code: "no-such-session" });
    for (const { session: of, item } of undecidedItems(record)) {
      if (of.id !== sessionId || decisionFor(record, session, item, day)?.decision.move !== "hold") continue;
      const taken = await decideIn(scope, em, record, { sessionId, itemId: item.id, move: null, note: "" }, day);
      if (!taken.ok) return taken;
    }
    return { ok: true };
  });
