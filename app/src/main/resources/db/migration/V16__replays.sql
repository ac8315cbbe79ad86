-- A run that plays another one again, as it was played.
alter table run add column replays bigint references run (id) on delete cascade;
