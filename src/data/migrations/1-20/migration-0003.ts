import { Migration } from "@mikro-orm/migrations";
import { STRESS_PER_MOMENT_AT_90 } from "../../../core/mechanics/kneecap";
import { changeFrom, type OldCeiling, reasonFrom, rootsOf, ruleFrom } from "./from-0002";

const SCOPED = `studio_id uuid not null references studio (id), id uuid not null, created_at timestamptz not null default now(), created_by text not null, primary key (studio_id, id)`;
const references = (column: string, table: string): string => `foreign key (studio_id, ${column}) references ${table} (studio_id, id)`;
const CLIENT = `client_id uuid not null, ${references("client_id", "client")}`;

/** Details and complaints that can be corrected by another row; what the loop needs for many items and for years. */
const TABLES = [
  `create table client_revision (${SCOPED}, ${CLIENT}, name text not null check (name <> ''), birth_year int not null, sex text not null check (sex in ('female', 'male')),
     goal text not null, conditions jsonb not null, archived_day date)`,
  `create table complaint (${SCOPED}, ${CLIENT}, complaint_id uuid not null, site text not null, side text not null check (side in ('left', 'right', 'both')), words text not null,
     usual_pain_score double precision not null check (usual_pain_score between 0 and 10), pain_limit_score double precision not null check (pain_limit_score between 0 and 10), ended_day date)`,
  `create table ceiling_confirmation (${SCOPED}, ${CLIENT}, ceiling_id uuid not null, day date not null, ${references("ceiling_id", "ceiling")})`,
];

/** Details move to rows of their own; one complaint is made of what was written, at the site that the calm pose was limited by. */
const CLIENTS = [
  `insert into client_revision (studio_id, id, created_at, created_by, client_id, name, birth_year, sex, goal, conditions)
     select studio_id, gen_random_uuid(), created_at, created_by, id, name, birth_year, sex, goal, '[]' from client`,
  `insert into complaint (studio_id, id, created_at, created_by, client_id, complaint_id, site, side, words, usual_pain_score, pain_limit_score)
     select c.studio_id, gen_random_uuid(), c.created_at, c.created_by, c.id, gen_random_uuid(), coalesce(p.limited_by, 'other'),
            case when p.limited_by = 'low-back' then 'both' else c.side end, c.complaint, c.baseline_pain_score, c.pain_limit_score
       from client c left join lateral (select limited_by from calm_pose p where p.studio_id = c.studio_id and p.client_id = c.id order by p.day desc, p.created_at desc limit 1) p on true`,
  `alter table client drop column name, drop column birth_year, drop column sex, drop column goal, drop column complaint, drop column side, drop column baseline_pain_score, drop column pain_limit_score`,
];

/** A set-up says which version it is; a share that no scales measured is left out of it. */
const SETTINGS = [
  `update rung r set setting = r.setting - 'shareFraction' where not exists
     (select 1 from calm_pose p where p.studio_id = r.studio_id and p.client_id = r.client_id and p.share_fraction is not null)`,
  ...["rung", "calm_pose", "performed_set"].map((table) => `update ${table} set setting = jsonb_build_object('version', 1) || setting`),
  `alter table calm_pose add column mass_kg double precision, add column belly_kg double precision`,
  `update calm_pose p set mass_kg = m.mass_kg, belly_kg = coalesce((m.overrides ->> 'bellyKg')::double precision, 0)
     from (select distinct on (p.studio_id, p.id) p.studio_id, p.id, m.mass_kg, m.overrides from calm_pose p join body_measure m on m.studio_id = p.studio_id and m.client_id = p.client_id
            order by p.studio_id, p.id, (m.day <= p.day) desc, abs(m.day - p.day), m.created_at) m where m.studio_id = p.studio_id and m.id = p.id`,
  `alter table calm_pose alter column mass_kg set not null, alter column belly_kg set not null`,
];

