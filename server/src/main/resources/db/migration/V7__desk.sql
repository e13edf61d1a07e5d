-- What could be promised for a new build is thought about like the rest.
alter table thought
    drop constraint thought_kind_check,
    add constraint thought_kind_check check (kind in ('HARDER', 'CHANCE', 'RESCUE', 'PROMISE'));

-- The desk: what is outside the building, what was said about it, what it costs, what the customer sees.

alter table shop
    add column currency text not null default 'EUR' check (currency ~ '^[A-Z]{3}$'),
    add column hour_rate numeric(10, 2) not null default 85 check (hour_rate >= 0),
    add column tax_percent numeric(5, 2) not null default 0 check (tax_percent between 0 and 100);

alter table vendor
    add column email text not null default '';

-- Who sent a part was a name; it is a vendor now.
alter table part add column vendor_id text references vendor deferrable;
do $$
declare
    line record;
    made text;
begin
    if exists (select 1 from part where supplier <> '') then
        insert into change (at, actor, session_id, summary) values (now(), 'Galecrest', '', 'made vendors of suppliers');
        perform set_config('galecrest.change', currval(pg_get_serial_sequence('change', 'id'))::text, true);
        for line in select distinct trim(supplier) as name from part where trim(supplier) <> '' loop
            select id into made from vendor where lower(name) = lower(line.name);
            if made is null then
                made := 'supplier-' || md5(line.name);
                insert into vendor (id, name, trade, phone) values (made, line.name, 'parts', '');
            end if;
            update part set vendor_id = made where trim(supplier) = line.name;
        end loop;
        perform set_config('galecrest.change', '', true);
    end if;
end $$;
-- What was done to parts before this day can no longer be undone: its rows have other columns.
alter table part drop column supplier;

alter table part
    drop constraint part_state_check,
    add constraint part_state_check check (state in
        ('WANTED', 'SPECIFIED', 'QUOTED', 'ORDERED', 'SHIPPED', 'ARRIVED', 'INSPECTED', 'ACCEPTED', 'FITTED',
         'FITTED_FOR_NOW', 'REFUSED', 'RETURNED')),
    add column quantity int not null default 1 check (quantity between 1 and 10000),
    add column received int not null default 0 check (received >= 0),
    add column own boolean not null default false,
    add column specification text not null default '',
    add column kit text not null default '',
    add column tracking text not null default '',
    add column ordered_at timestamptz,
    add column promised_at timestamptz,
    add column override_reason text check (override_reason <> ''),
    add column instead_of text not null default '';
create index part_vendor on part (vendor_id);

-- Both sides of a joint of a part, as written; an empty side is unknown.
create table mate (
    id text primary key,
    part_id text not null references part on delete cascade deferrable,
    place text not null check (place <> ''),
    kind text not null,
    there text not null,
    comes text not null,
    position int not null
);
create index mate_part on mate (part_id);

-- What came when, against what was promised when it was ordered.
create table delivery (
    id text primary key,
    vendor_id text not null references vendor on delete cascade deferrable,
    what text not null,
    promised_at timestamptz not null,
    came_at timestamptz not null
);
create index delivery_vendor on delivery (vendor_id, came_at);

-- What was said about a part or outwork, and the next word promised.
create table word (
    id text primary key,
    part_id text references part on delete cascade deferrable,
    work_id text references work on delete cascade deferrable,
    at timestamptz not null,
    by_name text not null,
    said text not null check (said <> ''),
    next_at timestamptz,
    check ((part_id is null) <> (work_id is null))
);
create index word_part on word (part_id);
create index word_work on word (work_id);

-- Not journalled, so that the journal need not hold pictures, and without foreign keys: a photo outlives a car or a
-- part that is removed, so that undo finds it.
create table photo (
    id text primary key,
    build_id text not null,
    part_id text,
    caption text not null,
    type text not null check (type in ('image/jpeg', 'image/png')),
    width int not null,
    height int not null,
    content bytea not null,
    small bytea not null,
    by_name text not null,
    at timestamptz not null
);
create index photo_build on photo (build_id);
-- Which photos the customer may see.
create table released_photo (
    photo_id text primary key references photo on delete cascade deferrable
);

-- Photos that were taken away; undo brings them back.
create table removed_photo (
    photo_id text primary key references photo on delete cascade deferrable
);

create table inspection (
    id text primary key,
    part_id text not null references part on delete cascade deferrable,
    at timestamptz not null,
    by_name text not null,
    counted int not null check (counted >= 0),
    right_variant boolean not null,
    sizes text not null,
    damage text not null,
    photo_id text,
    accepted boolean not null,
    reason text not null
);
create index inspection_part on inspection (part_id);

-- Mail that would have been sent.
create table mail (
    id text primary key,
    at timestamptz not null,
    by_name text not null,
    recipient text not null,
    subject text not null,
    body text not null,
    part_id text references part on delete set null deferrable,
    attachment text
);

