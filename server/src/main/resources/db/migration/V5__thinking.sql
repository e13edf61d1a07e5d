-- Long thinking is queued here; any instance takes what waits, or what an instance that died has left. No part of the
-- record: it is not journalled and may be lost.
create table thought (
    id text primary key,
    kind text not null check (kind in ('HARDER', 'CHANCE', 'RESCUE')),
    subject text not null default '',
    change_id bigint not null,
    seconds int not null default 0,
    asked_by text not null,
    asked_at timestamptz not null,
    state text not null default 'WAITING' check (state in ('WAITING', 'RUNNING', 'DONE', 'STOPPED', 'FAILED')),
    stop boolean not null default false,
    worker text,
    beat timestamptz,
    ended_at timestamptz,
    progress jsonb,
    result jsonb
);
create unique index thought_chance on thought (change_id) where kind = 'CHANCE';
create index thought_open on thought (asked_at) where state in ('WAITING', 'RUNNING');

-- The order that the last long thinking came to; every plan begins from it.
create table plan_guide (
    id boolean primary key default true check (id),
    guide jsonb not null
);
create trigger journal after insert or update or delete on plan_guide for each row execute function journal_row();

-- Changes that are only about the plan can be thrown away together until it is published.
alter table change add column draft boolean not null default false;

-- What each hand has seen of the published plans.
create table looked (
    username text primary key references account on delete cascade,
    plan_id text not null,
    at timestamptz not null
);
