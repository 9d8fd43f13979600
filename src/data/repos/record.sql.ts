/** Events that stop: a sign that was told, or a set that ended as one does, where the sign was not told as well (core/floor/events.ts). */
export const STOPS = `stop_sign(e.kind, e.payload) is not null and (e.kind = 'warning-sign' or not exists (
      select 1 from floor_event w where w.studio_id = e.studio_id and w.session_id = e.session_id and w.kind = 'warning-sign'
         and (w.payload ->> 'sign' = stop_sign(e.kind, e.payload) or stop_sign(e.kind, e.payload) = 'other-sign')))`;

/** A list out of a stored document; none where there is no list, so that nonsense in one fact fails no page. */
export const listOf = (of: string): string => `case jsonb_typeof(${of}) when 'array' then ${of} else '[]' end`;
const documentOf = (of: string): string => `case jsonb_typeof(${of}) when 'object' then ${of} else '{}' end`;

/**
 * Everything a page or a decision needs of one client, as one JSON document: what counts now, and the last sessions.
 * One statement is one snapshot; each part goes by an index, so that five years cost what five weeks do.
 * Put together as text: `jsonb` would build a tree at every level only to write it out again, half as long once more.
 * Parameters: studio, client, number of sessions.
 */
export const RECORD_SQL = `
with mine as (select ?::uuid as studio_id, ?::uuid as client_id),
recent as (
  select s.* from training_session s join mine using (studio_id, client_id) order by s.day desc, s.created_at desc, s.id desc limit ?
),
items as (
  select i.* from session_item i join recent s on s.studio_id = i.studio_id and s.id = i.session_id
),
planned as (
  select distinct on (coalesce(r.line, r.pattern), r.side) p.studio_id, p.id from rung r join mine using (studio_id, client_id)
    join prescription p on p.studio_id = r.studio_id and p.rung_id = r.id order by coalesce(r.line, r.pattern), r.side, p.created_at desc, p.id desc
),
noted as (
  select p.studio_id, p.id from prescription p join mine using (studio_id, client_id) where p.note <> '' order by p.created_at desc, p.id desc limit 40
),
plans as (
  select p.* from prescription p
   where (p.studio_id, p.id) in (select studio_id, prescription_id from items union select studio_id, id from planned union select studio_id, id from noted)
),
standing as (
  select distinct on (c.channel, c.side) c.* from ceiling c join mine using (studio_id, client_id) order by c.channel, c.side, c.from_day desc, c.created_at desc, c.id desc
),
measured_shin as (
  select p.* from calm_pose p join mine using (studio_id, client_id) where p.shank_lean_deg is not null order by p.day desc, p.created_at desc, p.id desc limit 1
),
answers as (
  select distinct on (coalesce(r.session_id, r.id)) r.* from response r join mine using (studio_id, client_id)
   where r.session_id is null or r.session_id in (select id from recent) or r.day > current_date - 60
   order by coalesce(r.session_id, r.id), r.revision desc
),
events as (
  select e.* from floor_event e join recent s on s.studio_id = e.studio_id and s.id = e.session_id
),
said as (
  select e.id::text as source_id, stop_sign(e.kind, e.payload) as sign, s.day::text, e.occurred_at - e.clock_offset_ms * interval '1 millisecond' as at from training_session s join mine using (studio_id, client_id)
    join floor_event e on e.studio_id = s.studio_id and e.session_id = s.id where ${STOPS}
  union all
  select r.id::text, sign, r.day::text, r.created_at from response r join mine using (studio_id, client_id), jsonb_array_elements_text(${listOf("r.warning_signs")}) sign where r.warning_signs <> '[]'
  union all
  select f.id::text, 'spreading-pain', f.day::text, f.created_at from finding f join mine using (studio_id, client_id) where f.protocol in ('bend-response', 'arch-response') and f.value = 3
  union all
  select h.id::text, coalesce(h.told ->> 'sign', 'other-sign'), h.day::text, h.created_at from home_entry h join mine using (studio_id, client_id) where h.kind = 'sign'
  union all
  select n.id, n.sign, n.day, n.at from (
    select coalesce(s.answers #>> '{signs,id}', s.id::text) as id, sign, coalesce(s.answers #>> '{signs,day}', s.created_at::date::text) as day, min(s.created_at) as at
      from screen s join mine using (studio_id, client_id), jsonb_array_elements_text(${listOf("s.answers #> '{signs,signs}'")}) sign group by 1, 2, 3) n
)
select json_build_object(
  'client', (select json_build_object('id', v.client_id, 'name', v.name, 'birthYear', v.birth_year, 'sex', v.sex, 'goal', v.goal, 'archivedDay', v.archived_day)
    from client_revision v join mine using (studio_id, client_id) order by v.created_at desc, v.id desc limit 1),
  'screen', (select json_build_object('id', s.id, 'day', s.created_at::date, 'answers', s.answers) from screen s join mine using (studio_id, client_id) order by s.created_at desc, s.id desc limit 1),
  'complaints', (select coalesce(json_agg(json_build_object('id', c.complaint_id, 'site', c.site, 'side', c.side, 'words', c.words, 'usualPainScore', c.usual_pain_score, 'painLimitScore', c.pain_limit_score)
      order by c.first_at, c.complaint_id), '[]') from (
        select distinct on (c.complaint_id) c.*, min(c.created_at) over (partition by c.complaint_id) as first_at from complaint c join mine using (studio_id, client_id)
         order by c.complaint_id, c.created_at desc, c.id desc) c where c.ended_day is null),
  'measures', (select coalesce(json_agg(json_build_object('id', m.id, 'day', m.day, 'heightM', m.height_m, 'massKg', m.mass_kg, 'overrides', m.overrides)), '[]')
    from (select m.* from body_measure m join mine using (studio_id, client_id) order by m.day desc, m.created_at desc, m.id desc limit 1) m),
  'dailyTasks', (select coalesce(json_agg(json_build_object('name', h.name, 'kind', h.kind, 'heightM', h.height_m) order by h.first_at, h.name), '[]') from (
        select distinct on (h.name) h.*, min(h.created_at) over (partition by h.name) as first_at from daily_height h join mine using (studio_id, client_id)
         order by h.name, h.created_at desc, h.id desc) h where h.height_m is not null),
  'calmPoses', (select coalesce(json_agg(json_build_object('id', p.id, 'day', p.day, 'massKg', p.mass_kg, 'bellyKg', p.belly_kg, 'side', p.side, 'limitedBy', p.limited_by, 'variationId', p.variation_id,
        'setting', p.setting, 'shareFraction', p.share_fraction, 'shankLeanDeg', p.shank_lean_deg, 'trunkLeanDeg', p.trunk_lean_deg) order by p.day, p.created_at, p.id), '[]')
    from calm_pose p join mine using (studio_id, client_id) where p.id in (select calm_pose_id from standing union select id from measured_shin)),
  'postures', (select coalesce(json_agg(json_build_object('id', r.id, 'day', r.day, 'rule', r.rule)), '[]')
    from (select r.* from posture_rule r join mine using (studio_id, client_id) order by r.day desc, r.created_at desc, r.id desc limit 1) r),
  'findings', (select coalesce(json_agg(json_build_object('id', f.id, 'day', f.day, 'protocol', f.protocol, 'side', f.side, 'value', f.value, 'setUp', f.set_up, 'note', f.note) order by f.day, f.created_at, f.id), '[]')
    from (select distinct on (f.protocol, f.side, f.day) f.* from finding f join mine using (studio_id, client_id) order by f.protocol, f.side, f.day, f.created_at desc, f.id desc) f),
  'limits', (select coalesce(json_agg(json_build_object('id', l.id, 'rule', l.rule, 'side', l.side, 'owner', json_build_object('kind', l.owner_kind, 'name', l.owner_name), 'fromDay', l.from_day, 'untilDay', l.until_day,
        'lift', (select json_build_object('kind', t.kind, 'by', t.by, 'role', t.role, 'day', t.day, 'reason', t.reason) from limit_lift t
                  where t.studio_id = l.studio_id and t.limit_id = l.id order by t.created_at desc, t.id desc limit 1)) order by l.created_at, l.id), '[]')
    from client_limit l join mine using (studio_id, client_id)),
  'ceilings', (select coalesce(json_agg(json_build_object('id', c.id, 'channel', c.channel, 'side', c.side, 'value', c.value, 'source', json_build_object('kind', c.source_kind, 'id', c.source_id),
        'fromDay', c.from_day, 'isShareMeasured', c.share_measured, 'calmPoseId', c.calm_pose_id, 'raisedBy', c.raised_by, 'reason', c.reason) order by c.from_day, c.created_at, c.id), '[]') from standing c),
  'confirmedCeilingIds', (select coalesce(json_agg(distinct f.ceiling_id), '[]') from ceiling_confirmation f join standing c on c.studio_id = f.studio_id and c.id = f.ceiling_id),
  'rungs', (select coalesce(json_agg(json_build_object('id', r.id, 'day', r.day, 'pattern', r.pattern, 'variationId', r.variation_id, 'side', r.side, 'line', r.line, 'setting', r.setting,
        'demands', coalesce(d.channels, '[]'), 'useFraction', d.use_fraction) order by r.created_at, r.id), '[]')
    from rung r left join demand d on d.studio_id = r.studio_id and d.rung_id = r.id where (r.studio_id, r.id) in (select studio_id, rung_id from plans)),
  'prescriptions', (select coalesce(json_agg(json_build_object('id', p.id, 'day', p.day, 'rungId', p.rung_id, 'dose', p.dose, 'note', p.note, 'at', p.created_at) order by p.created_at, p.id), '[]') from plans p),
  'sessions', (select coalesce(json_agg(json_build_object('id', s.id, 'day', s.day, 'isLight', s.is_light, 'place', s.place,
        'items', (select coalesce(json_agg(json_build_object('id', i.id, 'prescriptionId', i.prescription_id, 'part', i.part, 'inTurn', i.in_turn) order by i.position), '[]') from items i where i.session_id = s.id),
        'events', (select coalesce(json_agg(json_build_object('id', e.id, 'deviceId', e.device_id, 'sequence', e.sequence, 'receipt', e.receipt, 'occurredAt', e.occurred_at - e.clock_offset_ms * interval '1 millisecond', 'body', e.payload)), '[]') from events e where e.session_id = s.id)
      ) order by s.day, s.created_at, s.id), '[]') from recent s),
  'responses', (select coalesce(json_agg(json_build_object('id', r.id, 'sessionId', r.session_id, 'day', r.day, 'pains', r.pains, 'painScore', r.pain_score, 'newSwelling', r.new_swelling, 'underRelief', r.under_relief, 'told', r.told,
        'warningSigns', r.warning_signs, 'usualScore', r.usual_score, 'class', r.class) order by r.day, r.created_at, r.id), '[]') from answers r),
  'decisions', (select coalesce(json_agg(json_build_object('id', d.id, 'by', d.created_by, 'sessionId', d.session_id, 'itemId', d.item_id, 'day', d.day, 'move', d.move, 'overruled', d.overruled, 'rule', d.rule,
        'reasons', d.reasons, 'change', d.change, 'note', d.note) order by d.day, d.created_at, d.id), '[]')
    from decision d join recent s on s.studio_id = d.studio_id and s.id = d.session_id),
  'warnings', (select coalesce(json_agg(json_build_object('sourceId', w.source_id, 'sign', w.sign, 'day', w.day, 'at', w.at) order by w.at, w.source_id, w.sign), '[]') from said w),
  'clearances', (select coalesce(json_agg(json_build_object('id', c.id, 'day', c.day, 'by', c.by, 'role', c.role, 'note', c.note, 'sourceId', c.source_id, 'sign', c.sign) order by c.created_at, c.id), '[]')
    from clearance c join mine using (studio_id, client_id)),
  'school', (select json_build_object('id', s.id, 'preset', s.preset, 'positions', s.positions, 'numbers', s.numbers, 'by', s.by, 'reason', s.reason, 'day', s.day)
    from school_choice s join mine using (studio_id, client_id) order by s.created_at desc, s.id desc limit 1),
  'studioKit', (select k.items from kit_list k join mine using (studio_id) where k.client_id is null order by k.created_at desc, k.id desc limit 1),
  'trainingPlan', (select ${documentOf("t.plan")} || jsonb_build_object('keptAt', t.created_at) from training_plan t join mine using (studio_id, client_id) order by t.created_at desc, t.id desc limit 1),
  'ownRows', (select coalesce(json_agg(o.row order by o.row ->> 'name'), '[]') from (select distinct on (o.row_id) o.row from own_row o join mine using (studio_id) order by o.row_id, o.created_at desc, o.id desc) o),
  'homeSets', (select coalesce(json_agg(${documentOf("h.told")} || jsonb_build_object('id', h.id, 'day', h.day, 'at', h.occurred_at, 'isLooked', exists (
        select 1 from home_look l where l.studio_id = h.studio_id and l.client_id = h.client_id and jsonb_exists(l.entry_ids, h.id::text))) order by h.occurred_at, h.id), '[]')
    from (select h.* from home_entry h join mine using (studio_id, client_id) where h.kind = 'set'
        and not exists (select 1 from home_entry u where u.studio_id = h.studio_id and u.client_id = h.client_id and u.kind = 'undone' and u.told ->> 'entryId' = h.id::text)
       order by h.occurred_at desc, h.id desc limit 200) h),
  'tasksTold', (select coalesce(json_agg(${documentOf("t.told")} || jsonb_build_object('day', t.day, 'id', t.id, 'at', t.occurred_at) order by t.day, t.created_at, t.id), '[]') from (
        select h.* from home_entry h join mine using (studio_id, client_id) where h.kind = 'task' order by h.day desc, h.created_at desc, h.id desc limit 60) t),
  'homeKit', (select k.items from kit_list k join mine using (studio_id, client_id) order by k.created_at desc, k.id desc limit 1),
  'cushionM', (select c.thickness_m from cushion c join mine using (studio_id) order by c.created_at desc, c.id desc limit 1)
) as record`;
