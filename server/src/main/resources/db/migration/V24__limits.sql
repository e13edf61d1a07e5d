-- Every reference to another row has an index: a delete, and the journal's undo, look there.
do $$
declare
    reference record;
begin
    for reference in
        select c.conrelid::regclass as tab, c.conrelid::regclass::text as name, a.attname as col
        from pg_constraint c join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
        where c.contype = 'f' and array_length(c.conkey, 1) = 1
            and c.connamespace = current_schema()::regnamespace
            and not exists (select 1 from pg_index i
                where i.indrelid = c.conrelid and i.indkey[0] = c.conkey[1] and i.indpred is null)
    loop
        execute format('create index if not exists %I on %s (%I)',
            reference.name || '_' || reference.col || '_fk', reference.tab, reference.col);
    end loop;
end $$;

-- What people type has an end: a name some words, a note a page. Rows of before are left as they are.
do $$
declare
    typed record;
begin
    for typed in
        select table_name, column_name,
            case when column_name in ('name', 'number', 'customer', 'discipline', 'kit', 'place', 'by_name', 'who', 'tracking',
                'quantity', 'bought_from', 'driver', 'skill', 'kind', 'email', 'phone', 'trade', 'recipient') then 200
            else 4000 end as most
        from information_schema.columns
        where table_schema = current_schema() and data_type = 'text'
            and column_name in ('name', 'number', 'customer', 'discipline', 'kit', 'place', 'by_name', 'who', 'tracking',
                'quantity', 'bought_from', 'driver', 'skill', 'kind', 'email', 'phone', 'trade', 'recipient', 'note', 'title',
                'what', 'said', 'about', 'symptom', 'cause', 'how', 'question', 'hold_note', 'reason', 'because', 'caption',
                'specification', 'damage', 'effect', 'felt', 'words', 'decided_note', 'override_reason', 'pair_override',
                'decision', 'subject', 'answer', 'stale_because', 'place', 'tolerance', 'text')
            and table_name not like 'spring%' and table_name not like 'flyway%' and table_name not in ('change_row')
    loop
        execute format('alter table %I add constraint %I check (length(%I) <= %s) not valid',
            typed.table_name, typed.table_name || '_' || typed.column_name || '_length', typed.column_name, typed.most);
    end loop;
end $$;