/** Sessions of many items: a decision for each, one morning that can be corrected, one session open at a time. */
const SESSIONS = [
  `alter table training_session add column ended_at timestamptz`,
  `update training_session s set ended_at = e.at from (select studio_id, session_id, max(occurred_at) as at from floor_event where kind = 'session-ended' group by 1, 2) e
    where e.studio_id = s.studio_id and e.session_id = s.id`,
  `update training_session s set ended_at = s.created_at where ended_at is null and exists
     (select 1 from training_session t where t.studio_id = s.studio_id and t.client_id = s.client_id and t.day = s.day and t.id <> s.id and t.created_at > s.created_at)`,
  `create unique index training_session_open on training_session (studio_id, client_id, day) where ended_at is null`,
  `alter table decision add column item_id uuid`,
  `update decision d set item_id = i.id from session_item i where i.studio_id = d.studio_id and i.session_id = d.session_id and i.prescription_id = d.prescription_id`,
  `update decision d set item_id = (select i.id from session_item i where i.studio_id = d.studio_id and i.session_id = d.session_id order by i.position limit 1) where item_id is null`,
  `alter table decision alter column item_id set not null, add constraint decision_item_foreign ${references("item_id", "session_item")}`,
  `drop index decision_session_unique`,
  `create unique index decision_item_unique on decision (studio_id, item_id)`,
  `alter table decision rename column step to change`,
  `alter table decision drop constraint decision_move_check`,
  `alter table decision add constraint decision_move_check check (move in ('ease', 'hold', 'build', 'rest', 'stop'))`,
  `alter table response add column pains jsonb not null default '[]', add column revision int not null default 0`,
  `update response r set pains = jsonb_build_array(jsonb_build_object('complaintId', c.complaint_id, 'painScore', r.pain_score)) from complaint c where c.studio_id = r.studio_id and c.client_id = r.client_id`,
  `update response r set revision = n.rank - 1 from (select studio_id, id, row_number() over (partition by studio_id, session_id order by created_at) as rank from response where session_id is not null) n
    where n.studio_id = r.studio_id and n.id = r.id`,
  `create unique index response_session_unique on response (studio_id, session_id, revision) where session_id is not null`,
  `alter table limit_lift add column kind text not null default 'lifted' check (kind in ('lifted', 'mistake'))`,
];

/** A clearance names the warning it clears; one from before cleared whatever had been said until then. */
const CLEARANCES = [
  `alter table clearance add column source_id uuid, add column sign text`,
  `insert into clearance (studio_id, id, created_at, created_by, client_id, by, role, day, note, source_id, sign)
     select c.studio_id, gen_random_uuid(), c.created_at, c.created_by, c.client_id, c.by, 'other-clinician', c.day, trim(c.role || ' ' || c.note), w.source_id, w.sign
       from clearance c join (
         select s.studio_id, s.client_id, e.id as source_id, e.payload ->> 'sign' as sign, s.day from floor_event e join training_session s on s.studio_id = e.studio_id and s.id = e.session_id where e.kind = 'warning-sign'
         union all select r.studio_id, r.client_id, r.id, sign, r.day from response r, jsonb_array_elements_text(r.warning_signs) sign
       ) w on w.studio_id = c.studio_id and w.client_id = c.client_id and w.day <= c.day where c.source_id is null`,
  `delete from clearance where source_id is null`,
  `alter table clearance alter column source_id set not null, alter column sign set not null`,
];

const INDEXES = [
  ...["client_revision", "complaint", "ceiling_confirmation"].map(
    (table) => `create index ${table}_client on ${table} (studio_id, client_id)`,
  ),
  ...["training_session", "response"].map((table) => `create index ${table}_day on ${table} (studio_id, client_id, day desc)`),
  `create index response_warning on response (studio_id, client_id) where warning_signs <> '[]'`,
  `create index floor_event_warning on floor_event (studio_id, session_id) where kind = 'warning-sign'`,
  `create index rung_place on rung (studio_id, client_id, pattern, side)`,
  `create index prescription_rung on prescription (studio_id, rung_id, created_at desc)`,
  `create index prescription_noted on prescription (studio_id, client_id, created_at desc) where note <> ''`,
  `create index decision_session on decision (studio_id, session_id)`,
  `create index limit_lift_limit on limit_lift (studio_id, limit_id)`,
];

const GRANTS = [
  `grant select, insert on client_revision, complaint, ceiling_confirmation to ponderis_app`,
  `grant update (ended_at) on training_session to ponderis_app`,
];

