-- What a run is: played to look at, feet that are trained, or the show itself; the presses that a drill is about, and the
-- seed by which things go wrong in it.
alter table run add column sort text not null default 'run' check (sort in ('run', 'drill', 'show'));
alter table run add column drill text not null default '' check (length(drill) <= 4000);
alter table run add column seed bigint;

-- What is kept of each run, drill, show and line check: in words as they were then, since names and plans change.
create table log_entry (
    id       bigint generated always as identity primary key,
    rig      bigint      not null references rig (id),
    sort     text        not null check (sort in ('run', 'drill', 'show', 'check')),
    run      bigint unique references run (id) on delete cascade,
    revision integer     not null,
    who      text        not null check (length(who) <= 200),
    title    text        not null check (length(title) <= 400),
    begun    timestamptz not null default now(),
    ended    timestamptz not null default now()
);

create index log_of_rig on log_entry (rig, begun);

-- What happened, in order, at so many microseconds of the show; micros is how long something was wrong.
create table log_line (
    entry  bigint  not null references log_entry (id) on delete cascade,
    n      integer not null,
    at     bigint  not null,
    sort   text    not null,
    part   text    not null,
    box    text    not null,
    words  text    not null,
    micros bigint  not null default 0,
    primary key (entry, n)
);

-- Presses that somebody had to make, and how they were made.
create table log_press (
    entry   bigint  not null references log_entry (id) on delete cascade,
    n       integer not null,
    at      bigint  not null,
    part    text    not null,
    target  text    not null,
    label   text    not null,
    sort    text    not null,
    grade   text    not null,
    millis  integer not null,
    instead text    not null,
    beside  boolean not null,
    -- 1 for the hardest of all, 0 for one that is not among the hardest
    rank    integer not null default 0,
    primary key (entry, n)
);

-- What somebody wrote to it, and what is to be done about it.
create table log_note (
    id         bigint generated always as identity primary key,
    entry      bigint      not null references log_entry (id) on delete cascade,
    at         bigint,
    part       text        not null default '',
    box        text        not null default '',
    words      text        not null check (length(words) <= 2000),
    who        text        not null,
    told       timestamptz not null default now(),
    todo       boolean     not null,
    settled    timestamptz,
    settled_by text        not null default '',
    reason     text        not null default '' check (length(reason) <= 2000)
);

create index log_note_of_entry on log_note (entry);

-- How often things go wrong with this crew, where it knows better than common practice.
create table run_rate (
    rig  bigint           not null references rig (id),
    sort text             not null check (length(sort) <= 40),
    rate double precision not null,
    primary key (rig, sort)
);
