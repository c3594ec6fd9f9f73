-- What was decided about the run of operations, every version of a plan, what was really done, and the firm's hours and holidays.

alter table plans add work jsonb not null default '{}' check (jsonb_typeof(work) = 'object');

-- Each version as it was saved, whole, so that it can be read and taken back.
create table plan_versions (
  firm_id uuid not null,
  lawn_id uuid not null,
  version integer not null,
  plan jsonb not null check (jsonb_typeof(plan) = 'object'),
  saved_by uuid,
  saved_at timestamptz not null default now(),
  primary key (lawn_id, version),
  foreign key (firm_id, lawn_id) references lawns (firm_id, id) on delete cascade,
  foreign key (firm_id, saved_by) references people (firm_id, id)
);
create index plan_versions_of_firm on plan_versions (firm_id, lawn_id);
alter table plan_versions enable row level security;
create policy of_the_firm_at_work on plan_versions using (firm_id = firm_at_work()) with check (firm_id = firm_at_work());
grant select, insert, delete on plan_versions to upper_sill_work;

-- Known by the key of its slip; work over several days has a row for each.
alter table operations_done
  drop constraint operations_done_code_check,
  drop constraint operations_done_pkey;
alter table operations_done rename column code to slip;
alter table operations_done
  add constraint operations_done_slip_check check (slip ~ '^[a-zA-Z0-9-]{2,60}$'),
  add primary key (lawn_id, slip, done_on),
  add share double precision not null default 1 check (share between 0.01 and 1),
  add passed boolean not null default true,
  add hours double precision check (hours between 0 and 400),
  add height_mm double precision check (height_mm between 3 and 300),
  add passes smallint check (passes between 1 and 20),
  add mass_kg double precision check (mass_kg between 0 and 20000),
  add weather text not null default '' check (length(weather) <= 120),
  add note text not null default '' check (length(note) <= 400);

alter table firms
  add holidays date[] not null default '{}' check (cardinality(holidays) <= 60),
  add hours_a_day double precision not null default 16 check (hours_a_day between 1 and 400);

create or replace function at_work(firm uuid, person uuid, session integer) returns json
  language sql stable security definer set search_path = public, pg_temp
  as $$ select json_build_object(
          'firm', json_build_object('id', f.id, 'name', f.name, 'units', f.units, 'currency', f.currency, 'timeZone', f.time_zone, 'demo', f.demo,
            'schools', f.schools, 'planning', f.planning, 'workingDays', f.working_days, 'holidays', f.holidays, 'hoursADay', f.hours_a_day, 'licences', f.licences, 'version', f.version,
            'homeStationId', (select s.id from stations s where s.firm_id = f.id and s.home)),
          'person', json_build_object('id', p.id, 'name', p.name, 'email', p.email, 'role', p.role, 'units', p.units),
          'today', (coalesce(f.clock_stands_at, now()) at time zone f.time_zone)::date)
        from firms f join people p on p.firm_id = f.id
        where f.id = firm and p.id = person and p.session_number = session and p.active $$;
