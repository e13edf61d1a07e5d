-- Up to what net amount something found goes ahead unasked; without one all does.
alter table shop add column finding_limit numeric(10, 2) check (finding_limit >= 0);

-- Work that waits for the customer's yes; and what the customer reads instead of its name.
alter table work
    add column asks_customer boolean not null default false,
    add column customer_name text check (customer_name <> '' and length(customer_name) <= 100);

-- The finding that a change order asks about.
alter table change_order add column work_id text references work on delete set null deferrable;
create index change_order_work on change_order (work_id);
