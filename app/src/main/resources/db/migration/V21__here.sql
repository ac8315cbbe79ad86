-- Who has which room of a rig open just now; of no worth after a restart.
create unlogged table here (
    rig  bigint      not null references rig (id) on delete cascade,
    page text        not null check (length(page) between 1 and 40),
    who  text        not null check (length(who) <= 140),
    room text        not null check (length(room) <= 40),
    at   timestamptz not null default now(),
    primary key (rig, page)
);
