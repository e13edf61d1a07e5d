-- The plan that stands is what was published, until a better one is taken; that one is a draft until it is published.
create table taken_plan (
    id boolean primary key default true check (id),
    plan jsonb not null
);
create trigger journal after insert or update or delete on taken_plan for each row execute function journal_row();
