-- Work may belong to a date of its car, or be for after all of them; else it is for the next date whose gate it serves.
alter table work
    add column date_id text references commitment on delete set null deferrable,
    add column after_dates boolean not null default false,
    add check (not after_dates or date_id is null);
create index work_date on work (date_id) where date_id is not null;

-- A list of work that comes back, laid between two dates of a car, with stages of its own.
create table round (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    name text not null check (name <> ''),
    date_id text references commitment on delete set null deferrable,
    after_id text references commitment on delete set null deferrable,
    position int not null,
    version int not null default 0,
    unique (build_id, name) deferrable,
    check (date_id <> after_id)
);
create trigger journal after insert or update or delete on round for each row execute function journal_row();
create trigger version before update on round for each row execute function next_version();

alter table stage add column round_id text references round on delete cascade deferrable;
alter table stage drop constraint stage_build_id_name_key;
alter table stage add unique nulls not distinct (build_id, round_id, name) deferrable;

-- A car that is put aside: until then nothing is done on it; with no end its work is not in the plan.
alter table build
    add column parked boolean not null default false,
    add column parked_until timestamptz,
    add check (parked or parked_until is null);

-- Why the one goes before the other.
alter table link add column because text not null default '';
