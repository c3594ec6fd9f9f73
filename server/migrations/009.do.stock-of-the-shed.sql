-- What the shed holds, written as a book: what came in, what was counted, what was used on a lawn. And of work that was
-- done: the ground it was done on, so that the firm's pace is of that ground, and what is measured loose.

create table stock_items (
  id uuid primary key,
  firm_id uuid not null references firms (id) on delete cascade,
  -- By the name under which plans ask for it: "seed TF 100", "feed 18-24-12".
  matter text not null check (matter ~ '^(seed|feed|cover|soil) .{1,190}$'),
  name text not null check (length(name) between 1 and 80),
  put_away boolean not null default false,
  version integer not null default 1,
  unique (firm_id, id)
);
create index stock_items_of_firm on stock_items (firm_id);

create table stock_moves (
  id uuid primary key default gen_random_uuid(),
  firm_id uuid not null,
  item_id uuid not null,
  why text not null check (why in ('came', 'counted', 'used')),
  day date not null,
  -- Kg or m³; what was counted is written by how far it was off.
  amount double precision not null check (abs(amount) <= 200000),
  note text not null default '' check (length(note) <= 200),
  -- The mark it was used by. A lawn that is deleted does not bring its seed back.
  lawn_id uuid references lawns (id) on delete set null,
  slip text,
  done_on date,
  recorded_by uuid,
  recorded_at timestamptz not null default now(),
  check ((why = 'used') = (slip is not null and done_on is not null)),
  foreign key (firm_id, item_id) references stock_items (firm_id, id) on delete cascade,
  -- Looked at last: with a firm its people go before its shed.
  foreign key (firm_id, recorded_by) references people (firm_id, id) deferrable initially deferred
);
create index stock_moves_of_item on stock_moves (firm_id, item_id, day);
create index stock_moves_of_mark on stock_moves (lawn_id, slip, done_on) where lawn_id is not null;

alter table stock_items enable row level security;
alter table stock_moves enable row level security;
create policy of_the_firm_at_work on stock_items using (firm_id = firm_at_work()) with check (firm_id = firm_at_work());
create policy of_the_firm_at_work on stock_moves using (firm_id = firm_at_work()) with check (firm_id = firm_at_work());
grant select, insert, update on stock_items to upper_sill_work;
grant select, insert, delete on stock_moves to upper_sill_work;

alter table operations_done
  add area_m2 double precision check (area_m2 between 0 and 200000),
  add volume_m3 double precision check (volume_m3 between 0 and 20000);
