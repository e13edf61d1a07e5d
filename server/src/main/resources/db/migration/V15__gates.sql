-- What gates ask: of the house, of a discipline, or of one car; none while it is left as it usually is.
create table gate_line (
    id text primary key,
    build_id text references build on delete cascade deferrable,
    discipline text not null default '',
    gate text not null
        check (gate in ('POWER_UP', 'FIRST_FIRE', 'GROUND', 'TUNER', 'ROLL_OUT', 'TEST', 'EVENT')),
    position int not null,
    key text not null check (key <> ''),
    text text not null check (text <> ''),
    asks text not null check (asks in ('JOBS', 'FINDINGS', 'FOR_NOW', 'MEASURED', 'SIGNED', 'COMPONENTS')),
    rests_on text not null default '',
    never boolean not null default false,
    unique nulls not distinct (build_id, discipline, key)
);
create trigger journal after insert or update or delete on gate_line for each row execute function journal_row();

-- A name under a line; void once what it rests on was disturbed.
create table gate_signature (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    line_key text not null,
    by_name text not null,
    at timestamptz not null,
    disturbed_by text,
    unique (build_id, line_key)
);
create trigger journal after insert or update or delete on gate_signature
    for each row execute function journal_row();

-- Who took the car past a gate; the last counts.
create table gate_passing (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    gate text not null
        check (gate in ('POWER_UP', 'FIRST_FIRE', 'GROUND', 'TUNER', 'ROLL_OUT', 'TEST', 'EVENT')),
    did text not null check (did <> ''),
    looked text not null check (looked <> ''),
    at timestamptz not null,
    met text not null,
    reason text not null default '',
    check (did <> looked)
);
create index gate_passing_build on gate_passing (build_id, gate, at desc);
create trigger journal after insert or update or delete on gate_passing for each row execute function journal_row();

-- Things with an identity that are used up.
create table component (
    id text primary key,
    name text not null check (name <> ''),
    identity text not null default '',
    before_hours double precision not null default 0 check (before_hours >= 0),
    before_km double precision not null default 0 check (before_km >= 0),
    before_events double precision not null default 0 check (before_events >= 0),
    before_cycles double precision not null default 0 check (before_cycles >= 0),
    before_fires double precision not null default 0 check (before_fires >= 0),
    before_impacts double precision not null default 0 check (before_impacts >= 0),
    expires date,
    safety boolean not null default false,
    note text not null default '',
    version int not null default 1
);
create unique index component_identity on component (name, identity) where identity <> '';
create trigger journal after insert or update or delete on component for each row execute function journal_row();
create trigger version before update on component for each row execute function next_version();

create table component_limit (
    id text primary key,
    component_id text not null references component on delete cascade deferrable,
    counter text not null
        check (counter in ('HOURS', 'DISTANCE', 'EVENTS', 'HEAT_CYCLES', 'FIRES', 'IMPACTS')),
    most double precision not null check (most > 0),
    service boolean not null,
    unique (component_id, counter, service) deferrable
);
create trigger journal after insert or update or delete on component_limit
    for each row execute function journal_row();

create table component_fitting (
    id text primary key,
    component_id text not null references component on delete cascade deferrable,
    build_id text not null references build on delete cascade deferrable,
    place text not null default '',
    from_at timestamptz not null,
    until_at timestamptz,
    check (from_at <= until_at)
);
create unique index component_on_one_car on component_fitting (component_id) where until_at is null;
create trigger journal after insert or update or delete on component_fitting
    for each row execute function journal_row();

-- What was done to it: a service begins its hours anew; a crash or a repair is history.
create table component_history (
    id text primary key,
    component_id text not null references component on delete cascade deferrable,
    at timestamptz not null,
    kind text not null check (kind in ('SERVICE', 'REPAIR', 'CRASH', 'NOTE')),
    what text not null,
    by_name text not null
);
create trigger journal after insert or update or delete on component_history
    for each row execute function journal_row();

-- What wears all that is fitted to a car at that moment; each source is counted once.
create table car_use (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    at timestamptz not null,
    hours double precision not null default 0 check (hours >= 0),
    km double precision not null default 0 check (km >= 0),
    events double precision not null default 0 check (events >= 0),
    fires double precision not null default 0 check (fires >= 0),
    impacts double precision not null default 0 check (impacts >= 0),
    warm boolean not null default false,
    what text not null check (what <> ''),
    source text not null unique,
    by_name text not null
);
create index car_use_build on car_use (build_id, at);
create trigger journal after insert or update or delete on car_use for each row execute function journal_row();

-- The steps from the first idle to load and speed: of the house, of a discipline, or of one car.
create table rollout_step (
    id text primary key,
    build_id text references build on delete cascade deferrable,
    discipline text not null default '',
    position int not null,
    key text not null check (key <> ''),
    name text not null check (name <> ''),
    limits text not null default '',
    gate text check (gate in ('POWER_UP', 'FIRST_FIRE', 'GROUND', 'TUNER', 'ROLL_OUT', 'TEST', 'EVENT')),
    checks_before text not null default '',
    checks_after text not null default '',
    channels text not null default '',
    unique nulls not distinct (build_id, discipline, key)
);
create trigger journal after insert or update or delete on rollout_step for each row execute function journal_row();

-- A try at a step; one is open on a car at most.
create table rollout_attempt (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    step text not null check (step <> ''),
    driver text,
    looker text,
    opened_at timestamptz not null,
    went_at timestamptz,
    ended_at timestamptz,
    done boolean not null default false,
    stop text,
    seen text not null default '',
    km double precision not null default 0 check (km >= 0),
    extremes text not null default '',
    check (driver <> looker),
    check (went_at is null or driver is not null and looker is not null)
);
create unique index rollout_one_try on rollout_attempt (build_id) where ended_at is null;
create index rollout_attempt_build on rollout_attempt (build_id, opened_at);
create trigger journal after insert or update or delete on rollout_attempt
    for each row execute function journal_row();

create table rollout_tick (
    id text primary key,
    attempt_id text not null references rollout_attempt on delete cascade deferrable,
    check_text text not null check (check_text <> ''),
    after_step boolean not null,
    by_name text not null,
    at timestamptz not null,
    unique (attempt_id, after_step, check_text)
);
create trigger journal after insert or update or delete on rollout_tick for each row execute function journal_row();

-- What was found on the way, and the step before which it must be put right; null for after all of them.
create table rollout_finding (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    attempt_id text references rollout_attempt on delete set null deferrable,
    what text not null check (what <> ''),
    during text not null,
    before_step text,
    work_id text references work on delete set null deferrable,
    at timestamptz not null,
    by_name text not null
);
create index rollout_finding_build on rollout_finding (build_id, at);
create trigger journal after insert or update or delete on rollout_finding
    for each row execute function journal_row();

-- What an engine did when it was started, beside how long it ran.
create table fire (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    attempt_id text references rollout_attempt on delete set null deferrable,
    at timestamptz not null,
    seconds int not null check (seconds > 0),
    oil_pressure text not null default '',
    water text not null default '',
    oil text not null default '',
    stopped_because text not null default '',
    leaked text not null default '',
    warm boolean not null default false,
    by_name text not null
);
create index fire_build on fire (build_id, at);
create trigger journal after insert or update or delete on fire for each row execute function journal_row();

-- Links to the wall, read-only for a screen in the workshop; only a hash of each is kept.
create table wall_link (
    id text primary key,
    hash text not null unique,
    made_at timestamptz not null,
    made_by text not null,
    revoked_at timestamptz
);
create trigger journal after insert or update or delete on wall_link for each row execute function journal_row();
