import { toCalendarDate, parseAbsolute } from "@internationalized/date";
import type { EntityManager } from "@mikro-orm/postgresql";
import { v5 as uuidFromName } from "uuid";
import type { Day } from "../core/day";
import { once } from "../core/once";
import { judgePlace } from "../core/progressions/tread";
import { fitContextOf } from "../core/record/standing/context";
import type { FloorEventBody } from "../core/floor/events";
import { CONSENT_VERSION, type HomeEntry, type HomeTold } from "../core/record/facts/home-told";
import { homeDay, homeLine, isMorningSettled, lookedAt, morningAfterHome, painsFrom, plannedAtHome } from "../core/record/programme/home";
import type { ClientRecord, HomeSet } from "../core/record/facts/record";
import { HomeEntryRow, HomeLookRow } from "../data/tables/around-entities";
import { appendFloorEvents } from "../data/repos/floor.repo";
import { type NewItem, recordMorning, startSession } from "../data/repos/plan.repo";
import { loadRecord } from "../data/repos/record.repo";
import { audit, type Scope, stamp } from "../data/scope";
import { withRecord } from "./with-record";
import { refuse, type Taken } from "../core/outcome";
import { answerMorning } from "./morning";
import { decideHolds, keptItem } from "./plan";

/** Why an entry from a client's page is not taken; it stays on the phone and may be sent again. */
export type EntryRefusal = "bad-input" | "no-consent" | "not-on-sheet" | "not-asked" | "too-many-today";
/** More than anybody does and tells in a day. */
export const ENTRIES_A_DAY = 200;
export interface EntryVerdict {
  received: string[];
  refused: { id: string; code: EntryRefusal }[];
}

/** The last text a client agreed to; 0 where none. */
export async function consentOf({ studioId }: Scope, em: EntityManager, clientId: string): Promise<number> {
  const [row] = await em.execute<{ version: number }[]>(
    `select coalesce(max((told ->> 'version')::int), 0) as version from home_entry where studio_id = ? and client_id = ? and kind = 'consented'`,
    [studioId, clientId],
  );
  return row?.version ?? 0;
}

/** What came from a client's page in the last days: a phone keeps no longer what it has sent. */
export const toldLately = ({ studioId }: Scope, em: EntityManager, clientId: string): Promise<string[]> =>
  em
    .execute<{ id: string }[]>(
      `select id from home_entry where studio_id = ? and client_id = ? and created_at > now() - interval '4 days'`,
      [studioId, clientId],
    )
    .then((rows) => rows.map(({ id }) => id));

async function toldToday({ studioId }: Scope, em: EntityManager, clientId: string): Promise<number> {
  const [row] = await em.execute<{ count: number }[]>(
    `select count(*)::int as count from home_entry where studio_id = ? and client_id = ? and created_at > now() - interval '24 hours'`,
    [studioId, clientId],
  );
  return row?.count ?? 0;
}

const dayIn = (at: string, timeZone: string, today: Day): Day => {
  const day = toCalendarDate(parseAbsolute(at, timeZone)).toString();
  return day > today ? today : day; // a phone whose clock runs ahead trains nobody tomorrow
};

/**
 * What a client tells from their own page: each entry once, however often it is sent. A warning sign and the morning after
 * count at once; sets count once a trainer has looked.
 */
export async function takeHomeEntries(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  entries: readonly HomeEntry[],
  { today, timeZone }: { today: Day; timeZone: string },
): Promise<EntryVerdict> {
  await em.execute(`select pg_advisory_xact_lock(hashtextextended(?, 2))`, [clientId]); // one phone at a time
  const verdict: EntryVerdict = { received: [], refused: [] };
  const phone: Phone = {
    consent: await consentOf(scope, em, clientId),
    toldCount: await toldToday(scope, em, clientId),
    record: once(() => loadRecord(scope, em, clientId)),
  };
  for (const entry of entries) {
    const code = await takeEntry(scope, em, clientId, phone, entry, dayIn(entry.at, timeZone, today));
    if (code === null) verdict.received.push(entry.id);
    else verdict.refused.push({ id: entry.id, code });
  }
  return verdict;
}

/** What is known of one phone's client while its entries are taken, read once. */
interface Phone {
  consent: number;
  toldCount: number;
  record: () => Promise<ClientRecord | null>;
}

