-- What was answered at a visit of the follow-up.
alter table observations drop constraint observations_kind_check;
alter table observations add constraint observations_kind_check
  check (kind in ('count', 'height', 'cover', 'watering', 'spot', 'rain', 'check', 'leaf', 'visit'));
