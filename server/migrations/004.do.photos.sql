-- Photos of a lawn, made small by the browser and free of what a camera writes into them; one of them may lie under the plan.

create table photos (
  firm_id uuid not null,
  lawn_id uuid not null,
  id uuid not null,
  zone_id uuid,
  note text not null default '' check (length(note) <= 200),
  taken_on date,
  lat_deg double precision check (lat_deg between -90 and 90),
  lon_deg double precision check (lon_deg between -180 and 180),
  width_px integer not null check (width_px between 1 and 2000),
  height_px integer not null check (height_px between 1 and 2000),
  jpeg bytea not null check (octet_length(jpeg) between 100 and 900000),
  small bytea not null check (octet_length(small) between 100 and 40000),
  added_by uuid,
  added_at timestamptz not null default now(),
  primary key (lawn_id, id),
  foreign key (firm_id, lawn_id) references lawns (firm_id, id) on delete cascade,
  -- A saved survey puts its zones back under the same ids; what counts is how it stands at the end.
  foreign key (lawn_id, zone_id) references zones (lawn_id, id) deferrable initially deferred,
  foreign key (firm_id, added_by) references people (firm_id, id),
  constraint a_place_is_whole check ((lat_deg is null) = (lon_deg is null))
);
-- A picture is packed already.
alter table photos alter column jpeg set storage external, alter column small set storage external;
create index photos_of_firm on photos (firm_id, lawn_id, added_at);

alter table lawns add underlay jsonb check (jsonb_typeof(underlay) = 'object');

alter table photos enable row level security;
create policy of_the_firm_at_work on photos using (firm_id = firm_at_work()) with check (firm_id = firm_at_work());
grant select, insert, update, delete on photos to upper_sill_work;
