-- What is seen of a bed after sowing: seedlings counted, heights, green cover, waterings given or missed. Added and taken back, never changed.
create table observations (
  id uuid primary key,
  firm_id uuid not null references firms on delete cascade,
  lawn_id uuid not null,
  job_id uuid not null,
  kind text not null check (kind in ('count', 'height', 'cover', 'watering')),
  seen_on date not null,
  -- By the contract of its kind.
  what jsonb not null check (jsonb_typeof(what) = 'object' and length(what::text) <= 4000),
  note text not null default '' check (length(note) <= 300),
  recorded_by uuid,
  recorded_at timestamptz not null default now(),
  foreign key (firm_id, lawn_id) references lawns (firm_id, id) on delete cascade,
  foreign key (firm_id, job_id) references jobs (firm_id, id) on delete cascade,
  foreign key (firm_id, recorded_by) references people (firm_id, id)
);
create index observations_of_job on observations (firm_id, job_id, seen_on);
alter table observations enable row level security;
create policy of_the_firm_at_work on observations using (firm_id = firm_at_work()) with check (firm_id = firm_at_work());
grant select, insert, delete on observations to upper_sill_work;
-- What was read of the lawn holds no longer: heights and counts move its plan.
create trigger lawn_touched_added after insert on observations referencing new table as told
  for each statement execute function lawn_touched();
create trigger lawn_touched_removed after delete on observations referencing old table as told
  for each statement execute function lawn_touched();
