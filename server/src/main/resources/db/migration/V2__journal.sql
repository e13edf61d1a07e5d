-- Who changed what, when, from what to what. Rows are written by triggers, so that no change can go around the
-- journal; a change outside one is refused.
create table change (
    id bigint generated always as identity primary key,
    at timestamptz not null,
    actor text not null,
    session_id text not null,
    summary text not null,
    undoes bigint unique references change
);
create index change_session on change (session_id, id);

create table change_row (
    id bigint generated always as identity primary key,
    change_id bigint not null references change,
    table_name text not null,
    before jsonb,
    after jsonb
);
create index change_row_change on change_row (change_id);

create function journal_row() returns trigger language plpgsql set timezone = 'UTC' as $$
declare
    change bigint := nullif(current_setting('galecrest.change', true), '')::bigint;
begin
    if change is null then
        raise exception 'A change of % outside the journal.', tg_table_name;
    end if;
    insert into change_row (change_id, table_name, before, after)
    values (
        change,
        tg_table_name,
        case when tg_op <> 'INSERT' then to_jsonb(old) end,
        case when tg_op <> 'DELETE' then to_jsonb(new) end);
    return null;
end $$;

do $$
declare
    name text;
begin
    foreach name in array array[
        'shop', 'person', 'person_skill', 'person_shift', 'shift_change', 'station', 'station_closure', 'vendor',
        'vendor_hours', 'vendor_closure', 'build', 'stage', 'work', 'job', 'job_place', 'job_started_by', 'outwork',
        'running_in', 'link', 'part', 'part_need', 'commitment', 'commitment_work', 'pin', 'fitted_for_now',
        'measurement', 'promised_call', 'published_plan']
    loop
        execute format(
            'create trigger journal after insert or update or delete on %I for each row execute function journal_row()',
            name);
    end loop;
end $$;

-- Puts back what a change did, newest row first, as part of the change that is open. Returns the table of the first
-- row that is no longer as the change left it; null where all went back.
create function revert_change(reverted bigint) returns text language plpgsql set timezone = 'UTC' as $$
declare
    line change_row;
    place tid;
    columns text;
begin
    set constraints all deferred;
    for line in select * from change_row where change_id = reverted order by id desc loop
        if line.after is not null then
            execute format('select ctid from %I t where to_jsonb(t) - ''version'' = $1 - ''version'' limit 1', line.table_name)
                into place using line.after;
            if place is null then
                return line.table_name;
            end if;
        end if;
        if line.before is null then
            execute format('delete from %I where ctid = $1', line.table_name) using place;
        elsif line.after is null then
            execute format('insert into %1$I select * from jsonb_populate_record(null::%1$I, $1)', line.table_name)
                using line.before;
        else
            select string_agg(format('%I', attname), ', ') into columns
            from pg_attribute
            where attrelid = line.table_name::regclass and attnum > 0 and not attisdropped
                and attname <> 'version';
            execute format(
                'update %1$I set (%2$s) = (select %2$s from jsonb_populate_record(null::%1$I, $1)) where ctid = $2',
                line.table_name, columns) using line.before, place;
        end if;
    end loop;
    return null;
end $$;

-- An update of a row whose table has a version always moves it on, whoever makes it.
create function next_version() returns trigger language plpgsql as $$
begin
    new.version := old.version + 1;
    return new;
end $$;

do $$
declare
    name text;
begin
    foreach name in array array['shop', 'person', 'station', 'vendor', 'build', 'work', 'part', 'commitment'] loop
        execute format(
            'create trigger version before update on %I for each row execute function next_version()', name);
    end loop;
end $$;