-- Consumables, gathered into one run a day.
create table supply (
    id text primary key,
    name text not null check (name <> ''),
    quantity text not null,
    bought_from text not null,
    build_id text references build on delete set null deferrable,
    asked_by text not null,
    asked_at timestamptz not null,
    bought_at timestamptz,
    bought_by text
);

-- What lies on the shelf, and which lines have taken of it.
create table shelf (
    id text primary key,
    name text not null check (name <> ''),
    place text not null,
    quantity int not null check (quantity >= 0),
    least int not null check (least >= 0),
    vendor_id text references vendor deferrable,
    version int not null default 0
);
create table shelf_taken (
    part_id text primary key references part on delete cascade deferrable,
    shelf_id text not null references shelf on delete cascade deferrable,
    quantity int not null check (quantity > 0)
);

-- Questions of the checklists of outwork, and their answers.
create table outwork_check (
    work_id text not null references work on delete cascade deferrable,
    side text not null check (side in ('SEND', 'RETURN')),
    item text not null,
    answer text not null,
    done boolean not null,
    by_name text not null,
    at timestamptz not null,
    primary key (work_id, side, item)
);
alter table outwork
    add column specification text not null default '',
    add column driver text not null default '',
    add column trailer boolean not null default false,
    add column price numeric(12, 2) check (price >= 0),
    add column promised_back timestamptz;

-- What a job may bring to light.
alter table job
    add column find_chance double precision not null default 0 check (find_chance between 0 and 1),
    add column find_minutes int not null default 0 check (find_minutes >= 0);

-- Who has worked how long on a job, by the clock of start, pause and done.
create table worked (
    id text primary key,
    work_id text not null references work on delete cascade deferrable,
    person_id text not null,
    minutes int not null check (minutes >= 0),
    at timestamptz not null
);
create index worked_work on worked (work_id);

-- Money of a build.
create table estimate (
    build_id text primary key references build on delete cascade deferrable,
    hours numeric(10, 2) not null check (hours >= 0),
    parts numeric(14, 2) not null check (parts >= 0),
    outwork numeric(14, 2) not null check (outwork >= 0),
    allowance_percent numeric(5, 2) not null check (allowance_percent between 0 and 100),
    hour_rate numeric(10, 2) not null check (hour_rate >= 0),
    agreed_at timestamptz not null,
    by_name text not null
);
create table change_order (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    title text not null check (title <> ''),
    note text not null,
    hours numeric(10, 2) not null check (hours >= 0),
    skill text not null,
    gate text not null
        check (gate in ('POWER_UP', 'FIRST_FIRE', 'GROUND', 'TUNER', 'ROLL_OUT', 'TEST', 'EVENT')),
    parts numeric(14, 2) not null check (parts >= 0),
    parts_at timestamptz,
    outwork numeric(14, 2) not null check (outwork >= 0),
    hour_rate numeric(10, 2) not null,
    effect jsonb not null,
    state text not null check (state in ('OFFERED', 'ACCEPTED', 'REFUSED')),
    made_by text not null,
    made_at timestamptz not null,
    decided_by text,
    decided_at timestamptz,
    decided_note text,
    check ((state = 'OFFERED') = (decided_at is null))
);
create index change_order_build on change_order (build_id);
create table payment (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    at timestamptz not null,
    amount numeric(14, 2) not null check (amount > 0),
    note text not null
);

-- What a vendor sells for how much and how soon, in its working days.
create table vendor_offer (
    id text primary key,
    vendor_id text not null references vendor on delete cascade deferrable,
    what text not null check (what <> ''),
    price numeric(12, 2) check (price >= 0),
    low_days int not null check (low_days >= 0),
    likely_days int not null check (likely_days >= low_days),
    high_days int not null check (high_days >= likely_days),
    position int not null
);
create index vendor_offer_vendor on vendor_offer (vendor_id);

-- Times that a vendor offers. One is taken while outside work with that vendor is booked over it.
create table vendor_slot (
    id text primary key,
    vendor_id text not null references vendor on delete cascade deferrable,
    starts_at timestamptz not null,
    ends_at timestamptz not null check (ends_at > starts_at),
    note text not null
);
create index vendor_slot_vendor on vendor_slot (vendor_id);

-- Only a hash of the token is kept; who has the database has no links.
create table customer_link (
    id text primary key,
    hash text not null unique,
    build_id text not null references build on delete cascade deferrable,
    made_at timestamptz not null,
    made_by text not null,
    expires_at timestamptz not null,
    revoked_at timestamptz,
    money boolean not null
);

do $$
declare
    name text;
begin
    foreach name in array array[
        'mate', 'delivery', 'word', 'released_photo', 'removed_photo', 'inspection', 'mail', 'supply', 'shelf', 'shelf_taken',
        'outwork_check', 'vendor_offer', 'vendor_slot', 'worked', 'estimate', 'change_order', 'payment', 'customer_link']
    loop
        execute format(
            'create trigger journal after insert or update or delete on %I for each row execute function journal_row()',
            name);
    end loop;
end $$;
create trigger version before update on shelf for each row execute function next_version();
