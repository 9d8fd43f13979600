CREATE FUNCTION public.accept_invitation(hash text, who text, called text, mail text, password_hash text) RETURNS void
    LANGUAGE plpgsql SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
       declare found invitation%rowtype; begin
         select i.* into found from invitation i join studio s on s.id = i.studio_id
          where i.token_hash = hash and i.ended_at is null and i.accepted_by is null and i.until_day >= (now() at time zone s.time_zone)::date for update of i;
         if found.id is null then raise exception 'no such invitation'; end if;
         insert into "user" (id, name, email, "emailVerified", "updatedAt") values (who, called, mail, false, now());
         insert into "account" (id, "accountId", "providerId", "userId", password, "updatedAt") values (who || '-password', who, 'credential', who, password_hash, now());
         update invitation set accepted_by = who where studio_id = found.studio_id and id = found.id;
         insert into studio_member (studio_id, user_id, name, role) values (found.studio_id, who, called, found.role);
         perform set_config('app.studio', found.studio_id::text, true);
         insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (found.studio_id, gen_random_uuid(), who, 'joined', 'studio_member', found.id);
       end $$;
CREATE FUNCTION public.change_member(actor text, who text, to_role text) RETURNS void
    LANGUAGE plpgsql SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
       declare mine uuid := (select nullif(current_setting('app.studio', true), '')::uuid); begin
         perform 1 from studio where id = mine for update;
         if mine is null or not exists (select 1 from studio_member where studio_id = mine and user_id = actor and role = 'lead') then raise exception 'not a lead'; end if;
         update studio_member set role = to_role where studio_id = mine and user_id = who and role <> 'gone';
         if not found then raise exception 'no such member'; end if;
         if not exists (select 1 from studio_member where studio_id = mine and role = 'lead') then raise exception 'the last lead'; end if;
         if to_role = 'gone' and not exists (select 1 from studio_member where user_id = who and role <> 'gone') then delete from "session" where "userId" = who; end if;
         if to_role = 'gone' then delete from password_link where user_id = who; end if;
         insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (mine, gen_random_uuid(), actor, 'made-' || to_role, 'studio_member', gen_random_uuid());
       end $$;
CREATE FUNCTION public.end_codes(actor text, who text) RETURNS void
    LANGUAGE plpgsql SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
       declare mine uuid := (select nullif(current_setting('app.studio', true), '')::uuid); begin
         if mine is null or not exists (select 1 from studio_member where studio_id = mine and user_id = actor and role = 'lead') then raise exception 'not a lead'; end if;
         if not exists (select 1 from studio_member where studio_id = mine and user_id = who and role <> 'gone') then raise exception 'no such member'; end if;
         if exists (select 1 from studio_member where studio_id <> mine and user_id = who and role <> 'gone') then raise exception 'in another studio'; end if;
         delete from "twoFactor" where "userId" = who;
         update "user" set "twoFactorEnabled" = false where id = who;
         delete from "session" where "userId" = who and who <> actor;
         insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (mine, gen_random_uuid(), actor, 'ended-codes', 'studio_member', gen_random_uuid());
       end $$;
CREATE FUNCTION public.erase_client(who uuid, actor text) RETURNS void
    LANGUAGE plpgsql SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
declare mine uuid := (select nullif(current_setting('app.studio', true), '')::uuid); ids uuid[]; begin
  if mine is null or not exists (select 1 from client where studio_id = mine and id = who) then raise exception 'no such client'; end if;
  ids := array[who];
  update prescription set decision_id = null where studio_id = mine and client_id = who;
  with gone as (delete from fact_aside x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from finding x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from letter x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from school_choice x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from kit_list x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from training_plan x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from private_link x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from session_picture x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from visit x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from home_entry x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from home_look x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from client_contact x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from message x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from client_note x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from summary_letter x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from performed_set x where x.studio_id = mine and session_id in (select id from training_session s where s.studio_id = mine and s.client_id = who) returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from floor_event x where x.studio_id = mine and session_id in (select id from training_session s where s.studio_id = mine and s.client_id = who) returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from ceiling_confirmation x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from ceiling x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from response x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from clearance x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from limit_lift x where x.studio_id = mine and limit_id in (select id from client_limit l where l.studio_id = mine and l.client_id = who) returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from client_limit x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from decision x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from demand x where x.studio_id = mine and rung_id in (select id from rung r where r.studio_id = mine and r.client_id = who) returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from session_item x where x.studio_id = mine and session_id in (select id from training_session s where s.studio_id = mine and s.client_id = who) returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from training_session x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from prescription x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from rung x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from posture_rule x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from calm_pose x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from body_measure x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from daily_height x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from complaint x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from client_revision x where x.studio_id = mine and client_id = who returning x.id) select ids || array_agg(id) into ids from gone;
  with gone as (delete from client x where x.studio_id = mine and id = who returning x.id) select ids || array_agg(id) into ids from gone;
  delete from audit_event where studio_id = mine and row_id = any (ids);
  delete from step s where s.studio_id = mine and uuids_in(s.answer) && ids;
  insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (mine, gen_random_uuid(), actor, 'erased', 'client', gen_random_uuid());
end $$;
CREATE FUNCTION public.invitation_behind(hash text) RETURNS TABLE(studio_id uuid, studio_name text, name text, email text, role text)
    LANGUAGE sql STABLE SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
           select i.studio_id, s.name, i.name, i.email, i.role from invitation i join studio s on s.id = i.studio_id
            where i.token_hash = hash and i.ended_at is null and i.accepted_by is null and i.until_day >= (now() at time zone s.time_zone)::date $$;
CREATE FUNCTION public.item_decided() RETURNS trigger
    LANGUAGE plpgsql SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
         begin
           perform set_config('app.studio', new.studio_id::text, true); -- whoever writes it, also past every policy
           update session_item set is_decided = true where studio_id = new.studio_id and id = new.item_id;
           return new;
         end $$;
CREATE FUNCTION public.join_by_invitation(hash text, who text) RETURNS uuid
    LANGUAGE plpgsql SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
       declare found invitation%rowtype; begin
         select i.* into found from invitation i join studio s on s.id = i.studio_id where i.token_hash = hash and i.ended_at is null and i.accepted_by is null and i.until_day >= (now() at time zone s.time_zone)::date for update of i;
         if found.id is null then raise exception 'no such invitation'; end if;
         if exists (select 1 from studio_member where studio_id = found.studio_id and user_id = who and role <> 'gone') then raise exception 'a member already'; end if;
         update invitation set accepted_by = who where studio_id = found.studio_id and id = found.id;
         insert into studio_member (studio_id, user_id, name, role) values (found.studio_id, who, found.name, found.role)
           on conflict (studio_id, user_id) do update set role = excluded.role;
         delete from password_link where user_id = who;
         perform set_config('app.studio', found.studio_id::text, true);
         insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (found.studio_id, gen_random_uuid(), who, 'joined', 'studio_member', gen_random_uuid());
         return found.studio_id;
       end $$;
CREATE FUNCTION public.make_password_link(actor text, who text, hash text) RETURNS void
    LANGUAGE plpgsql SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
       declare mine uuid := (select nullif(current_setting('app.studio', true), '')::uuid); begin
         if mine is null or not exists (select 1 from studio_member where studio_id = mine and user_id = actor and role = 'lead') then raise exception 'not a lead'; end if;
         if not exists (select 1 from studio_member where studio_id = mine and user_id = who and role <> 'gone') then raise exception 'no such member'; end if;
         if exists (select 1 from studio_member where studio_id <> mine and user_id = who and role <> 'gone') then raise exception 'in another studio'; end if;
         delete from password_link where user_id = who;
         insert into password_link (token_hash, user_id, until) values (hash, who, now() + interval '24 hours');
         insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (mine, gen_random_uuid(), actor, 'made-password-link', 'studio_member', gen_random_uuid());
       end $$;
CREATE FUNCTION public.members_of(who text) RETURNS TABLE(studio_id uuid, name text, role text, unit_system text, studio_name text, time_zone text, asks_for_codes boolean)
    LANGUAGE sql STABLE SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
           select m.studio_id, m.name, m.role, m.unit_system, s.name, s.time_zone, s.asks_for_codes from studio_member m join studio s on s.id = m.studio_id
            where m.user_id = who and m.role <> 'gone' order by s.name, s.id $$;
