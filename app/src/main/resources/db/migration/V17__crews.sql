-- People who belong together: rigs and models are theirs. What was made before anybody had an account is the first's.
create table crew (
    id         bigint generated always as identity primary key,
    name       text        not null check (length(name) between 1 and 40),
    created_at timestamptz not null default now()
);

insert into crew (name) values ('Our crew');

-- Somebody who can sign in; the folded name is what it is looked up by.
create table account (
    id         bigint generated always as identity primary key,
    name       text        not null check (length(name) between 1 and 40),
    folded     text        not null unique,
    password   text        not null check (length(password) <= 400),
    created_at timestamptz not null default now()
);

create table crew_member (
    crew    bigint      not null references crew (id) on delete cascade,
    account bigint      not null references account (id) on delete cascade,
    role    text        not null check (role in ('lead', 'planner', 'player', 'guest')),
    since   timestamptz not null default now(),
    primary key (crew, account)
);

create index crew_member_of_account on crew_member (account);

-- One code signs in once when a password is forgotten; only what tells the right one is kept.
create table recovery_code (
    account bigint      not null references account (id) on delete cascade,
    hash    text        not null check (length(hash) = 64),
    used_at timestamptz,
    primary key (account, hash)
);

-- A link that was handed to somebody, to be used once.
create table invitation (
    id       bigint generated always as identity primary key,
    crew     bigint      not null references crew (id) on delete cascade,
    role     text        not null check (role in ('lead', 'planner', 'player', 'guest')),
    hash     text        not null unique check (length(hash) = 64),
    note     text        not null default '' check (length(note) <= 100),
    made_by  text        not null check (length(made_by) <= 40),
    made_at  timestamptz not null default now(),
    until    timestamptz not null,
    used_by  bigint references account (id) on delete set null,
    ended_at timestamptz
);

create index invitation_of_crew on invitation (crew);

-- Wrong tries to sign in, by name and by address, and until when the next has to wait.
create table sign_in_try (
    what  text        primary key check (length(what) <= 200),
    wrong integer     not null,
    last  timestamptz not null default now(),
    until timestamptz not null
);

alter table rig add column crew bigint not null default 1 references crew (id);
create index rig_of_crew on rig (crew) where deleted_at is null;

-- Which rigs guests of a crew see.
create table rig_guest (
    rig     bigint not null references rig (id) on delete cascade,
    account bigint not null references account (id) on delete cascade,
    primary key (rig, account)
);

create index rig_guest_of_account on rig_guest (account);

-- Two crews may each have a model of the same name.
alter table gear_model add column crew bigint not null default 1 references crew (id);
alter table gear_model_revision add column crew bigint not null default 1;
alter table gear_model_revision drop constraint gear_model_revision_model_fkey;
alter table gear_model_revision drop constraint gear_model_revision_pkey;
alter table gear_model drop constraint gear_model_pkey;
alter table gear_model add primary key (crew, id);
alter table gear_model_revision add primary key (crew, model, n);
alter table gear_model_revision add foreign key (crew, model) references gear_model (crew, id);

-- Who is signed in where: the tables of the library that keeps sessions, as it asks for them.
create table spring_session (
    primary_id            char(36) not null primary key,
    session_id            char(36) not null,
    creation_time         bigint   not null,
    last_access_time      bigint   not null,
    max_inactive_interval int      not null,
    expiry_time           bigint   not null,
    principal_name        varchar(100)
);

create unique index spring_session_ix1 on spring_session (session_id);
create index spring_session_ix2 on spring_session (expiry_time);
create index spring_session_ix3 on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36)     not null references spring_session (primary_id) on delete cascade,
    attribute_name     varchar(200) not null,
    attribute_bytes    bytea        not null,
    primary key (session_primary_id, attribute_name)
);