/** From one squat a client to many patterns, complaints and corrections. Nothing that was kept is lost. */
export class Migration0003 extends Migration {
  override async up(): Promise<void> {
    const run = async (statements: readonly string[]): Promise<void> => {
      for (const sql of statements) await this.execute(sql);
    };
    await run([...TABLES, ...CLIENTS, ...SETTINGS]);
    await this.rules();
    await this.ceilings();
    await run(SESSIONS);
    await this.decisions();
    await this.eases();
    await run([...CLEARANCES, ...INDEXES, ...GRANTS]);
  }

  private async rules(): Promise<void> {
    const rows = (await this.execute(`select studio_id, id, rule from client_limit`)) as { studio_id: string; id: string; rule: never }[];
    for (const { studio_id, id, rule } of rows)
      await this.execute(`update client_limit set rule = ? where studio_id = ? and id = ?`, [
        JSON.stringify(ruleFrom(rule)),
        studio_id,
        id,
      ]);
  }

  /** What stood in for the kneecap past 90 degrees follows from its ceiling now; where it stood alone it becomes one. */
  private async ceilings(): Promise<void> {
    await this.execute(`alter table ceiling add column calm_pose_id uuid, add column raised_by double precision not null default 1`);
    await this.execute(
      `delete from ceiling c where stands_in_for is not null and exists
         (select 1 from ceiling m where m.studio_id = c.studio_id and m.client_id = c.client_id and m.side = c.side and m.channel = c.stands_in_for and m.stands_in_for is null)`,
    );
    await this.execute(`update ceiling set channel = stands_in_for, value = value * ? where stands_in_for is not null`, [
      STRESS_PER_MOMENT_AT_90,
    ]);
    const rows = (await this.execute(`select studio_id, id, source_kind, source_id, value from ceiling`)) as OldCeiling[];
    for (const { studio_id, id, calmPoseId, raisedBy } of rootsOf(rows))
      await this.execute(`update ceiling set calm_pose_id = ?, raised_by = ? where studio_id = ? and id = ?`, [
        calmPoseId,
        raisedBy,
        studio_id,
        id,
      ]);
    await this.execute(`alter table ceiling alter column calm_pose_id set not null, drop column stands_in_for, drop column share_fraction`);
    await this.execute(`alter table ceiling add constraint ceiling_calm_pose_foreign ${references("calm_pose_id", "calm_pose")}`);
  }

  private async decisions(): Promise<void> {
    const rows = (await this.execute(`select studio_id, id, reasons, change from decision`)) as {
      studio_id: string;
      id: string;
      reasons: never[];
      change: never;
    }[];
    for (const { studio_id, id, reasons, change } of rows)
      await this.execute(`update decision set reasons = ?, change = ? where studio_id = ? and id = ?`, [
        JSON.stringify(reasons.map(reasonFrom)),
        change === null ? null : JSON.stringify(changeFrom(change)),
        studio_id,
        id,
      ]);
  }

  /** An ease says where it led, not only by which lever. */
  private async eases(): Promise<void> {
    const rows = (await this.execute(
      `select e.studio_id, e.id, e.payload, r.variation_id, r.setting from floor_event e
         join session_item i on i.studio_id = e.studio_id and i.id = (e.payload ->> 'itemId')::uuid
         join prescription p on p.studio_id = i.studio_id and p.id = i.prescription_id join rung r on r.studio_id = p.studio_id and r.id = p.rung_id where e.kind = 'eased'`,
    )) as {
      studio_id: string;
      id: string;
      payload: { itemId: string; lever: string; from: number; to: number };
      variation_id: string;
      setting: Record<string, number>;
    }[];
    for (const { studio_id, id, payload, variation_id, setting } of rows) {
      const { itemId, lever, from, to } = payload;
      const { version: _version, ...planned } = setting;
      const eased = {
        kind: "eased",
        itemId,
        levers: [{ lever, from, to }],
        to: { variationId: variation_id, setting: { ...planned, [lever]: to } },
        setCount: null,
      };
      await this.execute(`update floor_event set payload = ? where studio_id = ? and id = ?`, [JSON.stringify(eased), studio_id, id]);
    }
  }
}