CREATE FUNCTION public.migration_count() RETURNS integer
    LANGUAGE sql STABLE SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$ select count(*)::int from mikro_orm_migrations $$;
CREATE FUNCTION public.note_at_door(who text, what text) RETURNS void
    LANGUAGE plpgsql SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
       declare each uuid; begin
         if what not in ('signed-in', 'chose-a-new-password', 'changed-the-password', 'signed-a-device-out', 'signed-in-on-a-new-device', 'turned-codes-on', 'turned-codes-off', 'had-codes-ended', 'made-recovery-codes', 'used-a-recovery-code', 'added-a-passkey', 'removed-a-passkey') then raise exception 'no such thing at a door'; end if;
         for each in select studio_id from studio_member where user_id = who and role <> 'gone' loop
           perform set_config('app.studio', each::text, true);
           insert into audit_event (studio_id, id, created_by, verb, table_name, row_id) values (each, gen_random_uuid(), who, what, 'studio_member', gen_random_uuid());
         end loop;
       end $$;
CREATE FUNCTION public.password_link_behind(hash text) RETURNS TABLE(email text)
    LANGUAGE sql STABLE SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
         select u.email from password_link l join "user" u on u.id = l.user_id where l.token_hash = hash and l.used_at is null and l.until > now() $$;
CREATE FUNCTION public.stop_sign(kind text, payload jsonb) RETURNS text
    LANGUAGE sql IMMUTABLE
    AS $$
         select case kind when 'warning-sign' then payload ->> 'sign'
           when 'set-ended' then case payload ->> 'endedBy' when 'spreading' then 'spreading-pain' when 'belly' then 'belly-or-pelvic' when 'warning-sign' then 'other-sign' end
           when 'set-corrected' then case payload #>> '{change,endedBy}' when 'spreading' then 'spreading-pain' when 'belly' then 'belly-or-pelvic' when 'warning-sign' then 'other-sign' end end $$;
CREATE FUNCTION public.studio_ids() RETURNS SETOF uuid
    LANGUAGE sql SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$ select id from studio $$;
CREATE FUNCTION public.take_away(actor text, which text, fact uuid) RETURNS void
    LANGUAGE plpgsql SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $_$
       declare mine uuid := (select nullif(current_setting('app.studio', true), '')::uuid); gone int; begin
         if mine is null or not exists (select 1 from studio_member where studio_id = mine and user_id = actor and role = 'lead') then raise exception 'not a lead'; end if;
         if which not in ('visit', 'own_row', 'kit_list', 'message_words', 'training_plan', 'summary_letter') then raise exception 'no such fact'; end if;
         execute format('delete from %I where studio_id = $1 and id = $2', which) using mine, fact;
         get diagnostics gone = row_count;
         if gone = 0 then raise exception 'no such fact'; end if;
       end $_$;
CREATE FUNCTION public.use_password_link(hash text, password_hash text) RETURNS text
    LANGUAGE plpgsql SECURITY DEFINER
    SET search_path TO 'public', 'pg_temp'
    AS $$
       declare whose text; begin
         update password_link set used_at = now() where token_hash = hash and used_at is null and until > now() returning user_id into whose;
         if whose is null then raise exception 'no such link'; end if;
         update "account" set password = password_hash, "updatedAt" = now() where "userId" = whose and "providerId" = 'credential';
         delete from "session" where "userId" = whose;
         perform note_at_door(whose, 'chose-a-new-password');
         return whose;
       end $$;
CREATE FUNCTION public.uuids_in(told jsonb) RETURNS uuid[]
    LANGUAGE sql IMMUTABLE
    SET search_path TO 'public', 'pg_temp'
    AS $$
         select coalesce(array_agg(found[1]::uuid), '{}') from regexp_matches(told::text, '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}', 'g') found $$;
