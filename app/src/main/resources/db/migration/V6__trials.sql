-- A world that somebody tries with the feet: how it began, and what was done since, one row a tread.
create table trial (
    token text        primary key check (length(token) between 16 and 64),
    rig   bigint      not null references rig (id),
    muted boolean     not null,
    begun timestamptz not null default now()
);
create index trial_by_age on trial (begun);

create table trial_tread (
    trial text    not null references trial (token) on delete cascade,
    n     integer not null check (n between 1 and 10000),
    tread text    not null check (length(tread) <= 200),
    primary key (trial, n)
);
