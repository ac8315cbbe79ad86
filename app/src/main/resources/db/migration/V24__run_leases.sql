-- At which server a run goes on, and until when unless that one says so again; then another takes it over.
alter table run add column server text;
alter table run add column held_until timestamptz;

-- Whoever has a run is asked for it.
alter table news drop constraint news_sort_check;
alter table news add constraint news_sort_check check (length(sort) <= 40);