CREATE TABLE public.account (
    id text NOT NULL,
    "accountId" text NOT NULL,
    "providerId" text NOT NULL,
    "userId" text NOT NULL,
    "accessToken" text,
    "refreshToken" text,
    "idToken" text,
    "accessTokenExpiresAt" timestamp with time zone,
    "refreshTokenExpiresAt" timestamp with time zone,
    scope text,
    password text,
    "createdAt" timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    "updatedAt" timestamp with time zone NOT NULL
);
CREATE TABLE public.audit_event (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    verb text NOT NULL,
    table_name text NOT NULL,
    row_id uuid NOT NULL
);
ALTER TABLE ONLY public.audit_event FORCE ROW LEVEL SECURITY;
CREATE TABLE public.band (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    day date NOT NULL,
    name text NOT NULL,
    rest_m double precision NOT NULL,
    points jsonb NOT NULL,
    CONSTRAINT band_name_check CHECK ((name <> ''::text)),
    CONSTRAINT band_rest_m_check CHECK ((rest_m > (0)::double precision))
);
ALTER TABLE ONLY public.band FORCE ROW LEVEL SECURITY;
CREATE TABLE public.body_measure (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    day date NOT NULL,
    height_m double precision NOT NULL,
    mass_kg double precision NOT NULL,
    overrides jsonb DEFAULT '{}'::jsonb NOT NULL
);
ALTER TABLE ONLY public.body_measure FORCE ROW LEVEL SECURITY;
CREATE TABLE public.calm_pose (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    day date NOT NULL,
    side text NOT NULL,
    limited_by text NOT NULL,
    variation_id text NOT NULL,
    setting jsonb NOT NULL,
    share_fraction double precision,
    shank_lean_deg double precision,
    trunk_lean_deg double precision,
    mass_kg double precision NOT NULL,
    belly_kg double precision NOT NULL
);
ALTER TABLE ONLY public.calm_pose FORCE ROW LEVEL SECURITY;
CREATE TABLE public.ceiling (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    channel text NOT NULL,
    side text NOT NULL,
    value double precision NOT NULL,
    source_kind text NOT NULL,
    source_id uuid NOT NULL,
    share_measured boolean NOT NULL,
    from_day date NOT NULL,
    engine_version integer NOT NULL,
    calm_pose_id uuid NOT NULL,
    raised_by double precision DEFAULT 1 NOT NULL,
    reason text NOT NULL,
    CONSTRAINT ceiling_value_check CHECK ((value > (0)::double precision))
);
ALTER TABLE ONLY public.ceiling FORCE ROW LEVEL SECURITY;
CREATE TABLE public.ceiling_confirmation (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    ceiling_id uuid NOT NULL,
    day date NOT NULL
);
ALTER TABLE ONLY public.ceiling_confirmation FORCE ROW LEVEL SECURITY;
CREATE TABLE public.clearance (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    by text NOT NULL,
    role text NOT NULL,
    day date NOT NULL,
    note text NOT NULL,
    source_id uuid NOT NULL,
    sign text NOT NULL
);
ALTER TABLE ONLY public.clearance FORCE ROW LEVEL SECURITY;
CREATE TABLE public.client (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL
);
ALTER TABLE ONLY public.client FORCE ROW LEVEL SECURITY;
CREATE TABLE public.client_contact (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    channel text NOT NULL,
    address text NOT NULL,
    remind_at text,
    CONSTRAINT client_contact_channel_check CHECK ((channel = ANY (ARRAY['mail'::text, 'text'::text])))
);
ALTER TABLE ONLY public.client_contact FORCE ROW LEVEL SECURITY;
CREATE TABLE public.client_limit (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    rule jsonb NOT NULL,
    side text NOT NULL,
    owner_kind text NOT NULL,
    owner_name text NOT NULL,
    from_day date NOT NULL,
    until_day date,
    CONSTRAINT client_limit_check CHECK ((until_day >= from_day)),
    CONSTRAINT client_limit_owner_kind_check CHECK ((owner_kind = ANY (ARRAY['clinician'::text, 'rule'::text, 'client'::text])))
);
ALTER TABLE ONLY public.client_limit FORCE ROW LEVEL SECURITY;
CREATE TABLE public.client_note (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    note_id uuid NOT NULL,
    seen_by text NOT NULL,
    words text NOT NULL,
    ended_day date,
    CONSTRAINT client_note_seen_by_check CHECK ((seen_by = ANY (ARRAY['me'::text, 'team'::text, 'client'::text])))
);
ALTER TABLE ONLY public.client_note FORCE ROW LEVEL SECURITY;
CREATE TABLE public.client_revision (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    name text NOT NULL,
    birth_year integer NOT NULL,
    sex text NOT NULL,
    goal text NOT NULL,
    archived_day date,
    CONSTRAINT client_revision_name_check CHECK ((name <> ''::text)),
    CONSTRAINT client_revision_sex_check CHECK ((sex = ANY (ARRAY['female'::text, 'male'::text])))
);
ALTER TABLE ONLY public.client_revision FORCE ROW LEVEL SECURITY;
CREATE TABLE public.complaint (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    complaint_id uuid NOT NULL,
    site text NOT NULL,
    side text NOT NULL,
    words text NOT NULL,
    usual_pain_score double precision NOT NULL,
    pain_limit_score double precision NOT NULL,
    ended_day date,
    CONSTRAINT complaint_pain_limit_score_check CHECK (((pain_limit_score >= (0)::double precision) AND (pain_limit_score <= (10)::double precision))),
    CONSTRAINT complaint_side_check CHECK ((side = ANY (ARRAY['left'::text, 'right'::text, 'both'::text]))),
    CONSTRAINT complaint_usual_pain_score_check CHECK (((usual_pain_score >= (0)::double precision) AND (usual_pain_score <= (10)::double precision)))
);
ALTER TABLE ONLY public.complaint FORCE ROW LEVEL SECURITY;
CREATE TABLE public.cushion (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    day date NOT NULL,
    thickness_m double precision NOT NULL,
    CONSTRAINT cushion_thickness_m_check CHECK ((thickness_m > (0)::double precision))
);
ALTER TABLE ONLY public.cushion FORCE ROW LEVEL SECURITY;
CREATE TABLE public.daily_height (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    day date NOT NULL,
    name text NOT NULL,
    kind text NOT NULL,
    height_m double precision,
    CONSTRAINT daily_height_height_m_check CHECK ((height_m > (0)::double precision)),
    CONSTRAINT daily_height_kind_check CHECK ((kind = ANY (ARRAY['seat'::text, 'step'::text]))),
    CONSTRAINT daily_height_name_check CHECK ((name <> ''::text))
);
ALTER TABLE ONLY public.daily_height FORCE ROW LEVEL SECURITY;
CREATE TABLE public.decision (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    session_id uuid NOT NULL,
    prescription_id uuid NOT NULL,
    day date NOT NULL,
    move text NOT NULL,
    overruled text,
    rule text NOT NULL,
    reasons jsonb NOT NULL,
    change jsonb,
    next_rung_id uuid,
    note text NOT NULL,
    engine_version integer NOT NULL,
    item_id uuid NOT NULL,
    CONSTRAINT decision_move_check CHECK ((move = ANY (ARRAY['ease'::text, 'hold'::text, 'build'::text, 'rest'::text, 'stop'::text])))
);
ALTER TABLE ONLY public.decision FORCE ROW LEVEL SECURITY;
CREATE TABLE public.demand (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    rung_id uuid NOT NULL,
    body_measure_id uuid NOT NULL,
    posture_rule_id uuid,
    engine_version integer NOT NULL,
    channels jsonb NOT NULL,
    use_fraction double precision
);
ALTER TABLE ONLY public.demand FORCE ROW LEVEL SECURITY;
CREATE TABLE public.fact_aside (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid,
    table_name text NOT NULL,
    fact_id text NOT NULL,
    path text NOT NULL,
    code text NOT NULL,
    fact text NOT NULL
);
ALTER TABLE ONLY public.fact_aside FORCE ROW LEVEL SECURITY;
CREATE TABLE public.finding (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    day date NOT NULL,
    protocol text NOT NULL,
    side text NOT NULL,
    value double precision NOT NULL,
    set_up jsonb NOT NULL,
    note text NOT NULL
);
ALTER TABLE ONLY public.finding FORCE ROW LEVEL SECURITY;
CREATE TABLE public.floor_event (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    session_id uuid NOT NULL,
    device_id text NOT NULL,
    kind text NOT NULL,
    payload jsonb NOT NULL,
    occurred_at timestamp with time zone NOT NULL,
    received_at timestamp with time zone NOT NULL,
    created_by text NOT NULL,
    sequence bigint NOT NULL,
    clock_offset_ms double precision NOT NULL,
    receipt bigint NOT NULL
);
ALTER TABLE ONLY public.floor_event FORCE ROW LEVEL SECURITY;
ALTER TABLE public.floor_event ALTER COLUMN receipt ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.floor_event_receipt_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.heartbeat (
    id integer NOT NULL,
    at timestamp with time zone NOT NULL,
    CONSTRAINT heartbeat_id_check CHECK ((id = 1))
);
CREATE TABLE public.home_entry (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    day date NOT NULL,
    occurred_at timestamp with time zone NOT NULL,
    kind text NOT NULL,
    told jsonb NOT NULL,
    CONSTRAINT home_entry_kind_check CHECK ((kind = ANY (ARRAY['consented'::text, 'set'::text, 'undone'::text, 'morning'::text, 'sign'::text, 'task'::text])))
);
ALTER TABLE ONLY public.home_entry FORCE ROW LEVEL SECURITY;
CREATE TABLE public.home_look (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    day date NOT NULL,
    entry_ids jsonb NOT NULL,
    session_id uuid
);
ALTER TABLE ONLY public.home_look FORCE ROW LEVEL SECURITY;
CREATE TABLE public.installation (
    is_one boolean DEFAULT true NOT NULL,
    secret text NOT NULL,
    CONSTRAINT installation_is_one_check CHECK (is_one)
);
CREATE TABLE public.invitation (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    token_hash text NOT NULL,
    name text NOT NULL,
    email text NOT NULL,
    role text NOT NULL,
    until_day date NOT NULL,
    ended_at timestamp with time zone,
    accepted_by text,
    CONSTRAINT invitation_role_check CHECK ((role = ANY (ARRAY['lead'::text, 'trainer'::text, 'reader'::text]))),
    CONSTRAINT invitation_token_hash_check CHECK ((length(token_hash) = 64))
);
CREATE TABLE public.kit_list (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid,
    day date NOT NULL,
    items jsonb NOT NULL
);
ALTER TABLE ONLY public.kit_list FORCE ROW LEVEL SECURITY;
CREATE TABLE public.known_device (
    user_id text NOT NULL,
    device_hash text NOT NULL,
    user_agent text DEFAULT ''::text NOT NULL,
    first_at timestamp with time zone DEFAULT now() NOT NULL,
    told_at timestamp with time zone,
    CONSTRAINT known_device_device_hash_check CHECK ((length(device_hash) = 64)),
    CONSTRAINT known_device_user_agent_check CHECK ((length(user_agent) <= 400))
);
CREATE TABLE public.letter (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    day date NOT NULL,
    by text NOT NULL,
    media_type text NOT NULL,
    bytes bytea NOT NULL,
    CONSTRAINT letter_media_type_check CHECK ((media_type = ANY (ARRAY['image/jpeg'::text, 'application/pdf'::text])))
);
ALTER TABLE ONLY public.letter FORCE ROW LEVEL SECURITY;
CREATE TABLE public.limit_lift (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    limit_id uuid NOT NULL,
    by text NOT NULL,
    role text NOT NULL,
    day date NOT NULL,
    reason text NOT NULL,
    kind text DEFAULT 'lifted'::text NOT NULL,
    CONSTRAINT limit_lift_kind_check CHECK ((kind = ANY (ARRAY['lifted'::text, 'mistake'::text])))
);
ALTER TABLE ONLY public.limit_lift FORCE ROW LEVEL SECURITY;
CREATE TABLE public.limiter (
    key character varying(255) NOT NULL,
    points integer DEFAULT 0 NOT NULL,
    expire bigint
);
CREATE TABLE public.message (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    channel text NOT NULL,
    address text NOT NULL,
    template text NOT NULL,
    words text NOT NULL,
    sent_at timestamp with time zone,
    tried_at timestamp with time zone,
    CONSTRAINT message_channel_check CHECK ((channel = ANY (ARRAY['mail'::text, 'text'::text])))
);
ALTER TABLE ONLY public.message FORCE ROW LEVEL SECURITY;
CREATE TABLE public.message_words (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    template text NOT NULL,
    words text NOT NULL
);
ALTER TABLE ONLY public.message_words FORCE ROW LEVEL SECURITY;
CREATE TABLE public.mikro_orm_migrations (
    id integer NOT NULL,
    name character varying(255),
    executed_at timestamp with time zone DEFAULT CURRENT_TIMESTAMP
);
CREATE SEQUENCE public.mikro_orm_migrations_id_seq
    AS integer
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.mikro_orm_migrations_id_seq OWNED BY public.mikro_orm_migrations.id;
CREATE TABLE public.own_row (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    row_id text NOT NULL,
    "row" jsonb NOT NULL
);
ALTER TABLE ONLY public.own_row FORCE ROW LEVEL SECURITY;
CREATE TABLE public.passkey (
    id text NOT NULL,
    name text,
    "publicKey" text NOT NULL,
    "userId" text NOT NULL,
    "credentialID" text NOT NULL,
    counter integer NOT NULL,
    "deviceType" text NOT NULL,
    "backedUp" boolean NOT NULL,
    transports text,
    "createdAt" timestamp with time zone,
    aaguid text
);
CREATE TABLE public.password_link (
    token_hash text NOT NULL,
    user_id text NOT NULL,
    made_at timestamp with time zone DEFAULT now() NOT NULL,
    until timestamp with time zone NOT NULL,
    used_at timestamp with time zone,
    CONSTRAINT password_link_token_hash_check CHECK ((length(token_hash) = 64))
);
CREATE TABLE public.performed_set (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    session_id uuid NOT NULL,
    item_id uuid NOT NULL,
    "position" integer NOT NULL,
    setting jsonb NOT NULL,
    repetitions integer NOT NULL,
    pain_score double precision,
    left_in_tank integer,
    faults jsonb NOT NULL,
    ended_by text NOT NULL,
    ended_at timestamp with time zone NOT NULL,
    voided boolean NOT NULL
);
ALTER TABLE ONLY public.performed_set FORCE ROW LEVEL SECURITY;
CREATE TABLE public.posture_rule (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    calm_pose_id uuid,
    day date NOT NULL,
    rule jsonb NOT NULL
);
ALTER TABLE ONLY public.posture_rule FORCE ROW LEVEL SECURITY;
CREATE TABLE public.prescription (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    rung_id uuid NOT NULL,
    decision_id uuid,
    dose jsonb NOT NULL,
    day date NOT NULL,
    note text DEFAULT ''::text NOT NULL
);
ALTER TABLE ONLY public.prescription FORCE ROW LEVEL SECURITY;
CREATE TABLE public.private_link (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    token_hash text,
    opens text NOT NULL,
    until_day date,
    asks_year boolean DEFAULT false NOT NULL,
    CONSTRAINT calendar_link_token_hash_check CHECK ((length(token_hash) = 64)),
    CONSTRAINT private_link_opens_check CHECK ((opens = ANY (ARRAY['calendar'::text, 'page'::text])))
);
ALTER TABLE ONLY public.private_link FORCE ROW LEVEL SECURITY;
CREATE TABLE public."rateLimit" (
    id text NOT NULL,
    key text NOT NULL,
    count integer NOT NULL,
    "lastRequest" bigint NOT NULL
);
CREATE TABLE public.response (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    session_id uuid,
    day date NOT NULL,
    pain_score double precision,
    new_swelling boolean NOT NULL,
    warning_signs jsonb NOT NULL,
    usual_score double precision,
    class text NOT NULL,
    pains jsonb DEFAULT '[]'::jsonb NOT NULL,
    revision integer DEFAULT 0 NOT NULL,
    under_relief boolean DEFAULT false NOT NULL,
    told jsonb DEFAULT '{}'::jsonb NOT NULL,
    CONSTRAINT response_class_check CHECK ((class = ANY (ARRAY['calm'::text, 'noticed'::text, 'flare'::text]))),
    CONSTRAINT response_pain_score_check CHECK (((pain_score >= (0)::double precision) AND (pain_score <= (10)::double precision)))
);
ALTER TABLE ONLY public.response FORCE ROW LEVEL SECURITY;
CREATE TABLE public.retention (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    months integer NOT NULL,
    CONSTRAINT retention_months_check CHECK (((months >= 1) AND (months <= 600)))
);
ALTER TABLE ONLY public.retention FORCE ROW LEVEL SECURITY;
CREATE TABLE public.rung (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    pattern text NOT NULL,
    variation_id text NOT NULL,
    side text NOT NULL,
    setting jsonb NOT NULL,
    day date NOT NULL,
    line text,
    CONSTRAINT rung_line_check CHECK ((line <> ''::text))
);
ALTER TABLE ONLY public.rung FORCE ROW LEVEL SECURITY;
CREATE TABLE public.school_choice (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    day date NOT NULL,
    by text NOT NULL,
    preset text NOT NULL,
    positions jsonb NOT NULL,
    numbers jsonb NOT NULL,
    reason text NOT NULL
);
ALTER TABLE ONLY public.school_choice FORCE ROW LEVEL SECURITY;
CREATE TABLE public.screen (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    day date NOT NULL,
    answers jsonb NOT NULL
);
ALTER TABLE ONLY public.screen FORCE ROW LEVEL SECURITY;
CREATE TABLE public.session (
    id text NOT NULL,
    "expiresAt" timestamp with time zone NOT NULL,
    token text NOT NULL,
    "createdAt" timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    "updatedAt" timestamp with time zone NOT NULL,
    "ipAddress" text,
    "userAgent" text,
    "userId" text NOT NULL
);
CREATE TABLE public.session_item (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    session_id uuid NOT NULL,
    prescription_id uuid NOT NULL,
    "position" integer NOT NULL,
    part text,
    in_turn boolean DEFAULT false NOT NULL,
    is_decided boolean DEFAULT false NOT NULL
);
ALTER TABLE ONLY public.session_item FORCE ROW LEVEL SECURITY;
CREATE TABLE public.session_picture (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    session_id uuid NOT NULL,
    item_id uuid NOT NULL,
    day date NOT NULL,
    view text NOT NULL,
    words text NOT NULL,
    bytes bytea NOT NULL,
    CONSTRAINT session_picture_view_check CHECK ((view = ANY (ARRAY['front'::text, 'side'::text, 'behind'::text])))
);
ALTER TABLE ONLY public.session_picture FORCE ROW LEVEL SECURITY;
CREATE TABLE public.step (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    digest text NOT NULL,
    answer jsonb NOT NULL
);
ALTER TABLE ONLY public.step FORCE ROW LEVEL SECURITY;
CREATE TABLE public.studio (
    id uuid NOT NULL,
    name text NOT NULL,
    time_zone text NOT NULL,
    asks_for_codes boolean DEFAULT false NOT NULL
);
CREATE TABLE public.studio_member (
    studio_id uuid NOT NULL,
    user_id text NOT NULL,
    name text NOT NULL,
    role text NOT NULL,
    unit_system text DEFAULT 'metric'::text NOT NULL,
    CONSTRAINT studio_member_role CHECK ((role = ANY (ARRAY['lead'::text, 'trainer'::text, 'reader'::text, 'gone'::text])))
);
CREATE TABLE public.summary_letter (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    letter jsonb NOT NULL
);
ALTER TABLE ONLY public.summary_letter FORCE ROW LEVEL SECURITY;
CREATE TABLE public.training_plan (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    plan jsonb NOT NULL
);
ALTER TABLE ONLY public.training_plan FORCE ROW LEVEL SECURITY;
CREATE TABLE public.training_session (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    day date NOT NULL,
    ended_at timestamp with time zone,
    is_light boolean DEFAULT false NOT NULL,
    place text DEFAULT 'studio'::text NOT NULL,
    CONSTRAINT training_session_place_check CHECK ((place = ANY (ARRAY['studio'::text, 'home'::text])))
);
ALTER TABLE ONLY public.training_session FORCE ROW LEVEL SECURITY;
CREATE TABLE public."twoFactor" (
    id text NOT NULL,
    secret text NOT NULL,
    "backupCodes" text NOT NULL,
    "userId" text NOT NULL,
    verified boolean,
    "failedVerificationCount" integer,
    "lockedUntil" timestamp with time zone
);
CREATE TABLE public."user" (
    id text NOT NULL,
    name text NOT NULL,
    email text NOT NULL,
    "emailVerified" boolean NOT NULL,
    image text,
    "createdAt" timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    "updatedAt" timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    "twoFactorEnabled" boolean DEFAULT false
);
CREATE TABLE public.verification (
    id text NOT NULL,
    identifier text NOT NULL,
    value text NOT NULL,
    "expiresAt" timestamp with time zone NOT NULL,
    "createdAt" timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL,
    "updatedAt" timestamp with time zone DEFAULT CURRENT_TIMESTAMP NOT NULL
);
CREATE TABLE public.visit (
    studio_id uuid NOT NULL,
    id uuid NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    created_by text NOT NULL,
    client_id uuid NOT NULL,
    visit_id uuid NOT NULL,
    visit jsonb
);
ALTER TABLE ONLY public.visit FORCE ROW LEVEL SECURITY;
ALTER TABLE ONLY public.mikro_orm_migrations ALTER COLUMN id SET DEFAULT nextval('public.mikro_orm_migrations_id_seq'::regclass);
ALTER TABLE ONLY public.account
    ADD CONSTRAINT account_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.audit_event
    ADD CONSTRAINT audit_event_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.band
    ADD CONSTRAINT band_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.body_measure
    ADD CONSTRAINT body_measure_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.private_link
    ADD CONSTRAINT calendar_link_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.calm_pose
    ADD CONSTRAINT calm_pose_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.ceiling_confirmation
    ADD CONSTRAINT ceiling_confirmation_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.ceiling
    ADD CONSTRAINT ceiling_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.clearance
    ADD CONSTRAINT clearance_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.client_contact
    ADD CONSTRAINT client_contact_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.client_limit
    ADD CONSTRAINT client_limit_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.client_note
    ADD CONSTRAINT client_note_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.client
    ADD CONSTRAINT client_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.client_revision
    ADD CONSTRAINT client_revision_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.complaint
    ADD CONSTRAINT complaint_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.cushion
    ADD CONSTRAINT cushion_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.daily_height
    ADD CONSTRAINT daily_height_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.demand
    ADD CONSTRAINT demand_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.fact_aside
    ADD CONSTRAINT fact_aside_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.finding
    ADD CONSTRAINT finding_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.floor_event
    ADD CONSTRAINT floor_event_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.heartbeat
    ADD CONSTRAINT heartbeat_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.home_entry
    ADD CONSTRAINT home_entry_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.home_look
    ADD CONSTRAINT home_look_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.installation
    ADD CONSTRAINT installation_pkey PRIMARY KEY (is_one);
