-- A model that a crew describes is one document with a history to which rows are only ever added, as rigs are.
create table gear_model (
    id         text        primary key check (id ~ '^[a-z0-9][a-z0-9-]{0,39}$'),
    created_at timestamptz not null default now(),
    deleted_at timestamptz
);

create table gear_model_revision (
    model   text        not null references gear_model (id),
    n       integer     not null check (n >= 1),
    doc     jsonb       not null,
    author  text        not null,
    at      timestamptz not null default now(),
    summary text        not null,
    primary key (model, n)
);

-- Which rigs use a model is asked before every change of it.
create index rig_revision_models on rig_revision using gin ((doc -> 'models') jsonb_path_ops);
