-- A bed that was looked at before anything could be counted, and leaves of seedlings by their stage.
alter table observations drop constraint observations_kind_check;
alter table observations add constraint observations_kind_check
  check (kind in ('count', 'height', 'cover', 'watering', 'spot', 'rain', 'check', 'leaf'));
