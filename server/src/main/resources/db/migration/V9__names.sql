-- Names that say what they hold. Nothing is kept under them that was not kept before.
alter table looked rename to plan_seen;
alter table word rename to vendor_word;
alter index word_part rename to vendor_word_part;
alter index word_work rename to vendor_word_work;
alter table thought rename to analysis;
alter index thought_chance rename to analysis_chance;
alter index thought_open rename to analysis_open;
alter table mate rename column there to car_side;
alter table mate rename column comes to part_side;
alter table part rename column own to customer_supplied;
alter table shop rename column car_in_bits to opened_car_day;

-- What was reckoned is told by other names from now on, and is reckoned anew.
delete from analysis;

-- The journal keeps rows as they were; they are put back by the names of today.
update change_row set table_name = 'vendor_word' where table_name = 'word';

create function renamed(kept jsonb, old_name text, new_name text) returns jsonb language sql immutable as $$
    select case when kept ? old_name then kept - old_name || jsonb_build_object(new_name, kept -> old_name) else kept end
$$;
update change_row
set before = renamed(before, 'own', 'customer_supplied'), after = renamed(after, 'own', 'customer_supplied')
where table_name = 'part';
update change_row
set before = renamed(renamed(before, 'there', 'car_side'), 'comes', 'part_side'),
    after = renamed(renamed(after, 'there', 'car_side'), 'comes', 'part_side')
where table_name = 'mate';
update change_row
set before = renamed(before, 'car_in_bits', 'opened_car_day'), after = renamed(after, 'car_in_bits', 'opened_car_day')
where table_name = 'shop';
drop function renamed(jsonb, text, text);
