-- What somebody wrote about something of a rig, perhaps to somebody, and whether it is done.
create table rig_note (
    id      bigint generated always as identity primary key,
    rig     bigint      not null references rig (id) on delete cascade,
    about   text        not null check (length(about) <= 200),
    words   text        not null check (length(words) between 1 and 2000),
    who     text        not null check (length(who) <= 140),
    whom    text        not null check (length(whom) <= 40),
    at      timestamptz not null default now(),
    done_at timestamptz,
    done_by text        not null default '' check (length(done_by) <= 140)
);

create index rig_note_of_rig on rig_note (rig);
