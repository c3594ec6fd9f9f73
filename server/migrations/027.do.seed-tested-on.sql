-- The test day on a seed label, where it was read.
alter table jobs add column seed_tested_on date;
