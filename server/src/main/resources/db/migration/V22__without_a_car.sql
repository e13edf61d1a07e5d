-- Work without a car: batches for stock, tools, the trailer, the building, errands.
alter table build drop constraint build_body_check;
alter table build add constraint build_body_check
    check (body in ('SALOON', 'COUPE', 'HATCH', 'ROADSTER', 'SINGLE_SEATER', 'TRUCK', 'NONE'));

-- What a job puts on the shelf once it is done.
create table job_yield (
    work_id text primary key references work on delete cascade deferrable,
    shelf_id text not null references shelf on delete cascade deferrable,
    quantity int not null check (quantity between 1 and 10000)
);
create index job_yield_shelf on job_yield (shelf_id);

-- A way to somewhere and back, by a time: the job of it, for which car, and the part that it brings.
create table errand (
    work_id text primary key references work on delete cascade deferrable,
    place text not null check (length(place) <= 100),
    for_build_id text references build on delete set null deferrable,
    part_id text references part on delete set null deferrable,
    by_at timestamptz not null,
    commitment_id text references commitment on delete set null deferrable
);
create index errand_for_build on errand (for_build_id);
create index errand_part on errand (part_id);
create index errand_commitment on errand (commitment_id);
do $$
declare
    name text;
begin
    foreach name in array array['job_yield', 'errand']
    loop
        execute format(
            'create trigger journal after insert or update or delete on %I for each row execute function journal_row()',
            name);
    end loop;
end $$;
