-- A night that was played without the gear: from where, how fast, how far, and all that people did in it.
create table run (
    id       bigint generated always as identity primary key,
    rig      bigint      not null references rig (id),
    revision integer     not null,
    part     integer     not null,
    bar      integer     not null,
    by_plan  boolean     not null,
    who      text        not null,
    begun    timestamptz not null default now(),
    ended    timestamptz,
    reached  bigint      not null,
    pace     text        not null check (length(pace) <= 40)
);

create index run_of_rig on run (rig, id);

-- What came upon it, in order; at so many microseconds of the run.
create table run_act (
    run bigint      not null references run (id) on delete cascade,
    n   integer     not null,
    at  bigint      not null,
    act text        not null check (length(act) <= 2000),
    who text        not null,
    told timestamptz not null default now(),
    primary key (run, n)
);
