-- What a list reads of a season, beside the whole of it. What is kept so far has none, and is worked out again.

delete from kept_outlooks;
alter table kept_outlooks add brief jsonb not null check (jsonb_typeof(brief) = 'object');
