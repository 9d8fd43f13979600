import { isDeepStrictEqual } from "node:util";
import type { EntityManager } from "@mikro-orm/postgresql";
import { isInCatalogue, variationById } from "../core/catalogue/catalogue";
import { type Dose, PATTERNS } from "../core/catalogue/variation";
import type { Day } from "../core/day";
import type { Place } from "../core/judge/context";
import type { Judgement } from "../core/judge/judge";
import type { OpenedItem } from "../core/floor/events";
import type { Side } from "../core/mechanics/channels";
import { currentPlans, type Plan, planInLine } from "../core/record/standing/plans";
import { plannedOf } from "../core/record/standing/history";
import {
  decided,
  type DecisionChosen,
  hardestOf,
  holdsOf,
  judgedPlace,
  mayOpen,
  noteNeeded,
  sameAsStanding,
  warningRefusal,
} from "../core/record/gate/keep";
import { laidOn, type ProgrammeItem, programmeItems } from "../core/record/programme/programme";
import type { ClientRecord, ItemFact, SessionFact } from "../core/record/facts/record";
import { addDecision, addRung, type NewItem, prescribe, startSession } from "../data/repos/plan.repo";
import type { Scope } from "../data/scope";
import { withRecord } from "./with-record";
import { refuse, type Taken } from "../core/outcome";

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
  const standing = sameAsStanding(record, place, { side, line });
  if (standing) return standing.rung.id;
  return addRung(scope, em, record.client.id, {
    ...place,
    pattern: variationById(place.variationId).pattern,
    side,
    line,
    day,
    demands: judgement.demands,
    useFraction: judgement.tightest?.head ?? null,
    bodyMeasureId: record.measures.at(-1)?.id ?? "",
    postureRuleId: record.postures.at(-1)?.id ?? null,
  });
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
    const warned = warningRefusal(record);
    if (warned) return warned;
    const { side, dose, variationId, setting } = choice;
    const found = judgedPlace(record, { variationId, setting }, { side, line: null }, day);
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
    const warned = warningRefusal(record);
    if (warned) return warned;
    const session = record.sessions.find(({ id }) => id === sessionId);
    const item = session?.items.find(({ id }) => id === itemId);
    const planned = item && plannedOf(record, item);
    const moved = session?.moves.findLast((move) => move.itemId === itemId);
    if (!planned || !moved || (moved.by !== "set-up" && moved.by !== "build")) return refuse({ code: "no-such-set" });
    const { side, line } = planned.rung;
    const found = judgedPlace(record, moved.to, { side, line }, day);
    if (!found.ok) return found;
    const needed = noteNeeded(found);
    if (needed && moved.reason === "") return refuse({ code: needed });
    const rungId = await keepPlace(scope, em, record, moved.to, side, found.judgement, day, line);
    await prescribe(scope, em, clientId, { rungId, dose: planned.prescription.dose, day, note: moved.reason });
    return { ok: true };
  });

const orderOf = ({ rung }: Plan): number => PATTERNS.indexOf(rung.pattern);

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
    const found = mayOpen(record, day);
    if (!found.ok) return found;
    if (found.underWayId !== null) return { ok: true, sessionId: found.underWayId };
    const sided = programmeItems(record, day).filter(({ line }) => !leftOut.includes(line));
    if (sided.length === 0) return refuse({ code: "no-plan" });
    const asked: { item: ProgrammeItem; judgement: Judgement }[] = [];
    for (const item of sided) {
      const found = judgedPlace(record, hardestOf(item.place, item.dose), { side: item.side, line: item.ownLine }, day);
      if (!found.ok) return found; // before anything is kept
      asked.push({ item, judgement: found.judgement });
    }
    const items: NewItem[] = [];
    for (const { item, judgement } of asked) items.push(await keptItem(scope, em, record, { ...item, line: item.ownLine }, judgement, day));
    const isLight = laidOn(record, day)?.isLight === true;
    return { ok: true, sessionId: await startSession(scope, em, clientId, { day, isLight, items }) };
  });

/** Today's session: the one under way, or a new one of the plans in force, or of those chosen among them. */
export async function openSession(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  day: Day,
  prescriptionIds: readonly string[] | null = null,
): Promise<Taken<{ sessionId: string }>> {
  await em.execute(`select pg_advisory_xact_lock(hashtextextended(?, 4))`, [clientId]); // of two at once the second finds the first one's
  return withRecord(scope, em, clientId, async (record) => {
    const found = mayOpen(record, day);
    if (!found.ok) return found;
    if (found.underWayId !== null) return { ok: true, sessionId: found.underWayId };
    const plans = currentPlans(record)
      .filter(({ prescription, rung }) => isInCatalogue(rung.variationId) && (prescriptionIds?.includes(prescription.id) ?? true))
      .toSorted((a, b) => orderOf(a) - orderOf(b));
    if (plans.length === 0) return refuse({ code: "no-plan" });
    for (const { rung, prescription } of plans) {
      const found = judgedPlace(record, hardestOf(rung, prescription.dose), rung, day);
      if (!found.ok) return found;
    }
    const items = plans.map(({ prescription }) => ({ prescriptionId: prescription.id }));
    return { ok: true, sessionId: await startSession(scope, em, clientId, { day, items }) };
  });
}

/** A decision about a line of work, by the last item trained in it; where the plan was changed since, it eases what stands now or nothing. */
export const decideItem = (
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { sessionId, itemId, ...chosen }: DecisionChosen & { sessionId: string; itemId: string },
  day: Day,
): Promise<Taken<{ isSuperseded: boolean }>> =>
  withRecord(scope, em, clientId, async (record) => {
    const session = record.sessions.find(({ id }) => id === sessionId);
    const item = session?.items.find(({ id }) => id === itemId);
    return session && item ? decideIn(scope, em, record, session, item, chosen, day) : refuse({ code: "no-such-session" });
  });

async function decideIn(
  scope: Scope,
  em: EntityManager,
  record: ClientRecord,
  session: SessionFact,
  item: ItemFact,
  chosen: DecisionChosen,
  day: Day,
): Promise<Taken<{ isSuperseded: boolean }>> {
  const taken = decided(record, session, item, chosen, day);
  if (!taken.ok) return taken;
  const { found, planned, move, isOverruled, next, judgement, isSuperseded } = taken;
  const { side, line } = planned.rung;
  const place = next && { variationId: next.variationId, setting: next.setting };
  const nextRungId = place && judgement && (await keepPlace(scope, em, record, place, side, judgement, day, line));
  const decisionId = await addDecision(scope, em, record.client.id, {
    sessionId: session.id,
    itemId: item.id,
    prescriptionId: planned.prescription.id,
    day,
    move,
    overruled: isOverruled ? found.decision.move : null,
    rule: found.decision.rule,
    reasons: found.decision.reasons,
    next,
    nextRungId,
    note: chosen.note.trim(),
  });
  if (nextRungId && next) await prescribe(scope, em, record.client.id, { rungId: nextRungId, dose: next.dose, day, decisionId });
  return { ok: true, isSuperseded };
}

/** All exercises of a session that the rules hold, decided in one go; the others wait to be looked at. */
export const decideHolds = (scope: Scope, em: EntityManager, clientId: string, sessionId: string, day: Day): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const session = record.sessions.find(({ id }) => id === sessionId);
    if (!session) return refuse({ code: "no-such-session" });
    for (const item of holdsOf(record, sessionId, day)) {
      const taken = await decideIn(scope, em, record, session, item, { move: null, note: "" }, day);
      if (!taken.ok) return taken;
    }
    return { ok: true };
  });
