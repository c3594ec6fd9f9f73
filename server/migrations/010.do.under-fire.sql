-- What hostile and unlucky days may not break: sessions that end, links that die with their people, marks that add up,
-- numbers with a least and a most, one idea of an address, a second factor, the sun worked out after the survey is saved.

-- One form of an address for everybody who compares two: letters of full width, ligatures and the dotted capital I included.
create function address_form(address text) returns text language sql immutable strict parallel safe
  as $$ select pg_catalog.lower(pg_catalog.normalize(pg_catalog.btrim(address),
    'NFKC') collate pg_catalog."und-x-icu") $$;
drop index one_person_an_email;
create unique index one_person_an_address on people (address_form(email));

-- A signed-in browser. Signing out ends its row, and with it every copy of its cookie.
create table sessions (
  id uuid primary key default gen_random_uuid(),
  firm_id uuid not null,
  person_id uuid not null,
  -- What the browser calls itself, in a few words; where it asked from only as a hash.
  device text not null default '' check (length(device) <= 80),
  address_hash text not null default '' check (length(address_hash) <= 64),
  opened_at timestamptz not null default now(),
  seen_at timestamptz not null default now(),
  unique (firm_id, id),
  foreign key (firm_id, person_id) references people (firm_id, id) on delete cascade
);
create index sessions_of_person on sessions (firm_id, person_id);

alter table people
  drop column session_number,
  -- Sealed by the server's secret; null where none was set up. Counts once it was confirmed.
  add second_factor text check (length(second_factor) <= 300),
  add second_factor_on boolean not null default false check (not second_factor_on or second_factor is not null),
  -- The last half minute whose code was used: a code opens once.
  add second_factor_step bigint;
create table recovery_codes (
  firm_id uuid not null,
  person_id uuid not null,
  code_hash bytea not null,
  primary key (person_id, code_hash),
  foreign key (firm_id, person_id) references people (firm_id, id) on delete cascade
);
create index recovery_codes_of_firm on recovery_codes (firm_id);

drop function at_work(uuid, uuid, integer);
drop function person_at_the_door(text);
drop function link_at_the_door(bytea);
drop function demo_person(text);

create function person_at_the_door(wanted text)
  returns table (id uuid, firm_id uuid, password_hash text, second_factor_on boolean, known_at text[])
  language sql stable security definer set search_path = public, pg_temp
  as $$ select p.id, p.firm_id, p.password_hash, p.second_factor_on,
          array(select distinct s.address_hash from sessions s where s.firm_id = p.firm_id and s.person_id = p.id)
        from people p where address_form(p.email) = address_form(wanted) and p.active $$;

-- A link lives as long as who made it is an owner of the firm and who it is for is of the firm.
create function link_at_the_door(hash bytea)
  returns table (id uuid, firm_id uuid, kind text, role text, person_id uuid, firm_name text, email text, made_by text,
  second_factor_on boolean)
  language sql stable security definer set search_path = public, pg_temp
  as $$ select l.id, l.firm_id, l.kind, l.role, l.person_id, f.name, p.email, m.name,
    coalesce(p.second_factor_on, false)
        from entry_links l join firms f on f.id = l.firm_id
        join people m on m.firm_id = l.firm_id and m.id = l.made_by and m.active and m.role = 'owner'
        left join people p on p.firm_id = l.firm_id and p.id = l.person_id
        where l.secret_hash = hash and l.used_at is null and l.expires_at > now()
          and (l.person_id is null or p.active) $$;
-- Those of people who are gone already.
delete from entry_links l using people p
  where l.used_at is null and p.firm_id = l.firm_id
    and (p.id = l.made_by and not (p.active and p.role = 'owner') or p.id = l.person_id and not p.active);

create function demo_person(wanted text) returns table (id uuid, firm_id uuid)
  language sql stable security definer set search_path = public, pg_temp
  as $$ select p.id, p.firm_id from people p join firms f on f.id = p.firm_id
    where f.demo and p.role = wanted and p.active order by p.created_at, p.id limit 1 $$;

-- The moment goes out as it is; which day that is at the firm is worked out where zones are known, in one place.
create function at_work(firm uuid, person uuid, session uuid) returns json
  language sql stable security definer set search_path = public, pg_temp
  as $$ select json_build_object(
          'firm', json_build_object('id', f.id, 'name', f.name, 'units', f.units, 'currency', f.currency,
            'timeZone', f.time_zone, 'demo', f.demo,
            'schools', f.schools, 'planning', f.planning, 'workingDays', f.working_days, 'holidays', f.holidays,
              'hoursADay', f.hours_a_day, 'licences', f.licences, 'version', f.version,
            'homeStationId', (select s.id from stations s where s.firm_id = f.id and s.home)),
          'person', json_build_object('id', p.id, 'name', p.name, 'email', p.email, 'role', p.role, 'units', p.units,
            'secondFactor', p.second_factor_on),
          'session', json_build_object('id', s.id, 'seenAt', s.seen_at),
          'now', coalesce(f.clock_stands_at, now()))
        from firms f join people p on p.firm_id = f.id join sessions s on s.firm_id = f.id and s.person_id = p.id
        where f.id = firm and p.id = person and s.id = session and p.active
          and s.opened_at > now() - interval '30 days' $$;
