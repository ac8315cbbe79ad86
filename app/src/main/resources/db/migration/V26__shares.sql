-- What a crew lets another one read, or copy: all of its models, or a song. The link by which the other crew takes it up
-- is used once; of it only what tells the right one is kept.
create table share (
    id        bigint generated always as identity primary key,
    crew      bigint      not null references crew (id) on delete cascade,
    rig       bigint references rig (id) on delete cascade,
    song      text check (length(song) <= 80),
    copies    boolean     not null,
    note      text        not null check (length(note) <= 100),
    hash      text        not null unique check (length(hash) = 64),
    made_by   text        not null check (length(made_by) <= 40),
    made_at   timestamptz not null default now(),
    until     timestamptz not null,
    with_crew bigint references crew (id) on delete cascade,
    taken_by  text check (length(taken_by) <= 40),
    check ((rig is null) = (song is null)),
    check ((with_crew is null) = (taken_by is null))
);

create index share_of_crew on share (crew);
create index share_with_crew on share (with_crew);
create index share_of_rig on share (rig);