ALTER TABLE ONLY public.invitation
    ADD CONSTRAINT invitation_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.kit_list
    ADD CONSTRAINT kit_list_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.known_device
    ADD CONSTRAINT known_device_pkey PRIMARY KEY (user_id, device_hash);
ALTER TABLE ONLY public.letter
    ADD CONSTRAINT letter_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.limit_lift
    ADD CONSTRAINT limit_lift_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.limiter
    ADD CONSTRAINT limiter_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.message
    ADD CONSTRAINT message_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.message_words
    ADD CONSTRAINT message_words_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.mikro_orm_migrations
    ADD CONSTRAINT mikro_orm_migrations_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.own_row
    ADD CONSTRAINT own_row_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.passkey
    ADD CONSTRAINT passkey_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.password_link
    ADD CONSTRAINT password_link_pkey PRIMARY KEY (token_hash);
ALTER TABLE ONLY public.performed_set
    ADD CONSTRAINT performed_set_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.posture_rule
    ADD CONSTRAINT posture_rule_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.prescription
    ADD CONSTRAINT prescription_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public."rateLimit"
    ADD CONSTRAINT "rateLimit_key_key" UNIQUE (key);
ALTER TABLE ONLY public."rateLimit"
    ADD CONSTRAINT "rateLimit_pkey" PRIMARY KEY (id);
