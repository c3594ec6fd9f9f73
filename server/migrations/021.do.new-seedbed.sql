-- A programme for bare ground.
alter table jobs drop constraint plans_programme_check;
alter table jobs add constraint jobs_programme_check
  check (programme in ('spot', 'bare', 'overseed', 'hard', 'kill', 'strip', 'level', 'winter', 'warm'));
