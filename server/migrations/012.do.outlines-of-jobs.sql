-- What a list says of a job, kept until something it depends on changes: what is its lawn's own, what is the firm's, the
-- day and the weather around it, and the build that worked it out.

create table kept_outlines (
  firm_id uuid not null,
  job_id uuid primary key,
  -- Hashes of what it was worked out from.
  own text not null,
  around text not null,
  outline jsonb not null check (jsonb_typeof(outline) = 'object'),
  foreign key (firm_id, job_id) references jobs (firm_id, id) on delete cascade
);
create index kept_outlines_of_firm on kept_outlines (firm_id, job_id);

alter table kept_outlines enable row level security;
create policy of_the_firm_at_work on kept_outlines using (firm_id = firm_at_work()) with check (firm_id = firm_at_work());
grant select, insert, update, delete on kept_outlines to upper_sill_work;
