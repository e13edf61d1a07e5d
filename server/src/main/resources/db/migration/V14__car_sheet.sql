-- What the customer is shown of the log, what disturbs what in this house, and what a piece of work disturbs.
alter table measurement add column shown boolean not null default false;

-- Empty while the house has left it as it usually is.
create table disturbance (
    id text primary key,
    label text not null check (label <> ''),
    words text not null,
    position int not null
);
create trigger journal after insert or update or delete on disturbance for each row execute function journal_row();

-- From a disturbance, or from something measured, to what no longer holds then.
create table disturbs (
    id text primary key,
    source text not null,
    measured text not null,
    unique (source, measured)
);
create trigger journal after insert or update or delete on disturbs for each row execute function journal_row();

-- What it disturbs, as somebody has said; null where its words count.
alter table work add column disturbs text;

-- A photo of what was measured.
alter table photo add column measurement_id text;
