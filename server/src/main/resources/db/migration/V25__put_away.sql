-- A finished build is put away: found in the history, out of everybody's way; new work or a new date takes it out again.
alter table build add column put_away_at timestamptz;
create function take_out() returns trigger language plpgsql as $$
begin
    update build set put_away_at = null where id = new.build_id and put_away_at is not null;
    return null;
end $$;
create trigger take_out after insert on work for each row execute function take_out();
create trigger take_out after insert on commitment for each row execute function take_out();

-- Work that was finished long ago and that nothing hangs on is filed: no plan is made with it and no screen carries it.
-- Filing follows from the record and is not in the journal; what is opened again is out of the file.
alter table work add column filed boolean not null default false;
create index work_not_filed on work (build_id) where not filed;
create function out_of_the_file() returns trigger language plpgsql as $$
begin
    if new.status <> 'DONE' then
        new.filed := false;
    end if;
    return new;
end $$;
create trigger file before update on work for each row execute function out_of_the_file();
drop trigger journal on work;
create trigger journal after insert or delete on work for each row execute function journal_row();
create trigger journal_update after update on work for each row
    when (to_jsonb(old) - 'filed' - 'version' is distinct from to_jsonb(new) - 'filed' - 'version')
    execute function journal_row();

-- The work that plans and screens know.
create view work_here as
select w.id, w.build_id from work w join build b on b.id = w.build_id where not w.filed and b.put_away_at is null;
