-- What came from the real gear for each thing that is pressed in a line check, and what was planned then.
create table line_came (
    rig      bigint      not null references rig (id),
    task     text        not null check (length(task) <= 120),
    planned  text        not null,
    came     text        not null check (length(came) <= 4000000),
    who      text        not null,
    revision integer     not null,
    at       timestamptz not null default now(),
    primary key (rig, task)
);

-- Which box hangs at which port, by the name that a browser has for the port.
create table line_port (
    rig  bigint not null references rig (id),
    port text   not null check (length(port) <= 200),
    box  text   not null,
    primary key (rig, port)
);
