-- What really happened: a hold knows the part it waits for, work that was done before the build came under plan costs
-- nothing, and rework knows what it does again.
alter table work
    add column hold_part_id text references part on delete set null deferrable,
    add column done_before boolean not null default false,
    add column again_of text references work on delete set null deferrable;
create index work_hold_part on work (hold_part_id);
create index work_again_of on work (again_of);
-- Hours that were written down afterwards, rather than by the clock of start and done.
alter table worked add column caught_up boolean not null default false;
create index worked_at on worked (at);

-- Whoever is invited, or has lost the password, sets it by a link that works once. Only a digest of the link is kept.
create table invitation (
    digest text primary key,
    username text not null references account on delete cascade,
    made_at timestamptz not null,
    expires_at timestamptz not null
);
create index invitation_username on invitation (username);

-- Templates of the house: job sheets under a name, beside those that ship with the shop.
create table house_template (
    id text primary key,
    name text not null check (name <> ''),
    sheet text not null,
    version int not null default 0
);
create unique index house_template_name on house_template (lower(name));
create trigger journal after insert or update or delete on house_template for each row execute function journal_row();
create trigger version before update on house_template for each row execute function next_version();

-- How far the demo's own time is ahead of the real one; no row, and there is none, but in a demo.
create table shop_clock (
    id boolean primary key default true check (id),
    ahead_seconds bigint not null check (ahead_seconds >= 0)
);

-- Weeks that are played through on a copy of the shop. They touch nothing of the record, and are no part of it.
create table rehearsal (
    id text primary key,
    made_by text not null,
    made_at timestamptz not null,
    seed bigint not null,
    weather text not null,
    turns int not null check (turns between 1 and 40),
    turn int not null default 0,
    shop text not null,
    decisions text not null default '[]',
    result text
);
create index rehearsal_made on rehearsal (made_by, made_at);

-- What was said in a call, and by whom it was taken down.
alter table promised_call
    add column said text not null default '',
    add column by_name text not null default '';
create index promised_call_open on promised_call (due) where done_at is null;

-- What somebody must decide about a car, what could be chosen, and what was; that it stays as it was is one too.
create table car_decision (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    question text not null check (question <> ''),
    asked text not null default '',
    due timestamptz,
    chosen text,
    kept boolean not null default false,
    note text not null default '',
    decided_at timestamptz,
    decided_by text,
    made_at timestamptz not null,
    check ((chosen is null) = (decided_at is null))
);
create index car_decision_build on car_decision (build_id);
create table car_decision_option (
    decision_id text not null references car_decision on delete cascade deferrable,
    position int not null,
    name text not null check (name <> ''),
    price numeric(12, 2) check (price >= 0),
    effect text not null default '',
    primary key (decision_id, position)
);

-- Faults that are looked for: the symptom, and what was checked, so that nobody checks the same again.
create table fault (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    symptom text not null check (symptom <> ''),
    noted_at timestamptz not null,
    noted_by text not null,
    cause text,
    solved_at timestamptz,
    check ((cause is null) = (solved_at is null))
);
create index fault_build on fault (build_id);
create table fault_check (
    id text primary key,
    fault_id text not null references fault on delete cascade deferrable,
    what text not null check (what <> ''),
    how text not null default '',
    result text not null check (result <> ''),
    ruled_out boolean not null,
    at timestamptz not null,
    by_name text not null
);
create index fault_check_fault on fault_check (fault_id, at);
do $$
declare
    name text;
begin
    foreach name in array array['car_decision', 'car_decision_option', 'fault', 'fault_check']
    loop
        execute format(
            'create trigger journal after insert or update or delete on %I for each row execute function journal_row()',
            name);
    end loop;
end $$;

-- What a project cost to buy and was sold for, beside what it took.
alter table build
    add column bought numeric(12, 2) check (bought >= 0),
    add column sold numeric(12, 2) check (sold >= 0);

-- What one car has borrowed of another, or of the shelf, and owes.
create table loan (
    id text primary key,
    what text not null check (what <> ''),
    from_build_id text references build on delete cascade deferrable,
    to_build_id text not null references build on delete cascade deferrable,
    part_id text references part on delete set null deferrable,
    at timestamptz not null,
    by_name text not null,
    returned_at timestamptz,
    check (from_build_id <> to_build_id)
);
create index loan_from on loan (from_build_id);
create index loan_to on loan (to_build_id);
create index loan_part on loan (part_id);
create trigger journal after insert or update or delete on loan for each row execute function journal_row();