revoke all on function at_work(uuid, uuid, uuid), person_at_the_door(text), link_at_the_door(bytea), demo_person(text)
  from public;
grant execute on function at_work(uuid, uuid, uuid), person_at_the_door(text), link_at_the_door(bytea),
  demo_person(text) to upper_sill_work;

-- Numbers with a least and a most. What lies below it was never measured, and dividing by it overflows.
update operations_done set hours = null where hours > 0 and hours < 0.01;
update operations_done set mass_kg = null where mass_kg > 0 and mass_kg < 0.001;
update operations_done set volume_m3 = null where volume_m3 > 0 and volume_m3 < 0.001;
update operations_done set area_m2 = null where area_m2 < 0.1;
alter table operations_done
  add constraint hours_least check (hours = 0 or hours >= 0.01),
  add constraint mass_least check (mass_kg = 0 or mass_kg >= 0.001),
  add constraint volume_least check (volume_m3 = 0 or volume_m3 >= 0.001),
  add constraint area_least check (area_m2 >= 0.1);
update zones set area_m2 = null where area_m2 < 0.01;
-- What was drawn larger stands until it is saved again.
alter table zones
  add constraint area_of_a_lawn check (area_m2 between 0.01 and 200000) not valid,
  add constraint shares_least check (
    (desirable_share = 0 or desirable_share >= 0.0001) and (weed_share = 0 or weed_share >= 0.0001)
      and (coarse_share = 0 or coarse_share >= 0.0001)
    and (bare_share = 0 or bare_share >= 0.0001) and (slope_share = 0 or slope_share >= 0.0001)) not valid;
alter table site_features
  drop constraint site_features_points_check,
  add constraint site_features_points_check check (jsonb_typeof(points) = 'array'
    and jsonb_array_length(points) between 1 and 5000);

-- Marks add up: each by an id of its own, several people's parts of one task on one day among them.
alter table operations_done
  add id uuid not null default gen_random_uuid(),
  drop constraint operations_done_pkey,
  add primary key (id),
  add unique (firm_id, id);
alter table operations_done alter id drop default;
create index operations_done_of_lawn on operations_done (firm_id, lawn_id, slip);

alter table stock_moves add mark_id uuid;
update stock_moves m set mark_id = d.id from operations_done d
  where d.firm_id = m.firm_id and d.lawn_id = m.lawn_id and d.slip = m.slip and d.done_on = m.done_on;
drop index stock_moves_of_mark;
alter table stock_moves
  drop column slip, drop column done_on,
  drop constraint stock_moves_amount_check,
  drop constraint stock_moves_lawn_id_fkey,
  add constraint stock_moves_amount_check check (abs(amount) <= 10000000 and (amount = 0 or abs(amount) >= 0.000001)),
  -- A lawn that is deleted does not bring its seed back; taking a mark back does, by the hand that takes it.
  add foreign key (firm_id, lawn_id) references lawns (firm_id, id) on delete set null (lawn_id),
  add foreign key (firm_id, mark_id) references operations_done (firm_id, id) on delete set null (mark_id);
create index stock_moves_of_mark on stock_moves (firm_id, mark_id) where mark_id is not null;
create index stock_moves_of_lawn on stock_moves (firm_id, lawn_id) where lawn_id is not null;

-- The sun over a drawing is worked out after the survey is saved: for which drawing, and for which it was done.
alter table lawns
  add sun_wanted text check (sun_wanted ~ '^[0-9a-f]{64}$'),
  add sun_done text check (sun_done ~ '^[0-9a-f]{64}$');

do $$ declare name text; begin
  foreach name in array array['sessions', 'recovery_codes'] loop
    execute format('alter table %I enable row level security', name);
    execute format('create policy of_the_firm_at_work on %I using (firm_id = firm_at_work()) with check (firm_id = firm_at_work())', name);
    execute format('grant select, insert, update, delete on %I to upper_sill_work', name);
  end loop;
end $$;
-- Two tables that are of no firm, under the same discipline: counted tries, which hold hashes, and the version, which is only read.
alter table attempts enable row level security;
create policy counted_by_the_server on attempts to upper_sill_work using (true) with check (length(key) <= 255);
alter table migrations enable row level security;
create policy read_by_the_server on migrations for select to upper_sill_work using (true);
