-- What somebody saw when a box was sent something, and what it was sent.
create table line_told (
    rig      bigint      not null references rig (id),
    probe    text        not null check (length(probe) <= 200),
    sent     text        not null check (length(sent) <= 4000),
    answer   text        not null check (length(answer) <= 300),
    who      text        not null,
    revision integer     not null,
    at       timestamptz not null default now(),
    primary key (rig, probe)
);

-- How long messages took from one box to another, each in microseconds, blanks between.
create table line_loop (
    rig    bigint      not null references rig (id),
    sender text        not null,
    heard  text        not null,
    micros text        not null check (length(micros) <= 20000),
    who    text        not null,
    at     timestamptz not null default now(),
    primary key (rig, sender, heard)
);

-- A port out is another one than the port in of the same name.
alter table line_port add column outward boolean not null default false;
alter table line_port drop constraint line_port_pkey;
alter table line_port add primary key (rig, port, outward);
