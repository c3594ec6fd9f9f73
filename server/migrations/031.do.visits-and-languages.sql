-- What was answered at a visit of the follow-up.
alter table observations drop constraint observations_kind_check;
alter table observations add constraint observations_kind_check
  check (kind in ('count', 'height', 'cover', 'watering', 'spot', 'rain', 'check', 'leaf', 'visit'));

-- How a client reads their papers; as the firm does, where nothing is said. It is told with every lawn of theirs.
alter table clients
  add column language text check (language in ('en-US', 'en-GB', 'es')),
  add column units text check (units in ('us', 'metric'));
drop trigger name_told on clients;
create trigger client_told after update of name, language, units on clients for each row
  when ((old.name, old.language, old.units) is distinct from (new.name, new.language, new.units))
  execute function name_told();
