-- The record of a shop. Every domain table is journalled (V2); a version guards against lost updates.
create extension if not exists btree_gist;

create table shop (
    id boolean primary key default true check (id),
    name text not null check (name <> ''),
    zone text not null,
    at_risk_start double precision not null check (at_risk_start >= 0),
    told_otherwise double precision not null check (told_otherwise >= 0),
    car_in_bits double precision not null check (car_in_bits >= 0),
    finish_day double precision not null check (finish_day >= 0),
    unknown_arrival_days int not null check (unknown_arrival_days >= 0),
    version int not null default 0
);

create table person (
    id text primary key,
    name text not null check (name <> ''),
    cost_per_hour numeric(10, 2) not null check (cost_per_hour >= 0),
    position int not null,
    version int not null default 0
);

create table person_skill (
    person_id text not null references person on delete cascade deferrable,
    skill text not null check (skill = lower(skill) and skill <> ''),
    level text not null check (level in ('LEARNER', 'ABLE', 'LEAD')),
    primary key (person_id, skill)
);

-- Minutes of the day, 0 to 1440; one shift never overlaps another of the same person and weekday (1 is Monday).
create table person_shift (
    person_id text not null references person on delete cascade deferrable,
    day int not null check (day between 1 and 7),
    start_minute int not null,
    end_minute int not null,
    check (0 <= start_minute and start_minute < end_minute and end_minute <= 1440),
    primary key (person_id, day, start_minute),
    exclude using gist (person_id with =, day with =, int4range(start_minute, end_minute) with &&)
);

create table shift_change (
    id text primary key,
    person_id text not null references person on delete cascade deferrable,
    kind text not null check (kind in ('LEAVE', 'EXTRA')),
    from_day date not null,
    to_day date not null,
    start_minute int not null,
    end_minute int not null,
    note text not null,
    check (from_day <= to_day),
    check (0 <= start_minute and start_minute < end_minute and end_minute <= 1440),
    exclude using gist (
        person_id with =, kind with =, daterange(from_day, to_day, '[]') with &&,
        int4range(start_minute, end_minute) with &&)
);

create table station (
    id text primary key,
    name text not null check (name <> ''),
    kind text not null check (kind <> ''),
    position int not null,
    version int not null default 0
);

create table station_closure (
    id text primary key,
    station_id text not null references station on delete cascade deferrable,
    from_day date not null,
    to_day date not null check (from_day <= to_day),
    reason text not null,
    exclude using gist (station_id with =, daterange(from_day, to_day, '[]') with &&)
);

create table vendor (
    id text primary key,
    name text not null check (name <> ''),
    trade text not null,
    phone text not null,
    version int not null default 0
);

create table vendor_hours (
    vendor_id text not null references vendor on delete cascade deferrable,
    day int not null check (day between 1 and 7),
    start_minute int not null,
    end_minute int not null,
    check (0 <= start_minute and start_minute < end_minute and end_minute <= 1440),
    primary key (vendor_id, day, start_minute)
);

create table vendor_closure (
    id text primary key,
    vendor_id text not null references vendor on delete cascade deferrable,
    from_day date not null,
    to_day date not null check (from_day <= to_day),
    reason text not null
);

create table build (
    id text primary key,
    number text not null,
    name text not null check (name <> ''),
    body text not null check (body in ('SALOON', 'COUPE', 'HATCH', 'ROADSTER', 'SINGLE_SEATER', 'TRUCK')),
    customer text not null,
    discipline text not null,
    weight double precision not null check (weight > 0),
    limit_front int not null default 2 check (limit_front > 0),
    limit_engine_bay int not null default 2 check (limit_engine_bay > 0),
    limit_cockpit int not null default 2 check (limit_cockpit > 0),
    limit_underside int not null default 2 check (limit_underside > 0),
    limit_rear int not null default 2 check (limit_rear > 0),
    position int not null,
    version int not null default 0
);

create table stage (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    name text not null check (name <> ''),
    position int not null,
    unique (build_id, name) deferrable
);

create table work (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    stage_id text references stage on delete set null deferrable,
    kind text not null check (kind in ('JOB', 'OUTWORK', 'RUNNING_IN')),
    name text not null check (name <> ''),
    gate text not null
        check (gate in ('POWER_UP', 'FIRST_FIRE', 'GROUND', 'TUNER', 'ROLL_OUT', 'TEST', 'EVENT')),
    essential boolean not null,
    status text not null check (status in ('TODO', 'STARTED', 'DONE')),
    not_before timestamptz,
    hold_reason text check (hold_reason in
        ('PART', 'OUT', 'HANDS', 'STATION', 'ZONE', 'CURE', 'DECIDE', 'AFTER', 'SAFETY')),
    hold_note text,
    hold_until timestamptz,
    done_at timestamptz,
    note text not null default '',
    position int not null,
    version int not null default 0,
    check ((hold_reason is null) = (hold_note is null)),
    check (hold_until is null or hold_reason is not null),
    check ((status = 'DONE') = (done_at is not null))
);
create index work_build on work (build_id);

create table job (
    work_id text primary key references work on delete cascade deferrable,
    zone text not null check (zone in ('FRONT', 'ENGINE_BAY', 'COCKPIT', 'UNDERSIDE', 'REAR')),
    on_car boolean not null,
    whole_car boolean not null,
    low_minutes int not null,
    likely_minutes int not null,
    high_minutes int not null,
    remaining_minutes int check (remaining_minutes > 0),
    station_kind text,
    one_go boolean not null,
    cure_minutes int not null check (cure_minutes >= 0),
    cure_lock text not null check (cure_lock in ('NOTHING', 'ZONE', 'WHOLE_CAR')),
    finding boolean not null default false,
    started_at timestamptz,
    station_id text references station on delete set null deferrable,
    check (0 < low_minutes and low_minutes <= likely_minutes and likely_minutes <= high_minutes),
    check (on_car or not whole_car)
);

