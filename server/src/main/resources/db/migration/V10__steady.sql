-- The plan that stands is what was published, until a better one is taken; that one is a draft until it is published.
create table taken_plan (
    id boolean primary key default true check (id),
    plan jsonb not null
);
create trigger journal after insert or update or delete on taken_plan for each row execute function journal_row();

-- Better plans that were found, and what was said to them. Only the answers are changes of the record.
create table offer (
    id text primary key,
    at timestamptz not null,
    dates text not null,
    gain double precision not null,
    plan jsonb not null
);
create table offer_answer (
    offer_id text primary key references offer on delete cascade,
    state text not null check (state in ('KEPT', 'TAKEN', 'DISMISSED'))
);
create trigger journal after insert or update or delete on offer_answer for each row execute function journal_row();
create unique index analysis_offer on analysis (change_id, seconds) where kind = 'OFFER';
alter table analysis drop constraint thought_kind_check;
alter table analysis add constraint analysis_kind_check
    check (kind in ('HARDER', 'CHANCE', 'RESCUE', 'PROMISE', 'OFFER'));

-- A better plan is taken without being asked where it wins more than so much (0: never) and changes nothing for so many days.
alter table shop
    add column take_gain_hours int not null default 0 check (take_gain_hours between 0 and 1000),
    add column take_after_days int not null default 0 check (take_after_days between 0 and 13);

-- Which plan was published last, and what has changed since, is told by the change that published it; two clocks need not
-- agree. What was there before the first change has none.
alter table published_plan add column change_id bigint default nullif(current_setting('galecrest.change', true), '')::bigint;
update published_plan p
set change_id = (
    select max(r.change_id) from change_row r
    where r.table_name = 'published_plan' and r.before is null and r.after ->> 'id' = p.id);

-- A row is known again, and put back, by the columns that it had when the change was made; later ones keep what they hold.
create or replace function revert_change(reverted bigint) returns text language plpgsql set timezone = 'UTC' as $$
declare
    line change_row;
    place tid;
    columns text;
begin
    set constraints all deferred;
    for line in select * from change_row where change_id = reverted order by id desc loop
        if line.after is not null then
            execute format(
                'select ctid from %I t where (select jsonb_object_agg(key, value) from jsonb_each(to_jsonb(t) - ''version'') '
                    'where $1 ? key) = $1 - ''version'' limit 1', line.table_name)
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
