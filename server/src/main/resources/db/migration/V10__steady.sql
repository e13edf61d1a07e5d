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
