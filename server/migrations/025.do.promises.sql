-- What a client could be told when the schedule was confirmed last before the seed was down: odds, days, price.
alter table jobs add column promised jsonb check (promised is null or length(promised::text) <= 1000);
