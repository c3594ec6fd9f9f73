-- What the law of a firm's place says to fertilizer, and how slowly a starter dissolves.
alter table firms add feed_rules jsonb not null default '{"phosphorus": "exemption", "blackouts": []}';
alter table jobs add starter_slow_share double precision not null default 0 check (starter_slow_share between 0 and 1);

create or replace function at_work(firm uuid, person uuid, session uuid) returns json
  language plpgsql stable security definer set search_path = public, pg_temp
  as $$ begin return (select json_build_object(
          'firm', json_build_object('id', f.id, 'name', f.name, 'units', f.units, 'currency', f.currency,
            'timeZone', f.time_zone, 'demo', f.demo, 'grows', f.grows, 'language', f.language,
            'practices', f.practices, 'planning', f.planning, 'workingDays', f.working_days, 'holidays', f.holidays,
            'feedRules', f.feed_rules,
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
