-- More of what practitioners see: cut-outs, stones, loose topsoil, soft thatch, when it was cored, a mixed sward; and what was
-- typed, so that it comes back as it was typed.
alter table zones
  add ground text not null default 'turf' check (ground in ('turf', 'cut-out')),
  add stones text check (stones in ('none', 'few', 'many')),
  add topsoil_mm double precision check (topsoil_mm between 0 and 1000),
  add thatch_soft boolean,
  add cored_on date,
  add sward_mix jsonb not null default '[]' check (jsonb_typeof(sward_mix) = 'array' and jsonb_array_length(sward_mix) <= 4);
alter table lawns add typed_as jsonb not null default '{}' check (jsonb_typeof(typed_as) = 'object' and length(typed_as::text) <= 60000);
