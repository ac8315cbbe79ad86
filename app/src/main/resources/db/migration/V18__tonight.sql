-- A link that lets whoever has it see one thing of a rig for a day; only what tells the right one is kept.
create table tonight_link (
    id       bigint generated always as identity primary key,
    rig      bigint      not null references rig (id) on delete cascade,
    sort     text        not null check (sort in ('folder', 'performer', 'show')),
    about    text        not null check (length(about) <= 200),
    ticks    boolean     not null,
    note     text        not null check (length(note) <= 100),
    hash     text        not null unique check (length(hash) = 64),
    made_by  text        not null check (length(made_by) <= 40),
    made_at  timestamptz not null default now(),
    until    timestamptz not null,
    ended_at timestamptz
);

create index tonight_link_of_rig on tonight_link (rig);
