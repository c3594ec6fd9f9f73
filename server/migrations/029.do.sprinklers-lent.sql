-- An irrigation zone says whether its sprinkler is lent by the firm.
update lawns set water = jsonb_set(water, '{irrigation}',
    (select coalesce(jsonb_agg(zone || '{"sprinklerLent": false}'), '[]') from jsonb_array_elements(water -> 'irrigation') as zone))
  where jsonb_array_length(coalesce(water -> 'irrigation', '[]')) > 0;
