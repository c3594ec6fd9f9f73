-- A key by which a logger or a script delivers days to one station: its secret is told once, only its hash is kept.
create table station_keys (
  id uuid primary key default gen_random_uuid(),
  firm_id uuid not null,
  station_id uuid not null,
  name text not null check (length(name) between 1 and 60),
  secret_hash bytea not null unique,
  made_at timestamptz not null default now(),
  used_at timestamptz,
  foreign key (firm_id, station_id) references stations (firm_id, id) on delete cascade
);
create index station_keys_of_station on station_keys (firm_id, station_id);
alter table station_keys enable row level security;
create policy of_the_firm_at_work on station_keys using (firm_id = firm_at_work()) with check (firm_id = firm_at_work());
grant select, insert, update, delete on station_keys to upper_sill_work;

-- Whoever delivers is not signed in: the key, or the operator's folder, says which station and firm.
create function station_of_key(hash bytea) returns json
  language sql stable security definer set search_path = public, pg_temp
  as $$ select json_build_object('firmId', k.firm_id, 'stationId', k.station_id, 'keyId', k.id, 'timeZone', f.time_zone,
          'now', coalesce(f.clock_stands_at, now()))
        from station_keys k join firms f on f.id = k.firm_id where k.secret_hash = hash $$;
create function station_of_folder(station uuid) returns json
  language sql stable security definer set search_path = public, pg_temp
  as $$ select json_build_object('firmId', s.firm_id, 'stationId', s.id, 'timeZone', f.time_zone,
          'now', coalesce(f.clock_stands_at, now()))
        from stations s join firms f on f.id = s.firm_id where s.id = station and s.kind = 'imported' $$;
revoke all on function station_of_key(bytea), station_of_folder(uuid) from public;
grant execute on function station_of_key(bytea), station_of_folder(uuid) to upper_sill_work;
