-- What servers on this database tell one another; kept for a while, so that a notice that is lost loses nothing.
create table news (
    id     bigint generated always as identity primary key,
    server text        not null check (length(server) <= 40),
    sort   text        not null check (sort in ('rig-changed', 'rig-deleted', 'doors-moved')),
    rig    bigint,
    number integer,
    at     timestamptz not null default now()
);
