-- Where cars go to race or to test.
create table event (
    id text primary key,
    name text not null check (name <> ''),
    place text not null default '',
    class_name text not null default '',
    loads_at timestamptz not null,
    back_at timestamptz,
    most_sets int not null default 6 check (most_sets > 0),
    most_new int not null default 2 check (most_new >= 0),
    uses int not null default 2 check (uses between 1 and 4),
    booked_at timestamptz,
    version int not null default 1,
    check (back_at > loads_at)
);
create trigger journal after insert or update or delete on event for each row execute function journal_row();
create trigger version before update on event for each row execute function next_version();

create table event_session (
    id text primary key,
    event_id text not null references event on delete cascade deferrable,
    name text not null check (name <> ''),
    kind text not null check (kind in ('TEST', 'PRACTICE', 'QUALIFYING', 'RACE')),
    start_at timestamptz not null,
    minutes int not null check (minutes > 0),
    km double precision not null default 0 check (km >= 0)
);
create index event_session_event on event_session (event_id, start_at);
create trigger journal after insert or update or delete on event_session for each row execute function journal_row();

-- A car of an event, with the date and the round of work that it was given for it.
create table event_car (
    id text primary key,
    event_id text not null references event on delete cascade deferrable,
    build_id text not null references build on delete cascade deferrable,
    spare boolean not null default false,
    driver text not null default '',
    commitment_id text references commitment on delete set null deferrable,
    round_id text references round on delete set null deferrable,
    unique (event_id, build_id)
);
create trigger journal after insert or update or delete on event_car for each row execute function journal_row();

create table event_crew (
    id text primary key,
    event_id text not null references event on delete cascade deferrable,
    person_id text not null references person on delete cascade deferrable,
    unique (event_id, person_id)
);
create trigger journal after insert or update or delete on event_crew for each row execute function journal_row();

-- Sets of tyres of a car.
create table tyre_set (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    name text not null check (name <> ''),
    kind text not null check (kind in ('DRY', 'WET')),
    state text not null check (state in ('NEW', 'SCUFFED', 'USED')),
    cycles int not null default 0 check (cycles >= 0),
    made_on date,
    version int not null default 1,
    unique (build_id, name) deferrable
);
create trigger journal after insert or update or delete on tyre_set for each row execute function journal_row();
create trigger version before update on tyre_set for each row execute function next_version();

-- A set that somebody chose for a session of a car by hand.
create table tyre_lock (
    id text primary key,
    session_id text not null references event_session on delete cascade deferrable,
    build_id text not null references build on delete cascade deferrable,
    set_id text not null references tyre_set on delete cascade deferrable,
    unique (session_id, build_id)
);
create trigger journal after insert or update or delete on tyre_lock for each row execute function journal_row();

-- What goes aboard for an event.
create table load_item (
    id text primary key,
    event_id text not null references event on delete cascade deferrable,
    box text not null default '',
    name text not null check (name <> ''),
    quantity int not null default 1 check (quantity > 0),
    mass_kg double precision not null default 0 check (mass_kg >= 0),
    position int not null,
    unique (event_id, box, name) deferrable
);
create index load_item_event on load_item (event_id, position);
create trigger journal after insert or update or delete on load_item for each row execute function journal_row();

-- Ticks come from many thumbs at once: they are no changes of the record that a plan depends on, so they make no line of the
-- journal, and each is taken back by its own tick.
create table load_tick (
    item_id text primary key references load_item on delete cascade deferrable,
    by_name text not null,
    at timestamptz not null
);

-- What the trailer takes, and that it left.
create table load_trailer (
    id text primary key,
    event_id text not null unique references event on delete cascade deferrable,
    payload_kg double precision not null default 0 check (payload_kg >= 0),
    left_at timestamptz,
    left_by text not null default '',
    without text not null default ''
);
create trigger journal after insert or update or delete on load_trailer for each row execute function journal_row();
