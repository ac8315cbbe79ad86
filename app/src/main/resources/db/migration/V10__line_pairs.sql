-- What somebody saw as a lead of the first of a pair was pulled, and what was planned of it then.
create table line_pair (
    rig        bigint      not null references rig (id),
    pair       text        not null check (length(pair) <= 200),
    planned    text        not null check (length(planned) <= 20000),
    gap_micros bigint,
    lost       text        not null check (length(lost) <= 20000),
    back       boolean     not null,
    who        text        not null,
    revision   integer     not null,
    at         timestamptz not null default now(),
    primary key (rig, pair)
);
