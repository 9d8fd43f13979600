import type { EntityManager } from "@mikro-orm/postgresql";
import type { Finding } from "../../core/assess/finding";
import type { SchoolChoice } from "../../core/approach/approach";
import type { DailyTask } from "../../core/judge/context";
import type { CeilingDraft } from "../../core/limits/ceiling";
import type { Complaint } from "../../core/limits/complaint";
import type { Day } from "../../core/day";
import type { Limit } from "../../core/limits/limit";
import type { PostureRule } from "../../core/mechanics/posture";
import type { Clearance } from "../../core/progress/warning";
import { ruleLimits, type ScreenAnswers } from "../../core/screen/screen";
import { type CalmPoseFact, type CeilingFact, type ClientProfile, ENGINE_VERSION, type MeasureFact } from "../../core/record/facts/record";
import type { ClientLine } from "../../core/studio/client-line";
import {
  BodyMeasureRow,
  CalmPoseRow,
  CeilingConfirmationRow,
  CeilingRow,
  ClientRevisionRow,
  ClientRow,
  ComplaintRow,
  DailyHeightRow,
  FindingRow,
  LimitLiftRow,
  SchoolChoiceRow,
  LimitRow,
  PostureRuleRow,
  ScreenRow,
} from "../tables/entities";
import { ClearanceRow } from "../tables/loop-entities";
import { listOf, STOPS } from "./record.sql";
import { executePrepared } from "../prepared";
import { audit, type Scope, stamp } from "../scope";
import { toStored } from "../tables/setting";

/**
 * One line for each client. The last week and what waits are read for the whole studio at once, the latest of a client by its own
 * index, and signs by the indexes of where signs were said: a client of five years costs what one of five weeks does.
 */