ALTER TABLE ONLY public.response
    ADD CONSTRAINT response_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.retention
    ADD CONSTRAINT retention_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.rung
    ADD CONSTRAINT rung_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.school_choice
    ADD CONSTRAINT school_choice_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.screen
    ADD CONSTRAINT screen_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.session_item
    ADD CONSTRAINT session_item_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.session_picture
    ADD CONSTRAINT session_picture_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.session
    ADD CONSTRAINT session_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.session
    ADD CONSTRAINT session_token_key UNIQUE (token);
ALTER TABLE ONLY public.step
    ADD CONSTRAINT step_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.studio_member
    ADD CONSTRAINT studio_member_pkey PRIMARY KEY (studio_id, user_id);
ALTER TABLE ONLY public.studio
    ADD CONSTRAINT studio_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.summary_letter
    ADD CONSTRAINT summary_letter_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.training_plan
    ADD CONSTRAINT training_plan_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public.training_session
    ADD CONSTRAINT training_session_pkey PRIMARY KEY (studio_id, id);
ALTER TABLE ONLY public."twoFactor"
    ADD CONSTRAINT "twoFactor_pkey" PRIMARY KEY (id);
ALTER TABLE ONLY public."user"
    ADD CONSTRAINT user_email_key UNIQUE (email);
ALTER TABLE ONLY public."user"
    ADD CONSTRAINT user_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.verification
    ADD CONSTRAINT verification_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.visit
    ADD CONSTRAINT visit_pkey PRIMARY KEY (studio_id, id);