async function takeEntry(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  phone: Phone,
  { id, at, told }: HomeEntry,
  day: Day,
): Promise<EntryRefusal | null> {
  const { studioId } = scope;
  const before = await em.findOne(HomeEntryRow, { studioId, id }, { disableIdentityMap: true });
  if (before) return before.clientId === clientId ? null : "bad-input";
  // who agreed to nothing is asked nothing; a warning sign is heard all the same
  if (told.kind !== "consented" && told.kind !== "sign" && phone.consent < CONSENT_VERSION) return "no-consent";
  // a warning sign is heard however much was told
  if (told.kind !== "sign" && phone.toldCount >= ENTRIES_A_DAY) return "too-many-today";
  let kept: object = told;
  if (told.kind === "set" || told.kind === "morning") {
    const record = await phone.record();
    if (!record) return "bad-input";
    if (told.kind === "set") {
      const planned = plannedAtHome(record, day, told.line, told.side);
      if (!planned) return "not-on-sheet";
      kept = { ...told, place: planned.place, dose: planned.dose };
    } else {
      if (!(await takeMorning(scope, em, record, told, day))) return "bad-input";
      phone.record = once(() => loadRecord(scope, em, clientId)); // it has an answer more
    }
  }
  const { kind, ...rest } = kept as HomeEntry["told"];
  await em.insert(HomeEntryRow, { ...stamp(scope, id), clientId, day, occurredAt: new Date(at), kind, told: rest });
  await audit(scope, em, "told", "home_entry", id);
  if (told.kind === "consented") phone.consent = Math.max(phone.consent, told.version);
  phone.toldCount++;
  return null;
}

/** The morning after as a client says it: the answer to the session before it, where one is asked about. False where a sore place was left out. */
async function takeMorning(
  scope: Scope,
  em: EntityManager,
  record: ClientRecord,
  { answers, newSwelling, signs }: Extract<HomeTold, { kind: "morning" }>,
  day: Day,
): Promise<boolean> {
  const answer = {
    sessionId: homeDay(record, day).asked?.session?.id ?? null,
    pains: painsFrom(record, answers, day),
    newSwelling,
    told: { by: "client" as const },
    warningSigns: signs,
  };
  const taken = await answerMorning(scope, em, record.client.id, answer, day);
  return taken.ok;
}

/**
 * The trainer has looked at what was done at home: each day becomes a session at home, its exercises lines of their own,
 * and goes through the same gate. The answer to the morning after, told for no session, is that session's.
 */
export const lookAtHome = (scope: Scope, em: EntityManager, clientId: string, entryIds: readonly string[], today: Day): Promise<Taken> =>
  withRecord(scope, em, clientId, async (record) => {
    const looked = lookedAt(record.homeSets, entryIds);
    if (looked.length === 0) return refuse({ code: "no-such-set" });
    for (const { day, items } of looked) await sessionAtHome(scope, em, record, day, items, today);
    return { ok: true };
  });

async function sessionAtHome(
  scope: Scope,
  em: EntityManager,
  record: ClientRecord,
  day: Day,
  done: readonly HomeSet[][],
  today: Day,
): Promise<void> {
  const { id: clientId } = record.client;
  const items: (NewItem & { itemId: string; sets: HomeSet[] })[] = [];
  for (const sets of done) {
    const [set] = sets;
    const context = set && fitContextOf(record, today, set.side ?? undefined, "home");
    if (!context) continue;
    const side = set.side ?? context.subject.leadSide;
    const opened = { place: set.place, side, dose: set.dose, line: homeLine(set.line), part: null, inTurn: false };
    const kept = await keptItem(scope, em, record, opened, judgePlace(context, set.place), day);
    items.push({ ...kept, itemId: uuidFromName("item", set.id), sets });
  }
  const sessionId = await startSession(scope, em, clientId, { day, place: "home", items });
  const sets = done.flat();
  const bodies = items.flatMap(({ itemId, sets: own }) => own.flatMap((set) => bodiesOf(itemId, set)));
  const told = [...bodies, { at: sets.at(-1)?.at ?? new Date().toISOString(), name: sessionId, body: { kind: "session-ended" } as const }];
  const events = told.map(({ at, name, body }, sequence) => ({
    id: uuidFromName(name, sessionId),
    deviceId: "home",
    sessionId,
    sequence,
    occurredAt: new Date(at).toISOString(),
    body,
  }));
  await appendFloorEvents(scope, em, events, new Date());
  const answer = morningAfterHome(record, day);
  if (answer && answer.sessionId === null) await recordMorning(scope, em, clientId, { ...answer, warningSigns: [], sessionId });
  const row = { ...stamp(scope), clientId, day, entryIds: sets.map(({ id }) => id), sessionId };
  await em.insert(HomeLookRow, row);
  await audit(scope, em, "looked", "home_look", row.id);
  // small daily doses mostly hold: only what wants a word is left for one
  if (isMorningSettled(record, day, today)) await decideHolds(scope, em, clientId, sessionId, today);
}

function bodiesOf(itemId: string, set: HomeSet): { at: string; name: string; body: FloorEventBody }[] {
  const { id, at, place, repetitions, workedS, painScore, leftInTank, isSharp } = set;
  const ended: FloorEventBody = {
    kind: "set-ended",
    setId: id,
    itemId,
    setting: place.setting,
    repetitions,
    painScore,
    faults: [],
    endedBy: isSharp ? "sharp" : "pain-tap",
    ...(workedS === null ? {} : { workedS }),
  };
  const corrected: FloorEventBody[] = leftInTank === null ? [] : [{ kind: "set-corrected", setId: id, change: { leftInTank } }];
  return [ended, ...corrected].map((body, i) => ({ at, name: `${id} ${i}`, body }));
}
