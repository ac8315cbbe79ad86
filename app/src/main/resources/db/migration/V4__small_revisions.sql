-- What is asked of the newest revision of a rig stands in columns of the rig, so that no document is read for it.
alter table rig
    add column newest     integer,
    add column name       text,
    add column boxes      integer,
    add column models     text[]      not null default '{}',
    add column changed_at timestamptz not null default now();

update rig r
   set newest = v.n,
       name = coalesce(v.doc ->> 'name', 'Rig ' || r.id),
       boxes = coalesce(jsonb_array_length(v.doc -> 'devices'), 0),
       models = array(select m ->> 'id' from jsonb_array_elements(v.doc -> 'models') m),
       changed_at = v.at
  from rig_revision v
 where v.rig = r.id and v.n = (select max(n) from rig_revision where rig = r.id);

-- A rig without any revision was never whole.
delete from rig where newest is null;

alter table rig
    alter column newest set not null,
    alter column name set not null,
    alter column boxes set not null;

-- Which rigs use a model is asked before every change of it.
drop index rig_revision_models;
create index rig_models on rig using gin (models);

-- A row holds its document whole, or what differs from the row before it; both are packed (RFC 8878). The rows that
-- exist are taken over by the next step, which packs them.
alter table rig_revision rename to rig_revision_whole;
alter table rig_revision_whole rename constraint rig_revision_pkey to rig_revision_whole_pkey;

create table rig_revision (
    rig     bigint      not null references rig (id),
    n       integer     not null check (n >= 1),
    whole   boolean     not null,
    body    bytea       not null,
    author  text        not null,
    at      timestamptz not null default now(),
    summary text        not null,
    intent  text        not null,
    once    text        check (length(once) <= 80),
    undo_to integer,
    redo_to integer,
    primary key (rig, n),
    foreign key (rig, undo_to) references rig_revision (rig, n),
    foreign key (rig, redo_to) references rig_revision (rig, n)
);

-- Already packed.
alter table rig_revision alter column body set storage external;

-- A sending that arrives twice is one edit.
create unique index rig_revision_once on rig_revision (rig, once) where once is not null;
