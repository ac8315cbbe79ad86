-- A rig is one document with a history to which rows are only ever added.
create table rig (
    id         bigint generated always as identity primary key,
    created_at timestamptz not null default now(),
    deleted_at timestamptz
);

create table rig_revision (
    rig     bigint      not null references rig (id),
    n       integer     not null check (n >= 1),
    doc     jsonb       not null,
    author  text        not null,
    at      timestamptz not null default now(),
    summary text        not null,
    undo_to integer,
    redo_to integer,
    primary key (rig, n),
    foreign key (rig, undo_to) references rig_revision (rig, n),
    foreign key (rig, redo_to) references rig_revision (rig, n)
);
