-- Up to which revision somebody has looked at the history of a rig.
create table rig_looked (
    rig     bigint      not null references rig (id) on delete cascade,
    account bigint      not null references account (id) on delete cascade,
    n       integer     not null,
    at      timestamptz not null default now(),
    primary key (rig, account)
);
