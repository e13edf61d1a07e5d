-- What only put many rows in, as an import does, is taken out table by table, the last table first. Where that does not take
-- out each of them, and for whatever else is undone, it goes row by row, backwards. Either way a row is the one only if it is
-- still as the change left it.
alter function revert_change(bigint) rename to revert_rows;

create function revert_inserts(reverted bigint) returns void language plpgsql set timezone = 'UTC' as $$
declare
    lot record;
    by_key text;
    gone bigint;
begin
    set constraints all deferred;
    for lot in
        select table_name, count(*) as lines from change_row where change_id = reverted
        group by table_name order by max(id) desc
    loop
        select coalesce(string_agg(format('t.%1$I = r.%1$I', a.attname), ' and '), 'true') into by_key
        from pg_index i join pg_attribute a on a.attrelid = i.indrelid and a.attnum = any (i.indkey)
        where i.indrelid = lot.table_name::regclass and i.indisprimary;
        execute format(
            'delete from %1$I t using change_row c, jsonb_populate_record(null::%1$I, c.after) r '
                'where c.change_id = $1 and c.table_name = %1$L and %2$s and '
                '(select jsonb_object_agg(key, value) from jsonb_each(to_jsonb(t) - ''version'' - ''filed'') '
                'where c.after ? key) = c.after - ''version'' - ''filed''', lot.table_name, by_key)
            using reverted;
        get diagnostics gone = row_count;
        if gone <> lot.lines then
            raise exception 'not table by table' using errcode = 'GC001';
        end if;
    end loop;
end $$;

create function revert_change(reverted bigint) returns text language plpgsql set timezone = 'UTC' as $$
begin
    if (select count(*) > 100 and bool_and(before is null) from change_row where change_id = reverted) then
        begin
            perform revert_inserts(reverted);
            return null;
        exception when sqlstate 'GC001' then
            null;
        end;
    end if;
    return revert_rows(reverted);
end $$;
