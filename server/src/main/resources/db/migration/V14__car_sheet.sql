-- What the customer is shown of the log, what disturbs what in this house, and what a piece of work disturbs.
alter table measurement add column shown boolean not null default false;

-- Empty while the house has left it as it usually is.
create table disturbance (
    id text primary key,
    label text not null check (label <> ''),
    words text not null,
    position int not null
);
create trigger journal after insert or update or delete on disturbance for each row execute function journal_row();

-- From a disturbance, or from something measured, to what no longer holds then.
create table disturbs (
    id text primary key,
    source text not null,
    measured text not null,
    unique (source, measured)
);
create trigger journal after insert or update or delete on disturbs for each row execute function journal_row();

-- What it disturbs, as somebody has said; null where its words count.
alter table work add column disturbs text;

-- A photo of what was measured.
alter table photo add column measurement_id text;

-- Road and test notes.
create table car_note (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    at timestamptz not null,
    place text not null default '',
    driver text not null default '',
    felt text not null,
    changed text not null default '',
    by_name text not null,
    version int not null default 1
);
create index car_note_build on car_note (build_id, at desc);
create trigger journal after insert or update or delete on car_note for each row execute function journal_row();
create trigger version before update on car_note for each row execute function next_version();

-- What a class limits, entered once.
create table class_limit (
    id text primary key,
    class_name text not null check (class_name <> ''),
    position int not null,
    measure text not null check (measure <> ''),
    kind text not null,
    least text not null default '',
    most text not null default '',
    tolerance text not null default '',
    unique (class_name, position) deferrable
);
create trigger journal after insert or update or delete on class_limit for each row execute function journal_row();

-- Which kinds of quantity are shown first in the other units: of the house, and of each person.
create table unit_choice (
    id text primary key,
    username text not null default '',
    kind text not null,
    system text not null check (system in ('METRIC', 'CUSTOMARY')),
    unique (username, kind)
);
create trigger journal after insert or update or delete on unit_choice for each row execute function journal_row();
