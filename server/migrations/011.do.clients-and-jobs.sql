-- client → lawn → job. A client may have several lawns; a lawn has one renovation or overseeding after another, each with
-- its plan, versions and marks. What was the one plan of a lawn becomes its first job.

create table clients (
  id uuid primary key default gen_random_uuid(),
  firm_id uuid not null references firms on delete cascade,
  name text not null check (length(name) between 1 and 80),
  created_at timestamptz not null default now(),
  unique (firm_id, id)
);
create index clients_of_firm on clients (firm_id, name);
-- Lawns under one name are one client's: nothing else tells them apart.
insert into clients (firm_id, name, created_at) select firm_id, client, min(created_at) from lawns group by firm_id, client;

alter table lawns
  add client_id uuid,
  -- Day of the firm on which the survey was saved last.
  add surveyed_on date,
  add foreign key (firm_id, client_id) references clients (firm_id, id);
update lawns l set client_id = c.id, surveyed_on = l.updated_at::date
  from clients c where c.firm_id = l.firm_id and c.name = l.client;
drop index lawns_of_firm;
alter table lawns alter client_id set not null, drop column client;
create index lawns_of_client on lawns (firm_id, client_id);

alter table plans rename to jobs;
alter table jobs
  drop constraint plans_pkey,
  add id uuid not null default gen_random_uuid(),
  -- Counted on its lawn from 1.
  add number smallint not null default 1 check (number between 1 and 200),
  add begun_on date,
  add confirmed_on date,
  add confirmed_by uuid,
  -- Version that was confirmed; a later one was changed since.
  add confirmed_version integer,
  add outcome text check (outcome in ('closed', 'called off')),
  add ended_on date,
  add ended_by uuid,
  add ending_note text not null default '' check (length(ending_note) <= 1000),
  -- Ground, survey, plan, prices and version of the core as they were when it ended: shown, never planned anew.
  add record jsonb check (jsonb_typeof(record) = 'object'),
  -- What its tasks still to do will use up, kg or m³ by material; kept with each change of plan, marks or survey.
  add wanted jsonb not null default '{}' check (jsonb_typeof(wanted) = 'object'),
  -- Zones it was on when it ended; those of an open one are told by the zones themselves.
  add zones_then uuid[],
  alter version set default 0,
  add primary key (id),
  add unique (firm_id, id),
  add unique (lawn_id, number),
  add constraint jobs_confirmed_by_fkey foreign key (firm_id, confirmed_by) references people (firm_id, id),
  add constraint jobs_ended_by_fkey foreign key (firm_id, ended_by) references people (firm_id, id),
  add constraint ended_whole check ((outcome is null) = (ended_on is null) and (outcome is null) = (record is null)),
  add constraint confirmed_whole check ((confirmed_on is null) = (confirmed_version is null));
insert into jobs (firm_id, lawn_id, version) select firm_id, id, 0 from lawns l
  where not exists (select from jobs where lawn_id = l.id);
update jobs j set begun_on = l.created_at::date from lawns l where l.id = j.lawn_id;
alter table jobs alter begun_on set not null, alter id drop default;
create index jobs_of_firm on jobs (firm_id, lawn_id);

-- The open job a zone is in: in one at most, by where it is written.
alter table zones
  -- Grubs under lifted turf.
  add grubs text check (grubs in ('none', 'few', 'many')),
  add job_id uuid,
  add foreign key (firm_id, job_id) references jobs (firm_id, id) on delete set null (job_id);
update zones z set job_id = j.id from jobs j where j.lawn_id = z.lawn_id;
create index zones_of_job on zones (firm_id, job_id) where job_id is not null;

alter table plan_versions
  add job_id uuid,
  -- Saved by confirming the schedule.
  add confirmed boolean not null default false;
update plan_versions v set job_id = j.id from jobs j where j.lawn_id = v.lawn_id;
alter table plan_versions
  drop constraint plan_versions_pkey,
  alter job_id set not null,
  add primary key (job_id, version),
  drop column lawn_id,
  add foreign key (firm_id, job_id) references jobs (firm_id, id) on delete cascade;
create index plan_versions_of_firm on plan_versions (firm_id, job_id);

alter table operations_done rename to marks;
alter table marks
  add job_id uuid,
  -- What held the work when it was done all the same; its note says why.
  add against text not null default '' check (length(against) <= 400);
update marks m set job_id = j.id from jobs j where j.lawn_id = m.lawn_id;
alter table marks
  alter job_id set not null,
  add foreign key (firm_id, job_id) references jobs (firm_id, id) on delete cascade;
alter table marks rename column slip to task;
drop index operations_done_of_lawn;
create index marks_of_job on marks (firm_id, job_id, task);
create index marks_of_lawn on marks (firm_id, lawn_id);

alter table photos
  add job_id uuid,
  add foreign key (firm_id, job_id) references jobs (firm_id, id) on delete set null (job_id);
update photos f set job_id = j.id from jobs j where j.lawn_id = f.lawn_id;

alter table clients enable row level security;
create policy of_the_firm_at_work on clients using (firm_id = firm_at_work()) with check (firm_id = firm_at_work());
grant select, insert, update, delete on clients to upper_sill_work;

-- Looked at last: with a firm its people go before its jobs.
alter table jobs
  alter constraint plans_firm_id_updated_by_fkey deferrable initially deferred,
  alter constraint jobs_confirmed_by_fkey deferrable initially deferred,
  alter constraint jobs_ended_by_fkey deferrable initially deferred;
alter table plan_versions alter constraint plan_versions_firm_id_saved_by_fkey deferrable initially deferred;
alter table marks alter constraint operations_done_firm_id_recorded_by_fkey deferrable initially deferred;
