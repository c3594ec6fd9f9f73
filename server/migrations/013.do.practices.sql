-- A firm's practices, and where a job differs from them, carry the name that everybody gives them.

alter table firms rename schools to practices;
alter table jobs rename schools to practices;
update plan_versions set plan = (plan - 'schools') || jsonb_build_object('practices', plan -> 'schools')
  where plan ? 'schools';
update jobs set record = jsonb_set(record #- '{plan,schools}', '{plan,practices}', record #> '{plan,schools}')
  where record -> 'plan' ? 'schools';

create or replace function at_work(firm uuid, person uuid, session uuid) returns json
  language sql stable security definer set search_path = public, pg_temp
  as $$ select json_build_object(
          'firm', json_build_object('id', f.id, 'name', f.name, 'units', f.units, 'currency', f.currency,
            'timeZone', f.time_zone, 'demo', f.demo,
            'practices', f.practices, 'planning', f.planning, 'workingDays', f.working_days, 'holidays', f.holidays,
              'hoursADay', f.hours_a_day, 'licences', f.licences, 'version', f.version,
            'homeStationId', (select s.id from stations s where s.firm_id = f.id and s.home)),
          'person', json_build_object('id', p.id, 'name', p.name, 'email', p.email, 'role', p.role, 'units', p.units,
            'secondFactor', p.second_factor_on),
          'session', json_build_object('id', s.id, 'seenAt', s.seen_at),
          'now', coalesce(f.clock_stands_at, now()))
        from firms f join people p on p.firm_id = f.id join sessions s on s.firm_id = f.id and s.person_id = p.id
        where f.id = firm and p.id = person and s.id = session and p.active
          and s.opened_at > now() - interval '30 days' $$;
