-- Ground that came up too thin, as it was walked round.
alter table observations drop constraint observations_kind_check;
alter table observations add constraint observations_kind_check
  check (kind in ('count', 'height', 'cover', 'watering', 'spot'));
