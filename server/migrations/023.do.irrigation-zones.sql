-- Irrigation zones of a lawn know what they are, where they lie and what they put down.
update lawns set water = (water - 'circuits') || jsonb_build_object('irrigation',
    (select coalesce(jsonb_agg(jsonb_build_object('id', gen_random_uuid(), 'name', c ->> 'name', 'kind', 'sprinklers',
        'heads', c -> 'heads', 'flowLPerMin', c -> 'flowLPerMin', 'zoneId', null, 'areaM2', null, 'tap', '', 'hoseM', null,
        'rateMmPerH', null, 'cans', null, 'timer', 'none')), '[]'::jsonb)
      from jsonb_array_elements(water -> 'circuits') as c))
  where water ? 'circuits';