const LIST_SQL = `
with mine as (select ?::uuid as studio_id, ?::date as today),
lately as materialized (
  select s.studio_id, s.id, s.client_id, s.day, s.created_at, s.ended_at from training_session s where s.studio_id = ?::uuid and s.day > ?::date - 8),
missing as (
  select s.client_id, max(s.day)::text as day from lately s join mine using (studio_id)
   where s.day < mine.today and not exists (select 1 from response r where r.studio_id = s.studio_id and r.session_id = s.id)
     and exists (select 1 from performed_set p where p.studio_id = s.studio_id and p.session_id = s.id and not p.voided) group by 1),
on_day as (
  select s.client_id, bool_or(s.ended_at is null) as is_open, (array_agg(s.ended_at is null order by s.created_at desc, s.id desc))[1] as is_last_open
    from lately s join mine using (studio_id) where s.day = mine.today group by 1),
waiting as (
  select s.client_id, coalesce(u.line, u.pattern) as work, u.side, max(s.day) as day
    from mine join session_item i on i.studio_id = mine.studio_id and not i.is_decided
    join training_session s on s.studio_id = i.studio_id and s.id = i.session_id and s.day > mine.today - 30
    join prescription p on p.studio_id = i.studio_id and p.id = i.prescription_id join rung u on u.studio_id = p.studio_id and u.id = p.rung_id
   where (select true from response r where r.studio_id = s.studio_id and r.session_id = s.id limit 1)
     and (select true from performed_set f where f.studio_id = i.studio_id and f.item_id = i.id and not f.voided limit 1) group by 1, 2, 3),
undecided as (
  select w.client_id, count(*)::int as lines from mine join waiting w on not exists (
    select 1 from training_session s join decision d on d.studio_id = s.studio_id and d.session_id = s.id
      join prescription p on p.studio_id = d.studio_id and p.id = d.prescription_id join rung u on u.studio_id = p.studio_id and u.id = p.rung_id
     where s.studio_id = mine.studio_id and s.client_id = w.client_id and s.day >= w.day and coalesce(u.line, u.pattern) = w.work and u.side = w.side)
   group by 1),
stops as (
  select s.client_id, e.id as source_id, stop_sign(e.kind, e.payload) as sign
    from mine join floor_event e using (studio_id) join training_session s on s.studio_id = e.studio_id and s.id = e.session_id where ${STOPS}),
said as (
  select * from stops
  union all select h.client_id, h.id, coalesce(h.told ->> 'sign', 'other-sign') from mine join home_entry h using (studio_id) where h.kind = 'sign'
  union all select r.client_id, r.id, sign from mine join response r using (studio_id), jsonb_array_elements_text(${listOf("r.warning_signs")}) sign where r.warning_signs <> '[]'
  union select n.client_id, case when n.answers #>> '{signs,id}' ~ '^[0-9a-f-]{36}$' then (n.answers #>> '{signs,id}')::uuid else n.id end, sign from mine join screen n using (studio_id), jsonb_array_elements_text(${listOf("n.answers #> '{signs,signs}'")}) sign
         where n.answers #> '{signs,signs}' <> '[]'
  union all select f.client_id, f.id, 'spreading-pain' from mine join finding f using (studio_id) where f.protocol in ('bend-response', 'arch-response') and f.value = 3),
open_signs as (
  select said.client_id, jsonb_agg(distinct said.sign) as signs from mine join said on true
   where not exists (select 1 from clearance k where k.studio_id = mine.studio_id and k.client_id = said.client_id and k.source_id = said.source_id and k.sign = said.sign)
   group by 1),
hurts as (
  select client_id, json_agg(words order by first_at) as words from (
    select distinct on (w.complaint_id) w.client_id, w.words, w.ended_day, min(w.created_at) over (partition by w.complaint_id) as first_at
      from mine join complaint w using (studio_id) order by w.complaint_id, w.created_at desc, w.id desc) w where ended_day is null group by 1),
ending as (
  select l.client_id, json_agg(json_build_object('id', l.id, 'rule', l.rule, 'side', l.side, 'owner', json_build_object('kind', l.owner_kind, 'name', l.owner_name),
       'fromDay', l.from_day, 'untilDay', l.until_day, 'lift', null) order by l.until_day) as limits from mine join client_limit l using (studio_id)
   where l.until_day is not null and not exists (select 1 from limit_lift f where f.studio_id = l.studio_id and f.limit_id = l.id) group by 1),
unlooked as (
  select h.client_id, count(*)::int as sets from mine join home_entry h using (studio_id) where h.kind = 'set' and h.day > mine.today - 30
     and not exists (select 1 from home_entry u where u.studio_id = h.studio_id and u.client_id = h.client_id and u.kind = 'undone' and u.told ->> 'entryId' = h.id::text)
     and not exists (select 1 from home_look l where l.studio_id = h.studio_id and l.client_id = h.client_id and jsonb_exists(l.entry_ids, h.id::text)) group by 1)
select c.id, v.name, v.birth_year as "birthYear", v.goal, v.archived_day::text as "archivedDay",
  coalesce(hurts.words, '[]') as complaints,
  (select n.answers from screen n where n.studio_id = c.studio_id and n.client_id = c.id order by n.created_at desc, n.id desc limit 1) as screen,
  (select json_object_agg(f.protocol, f.day) from (
     select protocol, max(day) as day from finding where studio_id = c.studio_id and client_id = c.id group by protocol) f) as "lastTests",
  (select max(s.day)::text from training_session s where s.studio_id = c.studio_id and s.client_id = c.id) as "lastSessionDay",
  coalesce(laid.days @> jsonb_build_array(jsonb_build_object('day', mine.today::text)), false) or coalesce(on_day.is_open, false) as "isToday",
  case when on_day.is_last_open then 'under-way' when not on_day.is_last_open then 'trained' end as "sessionToday",
  missing.day as "missingMorningOf",
  (select json_build_object('class', r.class, 'day', r.day) from response r where r.studio_id = c.studio_id and r.client_id = c.id
     order by r.day desc, r.created_at desc limit 1) as "lastResponse",
  coalesce(ending.limits, '[]') as limits,
  coalesce(laid.block_from, (select min(x ->> 'day') from jsonb_array_elements(${listOf("laid.days")}) x)) as "blockFrom",
  coalesce(undecided.lines, 0) as "undecidedCount", coalesce(unlooked.sets, 0) as "unlookedCount",
  coalesce(open_signs.signs, '[]') as "openSigns"
from mine join client c using (studio_id)
join lateral (select r.* from client_revision r where r.studio_id = c.studio_id and r.client_id = c.id order by r.created_at desc, r.id desc limit 1) v on true
left join lateral (select t.plan -> 'laid' as days, t.plan ->> 'blockFrom' as block_from from training_plan t where t.studio_id = c.studio_id and t.client_id = c.id
   order by t.created_at desc, t.id desc limit 1) laid on true
left join hurts on hurts.client_id = c.id left join ending on ending.client_id = c.id
left join missing on missing.client_id = c.id left join on_day on on_day.client_id = c.id
left join undecided on undecided.client_id = c.id left join unlooked on unlooked.client_id = c.id left join open_signs on open_signs.client_id = c.id
order by v.name`;

