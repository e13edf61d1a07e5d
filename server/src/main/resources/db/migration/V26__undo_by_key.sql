-- The row that a change left is found by its key; it is the one only if it is still as the change left it. What is filed is
-- no change of anybody's.
create or replace function revert_change(reverted bigint) returns text language plpgsql set timezone = 'UTC' as $$
declare
    line change_row;
    place tid;
    columns text;
    known text := '';
    by_key text := 'true';
begin
    set constraints all deferred;
    for line in select * from change_row where change_id = reverted order by id desc loop
        if line.after is not null then
            if line.table_name <> known then
                select coalesce(string_agg(format('t.%1$I = r.%1$I', a.attname), ' and '), 'true') into by_key
                from pg_index i join pg_attribute a on a.attrelid = i.indrelid and a.attnum = any (i.indkey)
                where i.indrelid = line.table_name::regclass and i.indisprimary;
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

-- What was done since yesterday is counted for every board.
create index work_done_at on work (done_at);

-- Whom a change concerns is told by these of its rows.
create index change_row_concerns on change_row (change_id, table_name)
    where table_name in ('payment', 'estimate', 'account', 'invitation', 'customer_link', 'change_order', 'vendor_offer',
        'vendor_slot');
