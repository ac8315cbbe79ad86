-- Long work on a rig, done in parts by whichever server is free. Of each sort a rig has one: the newest.
create table job (
    id       bigint generated always as identity primary key,
    rig      bigint      not null references rig (id),
    sort     text        not null check (length(sort) <= 40),
    revision integer     not null,
    wish     text        not null check (length(wish) <= 1000),
    parts    integer     not null check (parts between 0 and 5000),
    begun    timestamptz not null default now(),
    ended    timestamptz,
    failed   boolean     not null default false,
    unique (rig, sort)
);

-- What came of each part that is done.
create table job_part (
    job    bigint      not null references job (id) on delete cascade,
    n      integer     not null,
    result text        not null,
    server text        not null,
    done   timestamptz not null default now(),
    primary key (job, n)
);

-- The parts that are to be done, as the library that spreads them over the servers wants its table.
create table job_task (
    task_name            text        not null,
    task_instance        text        not null,
    task_data            bytea,
    execution_time       timestamptz not null,
    picked               boolean     not null,
    picked_by            text,
    last_success         timestamptz,
    last_failure         timestamptz,
    consecutive_failures integer,
    last_heartbeat       timestamptz,
    version              bigint      not null,
    priority             smallint,
    primary key (task_name, task_instance)
);

create index job_task_by_time on job_task (execution_time);
create index job_task_by_heartbeat on job_task (last_heartbeat);
create index job_task_by_priority on job_task (priority desc, execution_time asc);