/** The studio's clients by name, with what stands open, their last session and how the morning after it was. */
export async function listClients({ studioId }: Scope, em: EntityManager, today: Day): Promise<ClientLine[]> {
  type Stored = Omit<ClientLine, "conditions" | "lastFindings"> & { screen: ScreenAnswers | null; lastTests: Record<string, Day> | null };
  const lines = await executePrepared<Stored>(em, "clients", LIST_SQL, [studioId, today, studioId, today]);
  return lines.map(({ screen, lastTests, ...line }) => ({
    ...line,
    lastFindings: Object.entries(lastTests ?? {}).map(([protocol, day]) => ({ protocol, day })),
    conditions: (screen?.conditions ?? []).map(({ id }) => id),
    limits: [...line.limits, ...ruleLimits(screen ?? {}, () => false).filter(({ untilDay, lift }) => untilDay !== null && lift === null)],
  }));
}

/** A client as entered: the profile, what hurts, and the body's first measure. Sent twice with one id, it is one client. */
export async function addClient(
  scope: Scope,
  em: EntityManager,
  profile: ClientProfile,
  complaints: readonly Complaint[],
  measure: NewMeasure,
): Promise<void> {
  await em.insert(ClientRow, stamp(scope, profile.id));
  await reviseClient(scope, em, profile);
  for (const complaint of complaints) await setComplaint(scope, em, profile.id, complaint);
  await addMeasure(scope, em, profile.id, measure);
  await audit(scope, em, "added", "client", profile.id);
}

/** Details as they are now; the ones before are kept. */
export async function reviseClient(scope: Scope, em: EntityManager, { id, ...details }: ClientProfile): Promise<void> {
  const row = { ...stamp(scope), clientId: id, ...details };
  await em.insert(ClientRevisionRow, row);
  await audit(scope, em, "revised", "client", id);
}

/** What was answered before training, all of it; the answers before are kept. */
export async function addScreen(scope: Scope, em: EntityManager, clientId: string, answers: ScreenAnswers, day: Day): Promise<void> {
  await em.insert(ScreenRow, { ...stamp(scope), clientId, day, answers });
  await audit(scope, em, "screened", "client", clientId);
}

/** A result as it was measured; the ones before stay. */
export async function addFinding(scope: Scope, em: EntityManager, clientId: string, { id, ...finding }: Finding): Promise<void> {
  await em.insert(FindingRow, { ...stamp(scope, id), clientId, ...finding });
  await audit(scope, em, "measured", "finding", id);
}

export async function addSchool(scope: Scope, em: EntityManager, clientId: string, choice: Omit<SchoolChoice, "id">): Promise<void> {
  const row = { ...stamp(scope), clientId, ...choice };
  await em.insert(SchoolChoiceRow, row);
  await audit(scope, em, "chose", "school", row.id);
}

/** What hurts, as it is said now; `endedDay` closes it. */
export async function setComplaint(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { id, ...complaint }: Complaint,
  endedDay: Day | null = null,
): Promise<void> {
  const row = { ...stamp(scope), clientId, complaintId: id, ...complaint, endedDay };
  await em.insert(ComplaintRow, row);
  await audit(scope, em, "set", "complaint", row.id);
}

/** Every trace of one client, by the only way the application has to delete anything. */
export const eraseClient = ({ actorId }: Scope, em: EntityManager, clientId: string): Promise<unknown> =>
  em.execute(`select erase_client(?, ?)`, [clientId, actorId]);

/** A body as measured on a day; without overrides everything follows from stature and mass. */
export type NewMeasure = Omit<MeasureFact, "id" | "overrides"> & { overrides?: MeasureFact["overrides"] };
export async function addMeasure(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { overrides = {}, ...measure }: NewMeasure,
): Promise<void> {
  const row = { ...stamp(scope), clientId, ...measure, overrides };
  await em.insert(BodyMeasureRow, row);
  await audit(scope, em, "measured", "body_measure", row.id);
}

export async function addPosture(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  calmPoseId: string | null,
  day: Day,
  rule: PostureRule,
): Promise<void> {
  await em.insert(PostureRuleRow, { ...stamp(scope), clientId, calmPoseId, day, rule });
}