CREATE INDEX "account_userId_idx" ON public.account USING btree ("userId");
CREATE INDEX audit_event_latest ON public.audit_event USING btree (studio_id, created_at DESC, id DESC);
CREATE INDEX audit_event_row ON public.audit_event USING btree (studio_id, row_id, created_at DESC);
CREATE INDEX body_measure_client ON public.body_measure USING btree (studio_id, client_id);
CREATE INDEX calendar_link_by ON public.private_link USING btree (studio_id, token_hash);
CREATE INDEX calendar_link_of ON public.private_link USING btree (studio_id, client_id, created_at);
CREATE INDEX calm_pose_client ON public.calm_pose USING btree (studio_id, client_id);
CREATE INDEX ceiling_calm_pose ON public.ceiling USING btree (studio_id, calm_pose_id);
CREATE INDEX ceiling_client ON public.ceiling USING btree (studio_id, client_id);
CREATE INDEX ceiling_confirmation_ceiling ON public.ceiling_confirmation USING btree (studio_id, ceiling_id);
CREATE INDEX ceiling_confirmation_client ON public.ceiling_confirmation USING btree (studio_id, client_id);
CREATE INDEX clearance_client ON public.clearance USING btree (studio_id, client_id);
CREATE INDEX client_contact_of ON public.client_contact USING btree (studio_id, client_id, created_at);
CREATE INDEX client_limit_client ON public.client_limit USING btree (studio_id, client_id);
CREATE INDEX client_note_of ON public.client_note USING btree (studio_id, client_id, note_id, created_at);
CREATE INDEX client_revision_latest ON public.client_revision USING btree (studio_id, client_id, created_at DESC, id DESC);
CREATE INDEX complaint_client ON public.complaint USING btree (studio_id, client_id);
CREATE INDEX cushion_latest ON public.cushion USING btree (studio_id, created_at DESC);
CREATE INDEX daily_height_client ON public.daily_height USING btree (studio_id, client_id);
CREATE INDEX decision_client ON public.decision USING btree (studio_id, client_id);
CREATE UNIQUE INDEX decision_item_unique ON public.decision USING btree (studio_id, item_id);
CREATE INDEX decision_next_rung ON public.decision USING btree (studio_id, next_rung_id);
CREATE INDEX decision_prescription ON public.decision USING btree (studio_id, prescription_id);
CREATE INDEX decision_session ON public.decision USING btree (studio_id, session_id);
CREATE INDEX demand_body_measure ON public.demand USING btree (studio_id, body_measure_id);
CREATE INDEX demand_posture_rule ON public.demand USING btree (studio_id, posture_rule_id);
CREATE INDEX demand_rung ON public.demand USING btree (studio_id, rung_id);
CREATE INDEX fact_aside_of ON public.fact_aside USING btree (studio_id, client_id);
CREATE INDEX finding_of_client ON public.finding USING btree (studio_id, client_id, protocol, day);
CREATE INDEX finding_sign ON public.finding USING btree (studio_id, client_id) WHERE ((protocol = ANY (ARRAY['bend-response'::text, 'arch-response'::text])) AND (value = (3)::double precision));
CREATE UNIQUE INDEX floor_event_receipt ON public.floor_event USING btree (studio_id, session_id, receipt);
CREATE INDEX floor_event_stop ON public.floor_event USING btree (studio_id, session_id) WHERE (public.stop_sign(kind, payload) IS NOT NULL);
CREATE INDEX home_entry_of ON public.home_entry USING btree (studio_id, client_id, kind, day);
CREATE INDEX home_entry_sign ON public.home_entry USING btree (studio_id, client_id) WHERE (kind = 'sign'::text);
CREATE INDEX home_look_of ON public.home_look USING btree (studio_id, client_id);
CREATE UNIQUE INDEX invitation_by ON public.invitation USING btree (token_hash);
CREATE INDEX kit_of_place ON public.kit_list USING btree (studio_id, client_id, created_at);
CREATE INDEX letter_of_client ON public.letter USING btree (studio_id, client_id, day);
CREATE INDEX limit_lift_limit ON public.limit_lift USING btree (studio_id, limit_id);
CREATE INDEX message_client ON public.message USING btree (studio_id, client_id, created_at DESC);
CREATE INDEX message_due ON public.message USING btree (studio_id, created_at) WHERE (sent_at IS NULL);
CREATE INDEX message_of ON public.message USING btree (studio_id, created_at);
CREATE INDEX own_row_of_id ON public.own_row USING btree (studio_id, row_id, created_at);
CREATE UNIQUE INDEX "passkey_credentialID_idx" ON public.passkey USING btree ("credentialID");
CREATE INDEX "passkey_userId_idx" ON public.passkey USING btree ("userId");
CREATE INDEX password_link_of ON public.password_link USING btree (user_id);
CREATE INDEX performed_set_item ON public.performed_set USING btree (studio_id, item_id);
CREATE INDEX performed_set_session ON public.performed_set USING btree (studio_id, session_id);
CREATE INDEX posture_rule_calm_pose ON public.posture_rule USING btree (studio_id, calm_pose_id);
CREATE INDEX posture_rule_client ON public.posture_rule USING btree (studio_id, client_id);
CREATE INDEX prescription_client ON public.prescription USING btree (studio_id, client_id);
CREATE INDEX prescription_decision ON public.prescription USING btree (studio_id, decision_id);
CREATE INDEX prescription_noted ON public.prescription USING btree (studio_id, client_id, created_at DESC) WHERE (note <> ''::text);
CREATE INDEX prescription_rung ON public.prescription USING btree (studio_id, rung_id, created_at DESC);
CREATE INDEX response_latest ON public.response USING btree (studio_id, client_id, day DESC, created_at DESC);
CREATE UNIQUE INDEX response_session_unique ON public.response USING btree (studio_id, session_id, revision) WHERE (session_id IS NOT NULL);
CREATE INDEX response_warning ON public.response USING btree (studio_id, client_id) WHERE (warning_signs <> '[]'::jsonb);
CREATE INDEX rung_client ON public.rung USING btree (studio_id, client_id);
CREATE INDEX rung_place ON public.rung USING btree (studio_id, client_id, pattern, side);
CREATE INDEX school_of_client ON public.school_choice USING btree (studio_id, client_id, created_at);
CREATE INDEX screen_latest ON public.screen USING btree (studio_id, client_id, created_at DESC);
CREATE INDEX screen_signs ON public.screen USING btree (studio_id, client_id) WHERE ((answers #> '{signs,signs}'::text[]) <> '[]'::jsonb);
CREATE INDEX session_item_prescription ON public.session_item USING btree (studio_id, prescription_id);
CREATE INDEX session_item_session ON public.session_item USING btree (studio_id, session_id);
CREATE INDEX session_item_undecided ON public.session_item USING btree (studio_id, session_id) WHERE (NOT is_decided);
CREATE INDEX session_picture_of ON public.session_picture USING btree (studio_id, client_id, day);
CREATE INDEX session_picture_session ON public.session_picture USING btree (studio_id, session_id);
CREATE INDEX "session_userId_idx" ON public.session USING btree ("userId");
CREATE INDEX step_names ON public.step USING gin (public.uuids_in(answer));
CREATE INDEX studio_member_user ON public.studio_member USING btree (user_id);
CREATE INDEX summary_letter_of ON public.summary_letter USING btree (studio_id, client_id);
CREATE INDEX training_plan_of ON public.training_plan USING btree (studio_id, client_id, created_at);
CREATE INDEX training_session_client ON public.training_session USING btree (studio_id, client_id);
CREATE INDEX training_session_day ON public.training_session USING btree (studio_id, client_id, day DESC);
CREATE INDEX training_session_open ON public.training_session USING btree (studio_id, client_id, day) WHERE (ended_at IS NULL);
CREATE INDEX training_session_recent ON public.training_session USING btree (studio_id, day DESC);
CREATE INDEX "twoFactor_secret_idx" ON public."twoFactor" USING btree (secret);
CREATE INDEX "twoFactor_userId_idx" ON public."twoFactor" USING btree ("userId");
CREATE INDEX verification_identifier_idx ON public.verification USING btree (identifier);
CREATE INDEX visit_client ON public.visit USING btree (studio_id, client_id);
CREATE INDEX visit_of ON public.visit USING btree (studio_id, visit_id, created_at);
CREATE STATISTICS public.floor_event_stops ON public.stop_sign(kind, payload) FROM public.floor_event;
CREATE TRIGGER decision_of_item AFTER INSERT ON public.decision FOR EACH ROW EXECUTE FUNCTION public.item_decided();
ALTER TABLE ONLY public.account
    ADD CONSTRAINT "account_userId_fkey" FOREIGN KEY ("userId") REFERENCES public."user"(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.audit_event
    ADD CONSTRAINT audit_event_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.band
    ADD CONSTRAINT band_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.body_measure
    ADD CONSTRAINT body_measure_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.body_measure
    ADD CONSTRAINT body_measure_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.private_link
    ADD CONSTRAINT calendar_link_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.private_link
    ADD CONSTRAINT calendar_link_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.calm_pose
    ADD CONSTRAINT calm_pose_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.calm_pose
    ADD CONSTRAINT calm_pose_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.ceiling
    ADD CONSTRAINT ceiling_calm_pose_foreign FOREIGN KEY (studio_id, calm_pose_id) REFERENCES public.calm_pose(studio_id, id);
ALTER TABLE ONLY public.ceiling_confirmation
    ADD CONSTRAINT ceiling_confirmation_studio_id_ceiling_id_fkey FOREIGN KEY (studio_id, ceiling_id) REFERENCES public.ceiling(studio_id, id);
ALTER TABLE ONLY public.ceiling_confirmation
    ADD CONSTRAINT ceiling_confirmation_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.ceiling_confirmation
    ADD CONSTRAINT ceiling_confirmation_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.ceiling
    ADD CONSTRAINT ceiling_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.ceiling
    ADD CONSTRAINT ceiling_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.clearance
    ADD CONSTRAINT clearance_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.clearance
    ADD CONSTRAINT clearance_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.client_contact
    ADD CONSTRAINT client_contact_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.client_contact
    ADD CONSTRAINT client_contact_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.client_limit
    ADD CONSTRAINT client_limit_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.client_limit
    ADD CONSTRAINT client_limit_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.client_note
    ADD CONSTRAINT client_note_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.client_note
    ADD CONSTRAINT client_note_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.client_revision
    ADD CONSTRAINT client_revision_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.client_revision
    ADD CONSTRAINT client_revision_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.client
    ADD CONSTRAINT client_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.complaint
    ADD CONSTRAINT complaint_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.complaint
    ADD CONSTRAINT complaint_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.cushion
    ADD CONSTRAINT cushion_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.daily_height
    ADD CONSTRAINT daily_height_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.daily_height
    ADD CONSTRAINT daily_height_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_item_foreign FOREIGN KEY (studio_id, item_id) REFERENCES public.session_item(studio_id, id);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_studio_id_next_rung_id_fkey FOREIGN KEY (studio_id, next_rung_id) REFERENCES public.rung(studio_id, id);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_studio_id_prescription_id_fkey FOREIGN KEY (studio_id, prescription_id) REFERENCES public.prescription(studio_id, id);
ALTER TABLE ONLY public.decision
    ADD CONSTRAINT decision_studio_id_session_id_fkey FOREIGN KEY (studio_id, session_id) REFERENCES public.training_session(studio_id, id);
ALTER TABLE ONLY public.demand
    ADD CONSTRAINT demand_studio_id_body_measure_id_fkey FOREIGN KEY (studio_id, body_measure_id) REFERENCES public.body_measure(studio_id, id);
ALTER TABLE ONLY public.demand
    ADD CONSTRAINT demand_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.demand
    ADD CONSTRAINT demand_studio_id_posture_rule_id_fkey FOREIGN KEY (studio_id, posture_rule_id) REFERENCES public.posture_rule(studio_id, id);
ALTER TABLE ONLY public.demand
    ADD CONSTRAINT demand_studio_id_rung_id_fkey FOREIGN KEY (studio_id, rung_id) REFERENCES public.rung(studio_id, id);
ALTER TABLE ONLY public.fact_aside
    ADD CONSTRAINT fact_aside_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.fact_aside
    ADD CONSTRAINT fact_aside_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.finding
    ADD CONSTRAINT finding_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.finding
    ADD CONSTRAINT finding_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.floor_event
    ADD CONSTRAINT floor_event_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.floor_event
    ADD CONSTRAINT floor_event_studio_id_session_id_fkey FOREIGN KEY (studio_id, session_id) REFERENCES public.training_session(studio_id, id);
ALTER TABLE ONLY public.home_entry
    ADD CONSTRAINT home_entry_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.home_entry
    ADD CONSTRAINT home_entry_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.home_look
    ADD CONSTRAINT home_look_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.home_look
    ADD CONSTRAINT home_look_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.invitation
    ADD CONSTRAINT invitation_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.kit_list
    ADD CONSTRAINT kit_list_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.kit_list
    ADD CONSTRAINT kit_list_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.known_device
    ADD CONSTRAINT known_device_user_id_fkey FOREIGN KEY (user_id) REFERENCES public."user"(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.letter
    ADD CONSTRAINT letter_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.letter
    ADD CONSTRAINT letter_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.limit_lift
    ADD CONSTRAINT limit_lift_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.limit_lift
    ADD CONSTRAINT limit_lift_studio_id_limit_id_fkey FOREIGN KEY (studio_id, limit_id) REFERENCES public.client_limit(studio_id, id);
ALTER TABLE ONLY public.message
    ADD CONSTRAINT message_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.message
    ADD CONSTRAINT message_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.message_words
    ADD CONSTRAINT message_words_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.own_row
    ADD CONSTRAINT own_row_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.passkey
    ADD CONSTRAINT "passkey_userId_fkey" FOREIGN KEY ("userId") REFERENCES public."user"(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.password_link
    ADD CONSTRAINT password_link_user_id_fkey FOREIGN KEY (user_id) REFERENCES public."user"(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.performed_set
    ADD CONSTRAINT performed_set_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.performed_set
    ADD CONSTRAINT performed_set_studio_id_item_id_fkey FOREIGN KEY (studio_id, item_id) REFERENCES public.session_item(studio_id, id);
ALTER TABLE ONLY public.performed_set
    ADD CONSTRAINT performed_set_studio_id_session_id_fkey FOREIGN KEY (studio_id, session_id) REFERENCES public.training_session(studio_id, id);
ALTER TABLE ONLY public.posture_rule
    ADD CONSTRAINT posture_rule_studio_id_calm_pose_id_fkey FOREIGN KEY (studio_id, calm_pose_id) REFERENCES public.calm_pose(studio_id, id);
ALTER TABLE ONLY public.posture_rule
    ADD CONSTRAINT posture_rule_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.posture_rule
    ADD CONSTRAINT posture_rule_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.prescription
    ADD CONSTRAINT prescription_decision_foreign FOREIGN KEY (studio_id, decision_id) REFERENCES public.decision(studio_id, id) DEFERRABLE;
ALTER TABLE ONLY public.prescription
    ADD CONSTRAINT prescription_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.prescription
    ADD CONSTRAINT prescription_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.prescription
    ADD CONSTRAINT prescription_studio_id_rung_id_fkey FOREIGN KEY (studio_id, rung_id) REFERENCES public.rung(studio_id, id);
ALTER TABLE ONLY public.response
    ADD CONSTRAINT response_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.response
    ADD CONSTRAINT response_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.response
    ADD CONSTRAINT response_studio_id_session_id_fkey FOREIGN KEY (studio_id, session_id) REFERENCES public.training_session(studio_id, id);
ALTER TABLE ONLY public.retention
    ADD CONSTRAINT retention_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.rung
    ADD CONSTRAINT rung_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.rung
    ADD CONSTRAINT rung_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.school_choice
    ADD CONSTRAINT school_choice_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.school_choice
    ADD CONSTRAINT school_choice_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.screen
    ADD CONSTRAINT screen_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.screen
    ADD CONSTRAINT screen_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.session_item
    ADD CONSTRAINT session_item_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.session_item
    ADD CONSTRAINT session_item_studio_id_prescription_id_fkey FOREIGN KEY (studio_id, prescription_id) REFERENCES public.prescription(studio_id, id);
ALTER TABLE ONLY public.session_item
    ADD CONSTRAINT session_item_studio_id_session_id_fkey FOREIGN KEY (studio_id, session_id) REFERENCES public.training_session(studio_id, id);
ALTER TABLE ONLY public.session_picture
    ADD CONSTRAINT session_picture_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.session_picture
    ADD CONSTRAINT session_picture_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.session_picture
    ADD CONSTRAINT session_picture_studio_id_session_id_fkey FOREIGN KEY (studio_id, session_id) REFERENCES public.training_session(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.session
    ADD CONSTRAINT "session_userId_fkey" FOREIGN KEY ("userId") REFERENCES public."user"(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.step
    ADD CONSTRAINT step_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.studio_member
    ADD CONSTRAINT studio_member_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.studio_member
    ADD CONSTRAINT studio_member_user_id_fkey FOREIGN KEY (user_id) REFERENCES public."user"(id);
ALTER TABLE ONLY public.summary_letter
    ADD CONSTRAINT summary_letter_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.summary_letter
    ADD CONSTRAINT summary_letter_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.training_plan
    ADD CONSTRAINT training_plan_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.training_plan
    ADD CONSTRAINT training_plan_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public.training_session
    ADD CONSTRAINT training_session_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id);
ALTER TABLE ONLY public.training_session
    ADD CONSTRAINT training_session_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE ONLY public."twoFactor"
    ADD CONSTRAINT "twoFactor_userId_fkey" FOREIGN KEY ("userId") REFERENCES public."user"(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.visit
    ADD CONSTRAINT visit_studio_id_client_id_fkey FOREIGN KEY (studio_id, client_id) REFERENCES public.client(studio_id, id) ON DELETE CASCADE;
ALTER TABLE ONLY public.visit
    ADD CONSTRAINT visit_studio_id_fkey FOREIGN KEY (studio_id) REFERENCES public.studio(id);
ALTER TABLE public.audit_event ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.band ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.body_measure ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.calm_pose ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.ceiling ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.ceiling_confirmation ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.clearance ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.client ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.client_contact ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.client_limit ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.client_note ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.client_revision ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.complaint ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.cushion ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.daily_height ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.decision ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.demand ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.fact_aside ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.finding ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.floor_event ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.home_entry ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.home_look ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.invitation ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.kit_list ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.letter ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.limit_lift ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.message ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.message_words ENABLE ROW LEVEL SECURITY;
CREATE POLICY of_studio ON public.audit_event USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.band USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.body_measure USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.calm_pose USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.ceiling USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.ceiling_confirmation USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.clearance USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.client USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.client_contact USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.client_limit USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.client_note USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.client_revision USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.complaint USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.cushion USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.daily_height USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.decision USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.demand USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.fact_aside USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.finding USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.floor_event USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.home_entry USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.home_look USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.invitation USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.kit_list USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.letter USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.limit_lift USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.message USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.message_words USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.own_row USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.performed_set USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.posture_rule USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.prescription USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.private_link USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.response USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.retention USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.rung USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.school_choice USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.screen USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.session_item USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.session_picture USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.step USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.studio FOR SELECT USING ((id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.studio_member USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.summary_letter USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.training_plan USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.training_session USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
CREATE POLICY of_studio ON public.visit USING ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif"))) WITH CHECK ((studio_id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
ALTER TABLE public.own_row ENABLE ROW LEVEL SECURITY;
CREATE POLICY own_studio ON public.studio FOR UPDATE USING ((id = ( SELECT (NULLIF(current_setting('app.studio'::text, true), ''::text))::uuid AS "nullif")));
ALTER TABLE public.performed_set ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.posture_rule ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.prescription ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.private_link ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.response ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.retention ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.rung ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.school_choice ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.screen ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.session_item ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.session_picture ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.step ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.studio ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.studio_member ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.summary_letter ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.training_plan ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.training_session ENABLE ROW LEVEL SECURITY;
ALTER TABLE public.visit ENABLE ROW LEVEL SECURITY;
GRANT USAGE ON SCHEMA public TO ponderis_app;
REVOKE ALL ON FUNCTION public.accept_invitation(hash text, who text, called text, mail text, password_hash text) FROM PUBLIC;
GRANT ALL ON FUNCTION public.accept_invitation(hash text, who text, called text, mail text, password_hash text) TO ponderis_app;
REVOKE ALL ON FUNCTION public.change_member(actor text, who text, to_role text) FROM PUBLIC;
GRANT ALL ON FUNCTION public.change_member(actor text, who text, to_role text) TO ponderis_app;
REVOKE ALL ON FUNCTION public.end_codes(actor text, who text) FROM PUBLIC;
GRANT ALL ON FUNCTION public.end_codes(actor text, who text) TO ponderis_app;
REVOKE ALL ON FUNCTION public.erase_client(who uuid, actor text) FROM PUBLIC;
GRANT ALL ON FUNCTION public.erase_client(who uuid, actor text) TO ponderis_app;
REVOKE ALL ON FUNCTION public.invitation_behind(hash text) FROM PUBLIC;
GRANT ALL ON FUNCTION public.invitation_behind(hash text) TO ponderis_app;
REVOKE ALL ON FUNCTION public.join_by_invitation(hash text, who text) FROM PUBLIC;
GRANT ALL ON FUNCTION public.join_by_invitation(hash text, who text) TO ponderis_app;
REVOKE ALL ON FUNCTION public.make_password_link(actor text, who text, hash text) FROM PUBLIC;
GRANT ALL ON FUNCTION public.make_password_link(actor text, who text, hash text) TO ponderis_app;
REVOKE ALL ON FUNCTION public.members_of(who text) FROM PUBLIC;
GRANT ALL ON FUNCTION public.members_of(who text) TO ponderis_app;
REVOKE ALL ON FUNCTION public.migration_count() FROM PUBLIC;
GRANT ALL ON FUNCTION public.migration_count() TO ponderis_app;
REVOKE ALL ON FUNCTION public.note_at_door(who text, what text) FROM PUBLIC;
GRANT ALL ON FUNCTION public.note_at_door(who text, what text) TO ponderis_app;
REVOKE ALL ON FUNCTION public.password_link_behind(hash text) FROM PUBLIC;
GRANT ALL ON FUNCTION public.password_link_behind(hash text) TO ponderis_app;
REVOKE ALL ON FUNCTION public.studio_ids() FROM PUBLIC;
GRANT ALL ON FUNCTION public.studio_ids() TO ponderis_app;
REVOKE ALL ON FUNCTION public.take_away(actor text, which text, fact uuid) FROM PUBLIC;
GRANT ALL ON FUNCTION public.take_away(actor text, which text, fact uuid) TO ponderis_app;
REVOKE ALL ON FUNCTION public.use_password_link(hash text, password_hash text) FROM PUBLIC;
GRANT ALL ON FUNCTION public.use_password_link(hash text, password_hash text) TO ponderis_app;
GRANT SELECT,UPDATE ON TABLE public.account TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.audit_event TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.band TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.body_measure TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.calm_pose TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.ceiling TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.ceiling_confirmation TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.clearance TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.client TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.client_contact TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.client_limit TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.client_note TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.client_revision TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.complaint TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.cushion TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.daily_height TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.decision TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.demand TO ponderis_app;
GRANT SELECT,INSERT,DELETE ON TABLE public.fact_aside TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.finding TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.floor_event TO ponderis_app;
GRANT SELECT,UPDATE ON TABLE public.heartbeat TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.home_entry TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.home_look TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.invitation TO ponderis_app;
GRANT UPDATE(ended_at) ON TABLE public.invitation TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.kit_list TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.known_device TO ponderis_app;
GRANT UPDATE(told_at) ON TABLE public.known_device TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.letter TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.limit_lift TO ponderis_app;
GRANT SELECT,INSERT,DELETE,UPDATE ON TABLE public.limiter TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.message TO ponderis_app;
GRANT UPDATE(sent_at) ON TABLE public.message TO ponderis_app;
GRANT UPDATE(tried_at) ON TABLE public.message TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.message_words TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.mikro_orm_migrations TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.own_row TO ponderis_app;
GRANT SELECT,INSERT,DELETE,UPDATE ON TABLE public.passkey TO ponderis_app;
GRANT SELECT,INSERT,UPDATE ON TABLE public.performed_set TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.posture_rule TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.prescription TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.private_link TO ponderis_app;
GRANT SELECT,INSERT,DELETE,UPDATE ON TABLE public."rateLimit" TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.response TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.retention TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.rung TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.school_choice TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.screen TO ponderis_app;
GRANT SELECT,INSERT,DELETE,UPDATE ON TABLE public.session TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.session_item TO ponderis_app;
GRANT SELECT,INSERT,DELETE ON TABLE public.session_picture TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.step TO ponderis_app;
GRANT SELECT ON TABLE public.studio TO ponderis_app;
GRANT UPDATE(name) ON TABLE public.studio TO ponderis_app;
GRANT UPDATE(time_zone) ON TABLE public.studio TO ponderis_app;
GRANT UPDATE(asks_for_codes) ON TABLE public.studio TO ponderis_app;
GRANT SELECT ON TABLE public.studio_member TO ponderis_app;
GRANT UPDATE(unit_system) ON TABLE public.studio_member TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.summary_letter TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.training_plan TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.training_session TO ponderis_app;
GRANT UPDATE(ended_at) ON TABLE public.training_session TO ponderis_app;
GRANT SELECT,INSERT,DELETE,UPDATE ON TABLE public."twoFactor" TO ponderis_app;
GRANT SELECT,UPDATE ON TABLE public."user" TO ponderis_app;
GRANT SELECT,INSERT,DELETE,UPDATE ON TABLE public.verification TO ponderis_app;
GRANT SELECT,INSERT ON TABLE public.visit TO ponderis_app;
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0001');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0002');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0003');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0004');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0005');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0006');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0007');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0008');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0009');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0010');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0011');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0012');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0013');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0014');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0015');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0016');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0017');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0018');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0019');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0020');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0021');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0022');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0023');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0024');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0025');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0026');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0027');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0028');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0029');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0030');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0031');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0032');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0033');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0034');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0035');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0036');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0037');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0038');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0039');
INSERT INTO public.mikro_orm_migrations (name) VALUES ('migration-0040');
