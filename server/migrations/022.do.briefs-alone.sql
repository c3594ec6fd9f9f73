-- A list keeps the brief of a season for one sowing day, without its outlook.
alter table kept_outlooks alter column outlook drop not null;
