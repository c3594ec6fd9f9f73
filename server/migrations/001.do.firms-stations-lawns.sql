-- Every row belongs to a firm from here on; composite keys keep a row from pointing into another firm's.

create table firms (
  id uuid primary key default gen_random_uuid(),
  name text not null check (length(name) between 1 and 80),
  units text not null default 'us' check (units in ('us', 'metric')),
  currency text not null default 'USD' check (currency ~ '^[A-Z]{3}$'),
  time_zone text not null default 'UTC',
  demo boolean not null default false,
  created_at timestamptz not null default now()
);

-- The one clock. No stands_at: the machine's own time.
create table clock (
  single boolean primary key default true check (single),
  stands_at timestamptz
);
insert into clock default values;

create table stations (
  id uuid primary key default gen_random_uuid(),
  firm_id uuid not null references firms on delete cascade,
  name text not null check (length(name) between 1 and 80),
  kind text not null check (kind in ('simulated', 'imported')),
  lat_deg double precision not null check (lat_deg between -66 and 66),
  lon_deg double precision not null check (lon_deg between -180 and 180),
  coastal boolean not null default false,
  home boolean not null default false,
  -- Path from which a device delivers its days in the open CSV form.
  feed_path text check (feed_path ~ '^/standin/[a-z-]+$'),
  -- Monthly means where they are known: tmaxC, tminC, rainMm, wetDays, twelve each.
  normals jsonb,
  created_at timestamptz not null default now(),
  unique (firm_id, id),
  unique (firm_id, name)
);
create unique index one_home_station on stations (firm_id) where home;

create table weather_days (
  firm_id uuid not null,
  station_id uuid not null,
  day date not null check (day between '1900-01-01' and '2199-12-31'),
  tmax_c double precision not null check (tmax_c between -70 and 60),
  tmin_c double precision not null check (tmin_c between -70 and 60 and tmin_c <= tmax_c),
  rain_mm double precision not null check (rain_mm between 0 and 600),
  updated_at timestamptz not null default now(),
  primary key (station_id, day),
  foreign key (firm_id, station_id) references stations (firm_id, id) on delete cascade
);

create table forecast_days (
  firm_id uuid not null,
  station_id uuid not null,
  issued_on date not null,
  day date not null check (day between issued_on and issued_on + 15),
  tmax_c double precision not null check (tmax_c between -70 and 60),
  tmin_c double precision not null check (tmin_c between -70 and 60 and tmin_c <= tmax_c),
  rain_mm double precision not null check (rain_mm between 0 and 600),
  primary key (station_id, issued_on, day),
  foreign key (firm_id, station_id) references stations (firm_id, id) on delete cascade
);

create table probe_readings (
  firm_id uuid not null,
  station_id uuid not null,
  -- Local time at the probe, without a zone: soil keeps solar time.
  read_at timestamp not null,
  depth_mm double precision not null check (depth_mm between 0 and 2000),
  temp_c double precision not null check (temp_c between -40 and 70),
  primary key (station_id, depth_mm, read_at),
  foreign key (firm_id, station_id) references stations (firm_id, id) on delete cascade
);

create table lawns (
  id uuid primary key default gen_random_uuid(),
  firm_id uuid not null references firms on delete cascade,
  station_id uuid,
  client text not null check (length(client) between 1 and 80),
  address text not null default '' check (length(address) <= 160),
  lat_deg double precision not null check (lat_deg between -66 and 66),
  lon_deg double precision not null check (lon_deg between -180 and 180),
  area_m2 double precision not null check (area_m2 between 1 and 200000),
  area_typed text not null default '' check (length(area_typed) <= 80),
  grows_now text not null default '' check (length(grows_now) <= 120),
  grass text,
  desirable_share double precision check (desirable_share between 0 and 1),
  weed_share double precision check (weed_share between 0 and 1),
  bare_share double precision check (bare_share between 0 and 1),
  thatch_mm double precision check (thatch_mm between 0 and 150),
  mowing_height_mm double precision check (mowing_height_mm between 3 and 300),
  sun text check (sun in ('full', 'part', 'dense')),
  texture text not null default 'loam',
  slope_share double precision not null default 0 check (slope_share between 0 and 1),
  version integer not null default 1,
  created_at timestamptz not null default now(),
  updated_at timestamptz not null default now(),
  unique (firm_id, id),
  foreign key (firm_id, station_id) references stations (firm_id, id),
  constraint cover_adds_up check (abs(desirable_share + weed_share + bare_share - 1) < 0.0151)
);
create index lawns_of_firm on lawns (firm_id, client);

create table applications (
  id bigint generated always as identity primary key,
  firm_id uuid not null,
  lawn_id uuid not null,
  ingredient text not null check (length(ingredient) between 1 and 80),
  applied_on date not null,
  wait_days integer not null check (wait_days between 0 and 800),
  foreign key (firm_id, lawn_id) references lawns (firm_id, id) on delete cascade
);
create index applications_of_lawn on applications (lawn_id);

create table plans (
  lawn_id uuid primary key,
  firm_id uuid not null,
  programme text check (programme in ('overseed')),
  overrule_note text check (length(overrule_note) <= 400),
  sow_on date,
  seed_rate_g_per_m2 double precision check (seed_rate_g_per_m2 between 0.5 and 100),
  purity_share double precision check (purity_share between 0.01 and 1),
  germination_share double precision check (germination_share between 0.01 and 1),
  coating_share double precision check (coating_share between 0 and 0.9),
  purity_of_bare_seed boolean,
  bags jsonb check (jsonb_typeof(bags) = 'array' and jsonb_array_length(bags) between 1 and 4),
  starter_analysis text check (length(starter_analysis) <= 20),
  starter_n_g_per_m2 double precision check (starter_n_g_per_m2 between 0.2 and 4.9),
  cover_material text,
  cover_mm double precision check (cover_mm between 0 and 25),
  rake_mm double precision check (rake_mm between 0 and 25),
  scalp_to_mm double precision check (scalp_to_mm between 3 and 150),
  version integer not null default 1,
  updated_at timestamptz not null default now(),
  foreign key (firm_id, lawn_id) references lawns (firm_id, id) on delete cascade
);

create table operations_done (
  firm_id uuid not null,
  lawn_id uuid not null,
  code text not null check (code in ('scalp', 'dethatch', 'core', 'sow', 'rake', 'feed', 'cover', 'water', 'check', 'mow')),
  done_on date not null,
  recorded_at timestamptz not null default now(),
  primary key (lawn_id, code),
  foreign key (firm_id, lawn_id) references lawns (firm_id, id) on delete cascade
);
