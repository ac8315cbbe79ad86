-- Who a box said that it is when it was asked last, and before: the whole answer in hexadecimal.
create table line_identity (
    rig      bigint      not null references rig (id),
    box      text        not null check (length(box) <= 200),
    answer   text        not null check (length(answer) <= 200),
    before   text        not null default '' check (length(before) <= 200),
    who      text        not null,
    at       timestamptz not null default now(),
    primary key (rig, box)
);
