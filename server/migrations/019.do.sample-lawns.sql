-- Lawns that are loaded to try things out, and go together again.
alter table lawns add sample boolean not null default false;
