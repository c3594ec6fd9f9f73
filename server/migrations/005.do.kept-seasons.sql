-- Seasons worked out once for all servers, by a hash of everything they were worked out from. Never told to be right by
-- their age: what goes into them changes the hash.

create table kept_outlooks (
  firm_id uuid not null references firms (id) on delete cascade,
  hash text not null check (hash ~ '^[0-9a-f]{64}$'),
  outlook jsonb not null check (jsonb_typeof(outlook) = 'object'),
  years_from text not null,
  kept_at timestamptz not null default now(),
  primary key (firm_id, hash)
);
create index kept_outlooks_by_age on kept_outlooks (firm_id, kept_at);

alter table kept_outlooks enable row level security;
create policy of_the_firm_at_work on kept_outlooks using (firm_id = firm_at_work()) with check (firm_id = firm_at_work());
grant select, insert, update, delete on kept_outlooks to upper_sill_work;
