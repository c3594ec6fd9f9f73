-- What is told over and over is not worked out each time: days of a station, the age of what is kept of a lawn, and the
-- order of the list stand in columns of their own, kept by triggers so that no writer has to think of them.

-- How many days a station has, from when to when; told_version goes up with all that it tells: days, forecasts, readings.
alter table stations
  add days integer not null default 0,
  add first_day date,
  add last_day date,
  add told_version integer not null default 0;

create function count_days_of_stations() returns trigger language plpgsql as $$
  begin
    update stations s set told_version = s.told_version + 1, (days, first_day, last_day) =
        (select count(*), min(w.day), max(w.day) from weather_days w where w.firm_id = s.firm_id and w.station_id = s.id)
      where (s.firm_id, s.id) in (select firm_id, station_id from told);
    return null;
  end $$;
create function station_tells() returns trigger language plpgsql as $$
  begin
    update stations s set told_version = s.told_version + 1
      where (s.firm_id, s.id) in (select firm_id, station_id from told);
    return null;
  end $$;

-- Revision goes up with everything that is told of a lawn, its own row included. Whether its survey lacks something that
-- no plan can do without, and when its job in view is sown, are what the list is sorted by.
alter table lawns
  add revision bigint not null default 0,
  add lacking boolean not null default true,
  add sown_on date;
-- Goes up with every change of a lawn, of what is kept of one, or of stock: what was read of a firm holds until then.
alter table firms add records_version bigint not null default 0;
create index lawns_as_listed on lawns (firm_id, lacking desc, sown_on);

create function next_revision() returns trigger language plpgsql as $$
  begin
    new.revision := old.revision + 1;
    return new;
  end $$;
create trigger lawn_revised before update on lawns for each row execute function next_revision();

create function lawn_touched() returns trigger language plpgsql as $$
  begin
    update lawns l set revision = l.revision where (l.firm_id, l.id) in (select firm_id, lawn_id from told);
    return null;
  end $$;
create function lawn_lacks(firm uuid, lawn uuid) returns boolean language sql stable
  as $$ select exists (select from zones where firm_id = firm and lawn_id = lawn
    and (grass is null or bare_share is null or area_m2 is null or mowing_height_mm is null or plugs_mm = '{}'
      or coalesce(sun_hours, sun_by_month_h[1]) is null)) $$;
-- Open jobs before those that ended, the oldest open one and the latest ended one first.
create function lawn_sown_on(firm uuid, lawn uuid) returns date language sql stable
  as $$ select sow_on from jobs where firm_id = firm and lawn_id = lawn
    order by outcome is not null, case when outcome is null then number else -number end limit 1 $$;
create function lawn_surveyed() returns trigger language plpgsql as $$
  begin
    update lawns l set lacking = lawn_lacks(l.firm_id, l.id)
      where (l.firm_id, l.id) in (select firm_id, lawn_id from told);
    return null;
  end $$;
create function lawn_planned() returns trigger language plpgsql as $$
  begin
    update lawns l set sown_on = lawn_sown_on(l.firm_id, l.id)
      where (l.firm_id, l.id) in (select firm_id, lawn_id from told);
    return null;
  end $$;

create function records_changed() returns trigger language plpgsql as $$
  begin
    update firms f set records_version = f.records_version + 1 where f.id in (select firm_id from told);
    return null;
  end $$;

do $$ declare kept record; begin
  for kept in select * from (values ('weather_days', 'count_days_of_stations'), ('forecast_days', 'station_tells'),
      ('probe_readings', 'station_tells'), ('applications', 'lawn_touched'), ('marks', 'lawn_touched'),
      ('site_features', 'lawn_touched'), ('stock_moves', 'lawn_touched'), ('zones', 'lawn_surveyed'),
      ('jobs', 'lawn_planned'),
      ('lawns', 'records_changed'), ('kept_outlines', 'records_changed'), ('stock_items', 'records_changed'),
      ('stock_moves', 'records_changed')) as kept (of_table, by_function) loop
    execute format('create trigger %I after insert on %I referencing new table as told
      for each statement execute function %I()', kept.by_function || '_added', kept.of_table, kept.by_function);
    execute format('create trigger %I after update on %I referencing new table as told
      for each statement execute function %I()', kept.by_function || '_changed', kept.of_table, kept.by_function);
    execute format('create trigger %I after delete on %I referencing old table as told
      for each statement execute function %I()', kept.by_function || '_removed', kept.of_table, kept.by_function);
  end loop;
end $$;

-- Names of clients and people are told with lawns, and nothing is planned by them. Signing in changes rows of people too.
create function name_told() returns trigger language plpgsql as $$
  begin
    update firms set records_version = records_version + 1 where id = new.firm_id;
    return null;
  end $$;
create trigger name_told after update of name on clients for each row
  when (old.name is distinct from new.name) execute function name_told();
create trigger name_told after update of name on people for each row
  when (old.name is distinct from new.name) execute function name_told();

update stations s set (days, first_day, last_day) =
  (select count(*), min(w.day), max(w.day) from weather_days w where w.firm_id = s.firm_id and w.station_id = s.id);
update lawns set lacking = lawn_lacks(firm_id, id), sown_on = lawn_sown_on(firm_id, id);
-- What was kept goes by another stamp from now on.
delete from kept_outlines;

-- Asked with every request. A function in SQL is planned anew each time it is called, one in PL/pgSQL once a connection.
create or replace function at_work(firm uuid, person uuid, session uuid) returns json
  language plpgsql stable security definer set search_path = public, pg_temp
  as $$ begin return (select json_build_object(
          'firm', json_build_object('id', f.id, 'name', f.name, 'units', f.units, 'currency', f.currency,
            'timeZone', f.time_zone, 'demo', f.demo,
            'practices', f.practices, 'planning', f.planning, 'workingDays', f.working_days, 'holidays', f.holidays,
              'hoursADay', f.hours_a_day, 'licences', f.licences, 'version', f.version,
            'homeStationId', (select s.id from stations s where s.firm_id = f.id and s.home)),
          'person', json_build_object('id', p.id, 'name', p.name, 'email', p.email, 'role', p.role, 'units', p.units,
            'secondFactor', p.second_factor_on),
          'session', json_build_object('id', s.id, 'seenAt', s.seen_at),
          'now', coalesce(f.clock_stands_at, now()),
          'stamps', json_build_object('records', f.records_version, 'stations',
            (select md5(string_agg(concat_ws(',', s.id, s.version, s.told_version), ';' order by s.id))
              from stations s where s.firm_id = f.id)))
        from firms f join people p on p.firm_id = f.id join sessions s on s.firm_id = f.id and s.person_id = p.id
        where f.id = firm and p.id = person and s.id = session and p.active
          and s.opened_at > now() - interval '30 days'); end $$;
