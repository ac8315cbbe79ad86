-- Which revision of a rig was printed last, so that what changed since can be marked.
create table folder_print (
    rig bigint primary key references rig (id) on delete cascade,
    revision integer not null,
    at timestamptz not null default now()
);
