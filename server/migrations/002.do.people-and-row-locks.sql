-- People who sign in, and a second lock: under the role the server works in, rows of a firm show only while it is at work.

do $$ begin
  if not exists (select from pg_roles where rolname = 'upper_sill_work') then
    create role upper_sill_work nologin;
  end if;
exception
  -- Another database of this cluster made it a moment ago.
  when duplicate_object or unique_violation then null;
  when insufficient_privilege then
    raise exception 'The role upper_sill_work is missing and % may not create it. An administrator runs: create role upper_sill_work nologin; grant upper_sill_work to %;', current_user, current_user;
end $$;
do $$ begin
  if not pg_has_role(current_user, 'upper_sill_work', 'member') then
    execute format('grant upper_sill_work to %I', current_user);
  end if;
end $$;

alter table firms
  -- Where the demo's clock stands; a real firm lives by the machine's time.
  add clock_stands_at timestamptz,
  add schools jsonb not null default '{}' check (jsonb_typeof(schools) = 'object'),
  -- 0 is Sunday.
  add working_days smallint[] not null default '{1,2,3,4,5,6}' check (working_days <@ '{0,1,2,3,4,5,6}' and cardinality(working_days) between 1 and 7),
  add licences jsonb not null default '[]' check (jsonb_typeof(licences) = 'array' and jsonb_array_length(licences) <= 12),
  add version integer not null default 1,
  add constraint only_the_demo_stands_still check (demo or clock_stands_at is null);
update firms set clock_stands_at = (select stands_at from clock) where demo;
drop table clock;

create table people (
  id uuid primary key default gen_random_uuid(),
  firm_id uuid not null references firms on delete cascade,
  name text not null check (length(name) between 1 and 80),
  email text not null check (length(email) between 3 and 200),
  role text not null check (role in ('owner', 'technician')),
  -- None for the people of the demo, who are let in without.
  password_hash text check (length(password_hash) <= 300),
  -- None: the units of the firm.
  units text check (units in ('us', 'metric')),
  -- A session sealed under a smaller number is over.
  session_number integer not null default 1,
  active boolean not null default true,
  created_at timestamptz not null default now(),
  unique (firm_id, id)
);
create unique index one_person_an_email on people (lower(email));
create index people_of_firm on people (firm_id);

-- Invitations and password resets: known by the hash of the secret in the link, good once and for a while.
create table entry_links (
  id uuid primary key default gen_random_uuid(),
  firm_id uuid not null references firms on delete cascade,
  kind text not null check (kind in ('invitation', 'reset')),
  role text check (role in ('owner', 'technician')),
  person_id uuid,
  secret_hash bytea not null unique,
  made_by uuid not null,
  made_at timestamptz not null default now(),
  expires_at timestamptz not null,
  used_at timestamptz,
  foreign key (firm_id, person_id) references people (firm_id, id),
  foreign key (firm_id, made_by) references people (firm_id, id),
  check (case kind when 'reset' then person_id is not null else role is not null end)
);
create index entry_links_of_firm on entry_links (firm_id);

-- Counted by the server's limiter, for all instances; keys are hashes.
create table attempts (
  key varchar(255) primary key,
  points integer not null default 0,
  expire bigint
);

alter table lawns add updated_by uuid, add foreign key (firm_id, updated_by) references people (firm_id, id);
alter table plans add updated_by uuid, add foreign key (firm_id, updated_by) references people (firm_id, id);
alter table operations_done add recorded_by uuid, add foreign key (firm_id, recorded_by) references people (firm_id, id);

create function firm_at_work() returns uuid language sql stable
  as $$ select nullif(current_setting('sill.firm', true), '')::uuid $$;

do $$ declare name text; begin
  foreach name in array array['stations', 'weather_days', 'forecast_days', 'probe_readings', 'lawns', 'applications', 'plans', 'operations_done', 'people', 'entry_links'] loop
    execute format('alter table %I enable row level security', name);
    execute format('create policy of_the_firm_at_work on %I using (firm_id = firm_at_work()) with check (firm_id = firm_at_work())', name);
    execute format('grant select, insert, update, delete on %I to upper_sill_work', name);
  end loop;
end $$;
alter table firms enable row level security;
create policy of_the_firm_at_work on firms using (id = firm_at_work()) with check (id = firm_at_work());
grant select, insert, update on firms to upper_sill_work;
grant select, insert, update, delete on attempts to upper_sill_work;
grant select on migrations to upper_sill_work;
grant usage on schema public to upper_sill_work;

-- What has to be known before a firm is at work, and no more of it.
create function person_at_the_door(wanted text) returns table (id uuid, firm_id uuid, password_hash text, session_number integer)
  language sql stable security definer set search_path = public, pg_temp
  as $$ select p.id, p.firm_id, p.password_hash, p.session_number from people p where lower(p.email) = lower(wanted) and p.active $$;

create function link_at_the_door(hash bytea) returns table (id uuid, firm_id uuid, kind text, role text, person_id uuid, firm_name text, email text)
  language sql stable security definer set search_path = public, pg_temp
  as $$ select l.id, l.firm_id, l.kind, l.role, l.person_id, f.name, p.email
        from entry_links l join firms f on f.id = l.firm_id left join people p on p.id = l.person_id
        where l.secret_hash = hash and l.used_at is null and l.expires_at > now() $$;

create function demo_person(wanted text) returns table (id uuid, firm_id uuid, session_number integer)
  language sql stable security definer set search_path = public, pg_temp
  as $$ select p.id, p.firm_id, p.session_number from people p join firms f on f.id = p.firm_id
        where f.demo and p.role = wanted and p.active order by p.created_at, p.id limit 1 $$;

-- Asked once by every request, so in one question: the firm, the person and the day, as long as the session stands.
create function at_work(firm uuid, person uuid, session integer) returns json
  language sql stable security definer set search_path = public, pg_temp
  as $$ select json_build_object(
          'firm', json_build_object('id', f.id, 'name', f.name, 'units', f.units, 'currency', f.currency, 'timeZone', f.time_zone, 'demo', f.demo,
            'schools', f.schools, 'workingDays', f.working_days, 'licences', f.licences, 'version', f.version,
            'homeStationId', (select s.id from stations s where s.firm_id = f.id and s.home)),
          'person', json_build_object('id', p.id, 'name', p.name, 'email', p.email, 'role', p.role, 'units', p.units),
          'today', (coalesce(f.clock_stands_at, now()) at time zone f.time_zone)::date)
        from firms f join people p on p.firm_id = f.id
        where f.id = firm and p.id = person and p.session_number = session and p.active $$;

revoke all on function at_work(uuid, uuid, integer), person_at_the_door(text), link_at_the_door(bytea), demo_person(text) from public;
grant execute on function at_work(uuid, uuid, integer), person_at_the_door(text), link_at_the_door(bytea), demo_person(text) to upper_sill_work;
