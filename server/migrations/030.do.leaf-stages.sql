-- Leaves of seedlings by their stage, as somebody saw them.
alter table observations drop constraint observations_kind_check;
alter table observations add constraint observations_kind_check
  check (kind in ('count', 'height', 'cover', 'watering', 'spot', 'rain', 'leaf'));
