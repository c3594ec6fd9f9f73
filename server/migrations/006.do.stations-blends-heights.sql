-- Stations that can be edited, and know their height; a lawn's height beside it; forecasts that a person typed, with wind;
-- the mixture of a plan.

alter table stations
  add height_m double precision check (height_m between -430 and 6000),
  add version integer not null default 1,
  add constraint stations_normals_are_an_object check (normals is null or jsonb_typeof(normals) = 'object');

alter table lawns add height_m double precision check (height_m between -430 and 6000);

alter table forecast_days add wind_kmh double precision check (wind_kmh between 0 and 250);

alter table plans add blend jsonb not null default '[]' check (jsonb_typeof(blend) = 'array' and jsonb_array_length(blend) <= 6);
