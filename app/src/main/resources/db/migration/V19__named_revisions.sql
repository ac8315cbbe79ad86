-- A revision that somebody gave a name: "as played in the chapel".
create table rig_revision_name (
    rig  bigint      not null,
    n    integer     not null,
    name text        not null check (length(name) between 1 and 80),
    by   text        not null check (length(by) <= 40),
    at   timestamptz not null default now(),
    primary key (rig, n),
    foreign key (rig, n) references rig_revision (rig, n) on delete cascade
);
