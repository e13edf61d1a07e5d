-- From when on the house warns that somebody is at it for too long.
create table stretch_rule (
    id text primary key check (id = 'house'),
    most_days int not null check (most_days between 1 and 60),
    most_nights int not null check (most_nights between 1 and 60),
    most_hours int not null check (most_hours between 1 and 168),
    event_hours int not null check (event_hours between 0 and 24)
);
create trigger journal after insert or update or delete on stretch_rule for each row execute function journal_row();

-- Runs of a test day, in the order in which they are to be driven.
create table test_run (
    id text primary key,
    event_id text not null references event on delete cascade deferrable,
    build_id text not null references build on delete cascade deferrable,
    position int not null,
    changes text not null default '',
    value int not null check (value between 1 and 3),
    dry boolean not null default false,
    set_id text references tyre_set on delete set null deferrable,
    cold text not null default '',
    hot text not null default '',
    fuel text not null default '',
    driver text not null default '',
    conditions text not null default 'DRY' check (conditions in ('DRY', 'DAMP', 'WET')),
    air text not null default '',
    track text not null default '',
    laps text not null default '',
    words text not null default '',
    ran_at timestamptz,
    version int not null default 1
);
create index test_run_event on test_run (event_id, build_id, position);
create trigger journal after insert or update or delete on test_run for each row execute function journal_row();
create trigger version before update on test_run for each row execute function next_version();

-- What is to be fixed after a test day: before the event, after it, never; open until somebody says.
create table test_finding (
    id text primary key,
    event_id text not null references event on delete cascade deferrable,
    build_id text not null references build on delete cascade deferrable,
    what text not null check (what <> ''),
    decision text not null default 'OPEN' check (decision in ('OPEN', 'BEFORE', 'AFTER', 'NEVER')),
    work_id text references work on delete set null deferrable,
    by_name text not null,
    at timestamptz not null
);
create index test_finding_event on test_finding (event_id, at);
create trigger journal after insert or update or delete on test_finding for each row execute function journal_row();

-- What an inspector asked of a car.
create table scrutiny (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    inspector text not null default '',
    at timestamptz not null,
    again_at timestamptz,
    entry text not null default '',
    signed_at timestamptz,
    signed_by text not null default '',
    check (again_at > at)
);
create index scrutiny_build on scrutiny (build_id, at desc);
create trigger journal after insert or update or delete on scrutiny for each row execute function journal_row();

create table scrutiny_line (
    id text primary key,
    scrutiny_id text not null references scrutiny on delete cascade deferrable,
    position int not null,
    text text not null check (text <> ''),
    result text not null default 'OPEN' check (result in ('OPEN', 'PASS', 'FAIL')),
    note text not null default '',
    failed_before boolean not null default false,
    work_id text references work on delete set null deferrable,
    unique (scrutiny_id, text) deferrable
);
create trigger journal after insert or update or delete on scrutiny_line for each row execute function journal_row();

-- How much of a thing came back from an event: counted by many thumbs at once, as the ticks are.
create table load_return (
    item_id text primary key references load_item on delete cascade deferrable,
    back int not null check (back >= 0),
    by_name text not null,
    at timestamptz not null
);
alter table load_trailer add column used_listed_at timestamptz;
