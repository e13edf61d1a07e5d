-- What only put many rows in, as an import does, is taken out table by table, the last table first. Where that does not take
-- out each of them, and for whatever else is undone, it goes row by row, backwards. Either way a row is the one only if it is
-- still as the change left it.
create function rows_by_key(of_table text) returns text language sql stable as $$
    select coalesce(string_agg(format('t.%1$I = r.%1$I', a.attname), ' and '), 'true')
    from pg_index i join pg_attribute a on a.attrelid = i.indrelid and a.attnum = any (i.indkey)
    where i.indrelid = of_table::regclass and i.indisprimary
$$;

create function revert_inserts(reverted bigint) returns void language plpgsql set timezone = 'UTC' as $$
declare
    lot record;
    gone bigint;
begin
    for lot in
        select table_name, count(*) as lines from change_row where change_id = reverted
        group by table_name order by max(id) desc
    loop
        execute format(
            'delete from %1$I t using change_row c, jsonb_populate_record(null::%1$I, c.after) r '
                'where c.change_id = $1 and c.table_name = %1$L and %2$s and '
                '(select jsonb_object_agg(key, value) from jsonb_each(to_jsonb(t) - ''version'' - ''filed'') '
                'where c.after ? key) = c.after - ''version'' - ''filed''', lot.table_name, rows_by_key(lot.table_name))
            using reverted;
        get diagnostics gone = row_count;
        if gone <> lot.lines then
            raise exception 'not table by table' using errcode = 'GC001';
        end if;
    end loop;
end $$;

create or replace function revert_change(reverted bigint) returns text language plpgsql set timezone = 'UTC' as $$
declare
    line change_row;
    place tid;
    columns text;
    known text := '';
    by_key text := 'true';
begin
    set constraints all deferred;
    if (select count(*) > 100 and bool_and(before is null) from change_row where change_id = reverted) then
        begin
            perform revert_inserts(reverted);
            return null;
        exception when sqlstate 'GC001' then
            null;
        end;
    end if;
    for line in select * from change_row where change_id = reverted order by id desc loop
        if line.after is not null then
            if line.table_name <> known then
                by_key := rows_by_key(line.table_name);
                known := line.table_name;
            end if;
            execute format(
                'select t.ctid from %1$I t, jsonb_populate_record(null::%1$I, $1) r where %2$s and '
                    '(select jsonb_object_agg(key, value) from jsonb_each(to_jsonb(t) - ''version'' - ''filed'') '
                    'where $1 ? key) = $1 - ''version'' - ''filed'' limit 1', line.table_name, by_key)
                into place using line.after;
            if place is null then
                return line.table_name;
            end if;
        end if;
        if line.before is null then
            execute format('delete from %I where ctid = $1', line.table_name) using place;
        else
            select string_agg(format('%I', attname), ', ') into columns
            from pg_attribute
            where attrelid = line.table_name::regclass and attnum > 0 and not attisdropped and line.before ? attname
                and (line.after is null or attname <> 'version');
            if line.after is null then
                execute format(
                    'insert into %1$I (%2$s) select %2$s from jsonb_populate_record(null::%1$I, $1)',
                    line.table_name, columns) using line.before;
            else
                execute format(
                    'update %1$I set (%2$s) = (select %2$s from jsonb_populate_record(null::%1$I, $1)) where ctid = $2',
                    line.table_name, columns) using line.before, place;
            end if;
        end if;
    end loop;
    return null;
end $$;
