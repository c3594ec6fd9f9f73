-- Rain that fell on a lawn, as somebody who was there tells of it.
alter table observations drop constraint observations_kind_check;
alter table observations add constraint observations_kind_check
  check (kind in ('count', 'height', 'cover', 'watering', 'spot', 'rain'));