create table job_place (
    work_id text not null references job on delete cascade deferrable,
    place int not null,
    skill text not null check (skill <> ''),
    least text not null check (least in ('LEARNER', 'ABLE', 'LEAD')),
    primary key (work_id, place)
);

create table job_started_by (
    work_id text not null references job on delete cascade deferrable,
    person_id text not null references person on delete cascade deferrable,
    primary key (work_id, person_id)
);

create table outwork (
    work_id text primary key references work on delete cascade deferrable,
    vendor_id text not null references vendor deferrable,
    whole_car boolean not null,
    out_minutes int not null check (out_minutes >= 0),
    slot_from timestamptz,
    slot_to timestamptz,
    low_days int not null,
    likely_days int not null,
    high_days int not null,
    back_minutes int not null check (back_minutes >= 0),
    inspection_minutes int not null check (inspection_minutes >= 0),
    away_since timestamptz,
    back_low timestamptz,
    back_likely timestamptz,
    back_high timestamptz,
    check (0 <= low_days and low_days <= likely_days and likely_days <= high_days),
    check ((slot_from is null) = (slot_to is null) and slot_from < slot_to),
    check ((away_since is null) = (back_likely is null)),
    check (back_low <= back_likely and back_likely <= back_high)
);

create table running_in (
    work_id text primary key references work on delete cascade deferrable,
    distance_km int not null check (distance_km > 0),
    done_km int not null check (done_km >= 0),
    per_day_km int not null check (per_day_km > 0),
    per_day_minutes int not null check (per_day_minutes > 0),
    skill text not null,
    least text not null check (least in ('LEARNER', 'ABLE', 'LEAD')),
    any_weather boolean not null
);

create table link (
    id text primary key,
    first_id text not null references work on delete cascade deferrable,
    then_id text not null references work on delete cascade deferrable,
    type text not null check (type in ('FINISH_START', 'START_START', 'FINISH_FINISH')),
    lag_minutes int not null check (lag_minutes >= 0),
    lag_working boolean not null,
    risk_chance double precision check (risk_chance between 0 and 1),
    risk_rework_minutes int,
    check (first_id <> then_id),
    check ((risk_chance is null) = (risk_rework_minutes is null)),
    unique (first_id, then_id, type)
);
create index link_then on link (then_id);

create table part (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    name text not null check (name <> ''),
    state text not null
        check (state in ('WANTED', 'ORDERED', 'SHIPPED', 'ARRIVED', 'ACCEPTED', 'FITTED', 'REFUSED')),
    supplier text not null,
    price numeric(12, 2) check (price >= 0),
    arrival_low timestamptz,
    arrival_likely timestamptz,
    arrival_high timestamptz,
    inspection_minutes int not null check (inspection_minutes >= 0),
    paired_with text references part on delete set null deferrable,
    pair_override text,
    position int not null,
    version int not null default 0,
    check (arrival_low <= arrival_likely and arrival_likely <= arrival_high),
    check ((arrival_low is null) = (arrival_likely is null) and (arrival_low is null) = (arrival_high is null))
);
create index part_build on part (build_id);

create table part_need (
    part_id text not null references part on delete cascade deferrable,
    work_id text not null references job on delete cascade deferrable,
    primary key (part_id, work_id)
);

create table commitment (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    name text not null check (name <> ''),
    kind text not null check (kind in ('EVENT', 'SLOT', 'PROMISE')),
    due timestamptz not null,
    gate text not null
        check (gate in ('POWER_UP', 'FIRST_FIRE', 'GROUND', 'TUNER', 'ROLL_OUT', 'TEST', 'EVENT')),
    weight double precision not null check (weight > 0),
    version int not null default 0
);

create table commitment_work (
    commitment_id text not null references commitment on delete cascade deferrable,
    work_id text not null references work on delete cascade deferrable,
    primary key (commitment_id, work_id)
);

create table pin (
    id text primary key,
    work_id text not null references work on delete cascade deferrable,
    kind text not null check (kind in ('PERSON', 'STATION', 'NOT_BEFORE', 'AFTER', 'EXACTLY')),
    person_id text references person on delete cascade deferrable,
    station_id text references station on delete cascade deferrable,
    first_id text references work on delete cascade deferrable,
    at timestamptz,
    check ((kind = 'PERSON') = (person_id is not null)),
    check ((kind = 'STATION') = (station_id is not null)),
    check ((kind = 'AFTER') = (first_id is not null)),
    check ((kind in ('NOT_BEFORE', 'EXACTLY')) = (at is not null))
);

create table fitted_for_now (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    what text not null check (what <> ''),
    reason text not null,
    gate text not null
        check (gate in ('POWER_UP', 'FIRST_FIRE', 'GROUND', 'TUNER', 'ROLL_OUT', 'TEST', 'EVENT')),
    at timestamptz not null,
    made_good_at timestamptz
);

create table measurement (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    what text not null check (what <> ''),
    value text not null,
    taken_by text not null,
    at timestamptz not null,
    stale_because text
);

create table promised_call (
    id text primary key,
    build_id text references build on delete cascade deferrable,
    who text not null,
    about text not null,
    due timestamptz not null,
    done_at timestamptz
);

create table published_plan (
    id text primary key,
    at timestamptz not null,
    by_name text not null,
    plan jsonb not null
);