/** A height of the client's own day; null takes it away. */
export async function setDailyHeight(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { name, kind, heightM }: Omit<DailyTask, "heightM"> & { heightM: number | null },
  day: Day,
): Promise<void> {
  const row = { ...stamp(scope), clientId, day, name, kind, heightM };
  await em.insert(DailyHeightRow, row);
  await audit(scope, em, "set", "daily_height", row.id);
}

export async function addLimit(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  limit: Omit<Limit, "id" | "lift">,
  id?: string,
): Promise<void> {
  const { rule, side, owner, fromDay, untilDay } = limit;
  const row = { ...stamp(scope, id), clientId, rule, side, ownerKind: owner.kind, ownerName: owner.name, fromDay, untilDay };
  await em.insert(LimitRow, row);
  await audit(scope, em, "added", "client_limit", row.id);
}

export async function liftLimit(scope: Scope, em: EntityManager, limitId: string, lift: NonNullable<Limit["lift"]>): Promise<void> {
  const row = { ...stamp(scope), limitId, ...lift };
  await em.insert(LimitLiftRow, row);
  await audit(scope, em, lift.kind === "mistake" ? "entered-by-mistake" : "lifted", "client_limit", limitId);
}

/** A calm pose with what follows from it: the posture rule, where one was measured, and the ceilings. */
export async function addCalmPose(
  scope: Scope,
  em: EntityManager,
  clientId: string,
  { id, ...pose }: CalmPoseFact,
  rule: PostureRule | null,
  ceilings: readonly CeilingDraft[],
): Promise<void> {
  await em.insert(CalmPoseRow, { ...stamp(scope, id), clientId, ...pose, setting: toStored(pose.setting) });
  if (rule) await addPosture(scope, em, clientId, id, pose.day, rule);
  for (const ceiling of ceilings) await addCeiling(scope, em, clientId, { ...ceiling, calmPoseId: id, raisedBy: 1, reason: "" });
  await audit(scope, em, "added", "calm_pose", id);
}

export async function addCeiling(scope: Scope, em: EntityManager, clientId: string, ceiling: Omit<CeilingFact, "id">): Promise<string> {
  const { channel, side, value, source, fromDay, isShareMeasured, calmPoseId, raisedBy, reason } = ceiling;
  const row = {
    ...stamp(scope),
    clientId,
    channel,
    side,
    value,
    sourceKind: source.kind,
    sourceId: source.id,
    calmPoseId,
    raisedBy,
    reason,
    fromDay,
    shareMeasured: isShareMeasured,
    engineVersion: ENGINE_VERSION,
  };
  await em.insert(CeilingRow, row);
  await audit(scope, em, "set", "ceiling", row.id);
  return row.id;
}

/** Every ceiling that was ever set for a client, oldest first: what a record keeps of each channel is only the last. */
export const listCeilings = ({ studioId }: Scope, em: EntityManager, clientId: string): Promise<CeilingFact[]> =>
  em.execute<CeilingFact[]>(
    `select id, channel, side, value, jsonb_build_object('kind', source_kind, 'id', source_id) as source, from_day::text as "fromDay",
            share_measured as "isShareMeasured", calm_pose_id as "calmPoseId", raised_by as "raisedBy", reason
       from ceiling where studio_id = ? and client_id = ? order by from_day, created_at`,
    [studioId, clientId],
  );

/** A calm morning has confirmed it: kept, so that years later nobody needs that morning to know. */
export async function confirmCeiling(scope: Scope, em: EntityManager, clientId: string, ceilingId: string, day: Day): Promise<void> {
  await em.insert(CeilingConfirmationRow, { ...stamp(scope), clientId, ceilingId, day });
}

/** Every school that was chosen for a client, oldest first: a record keeps the last. */
export const listSchools = ({ studioId }: Scope, em: EntityManager, clientId: string): Promise<SchoolChoice[]> =>
  em.execute<SchoolChoice[]>(
    `select id, preset, positions, numbers, by, reason, day::text as day from school_choice where studio_id = ? and client_id = ? order by day, created_at`,
    [studioId, clientId],
  );

/** A clinician's clearance of one warning. */
export async function addClearance(scope: Scope, em: EntityManager, clientId: string, clearance: Omit<Clearance, "id">): Promise<void> {
  const row = { ...stamp(scope), clientId, ...clearance };
  await em.insert(ClearanceRow, row);
  await audit(scope, em, "recorded", "clearance", row.id);
}
