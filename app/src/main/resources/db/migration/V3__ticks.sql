-- What was ticked on the sheets of a rig: the line by its key, and what it said when it was ticked.
create table sheet_tick (
    rig   bigint      not null references rig (id),
    key   text        not null check (length(key) <= 300),
    words text        not null,
    who   text        not null,
    at    timestamptz not null default now(),
    primary key (rig, key)
);
