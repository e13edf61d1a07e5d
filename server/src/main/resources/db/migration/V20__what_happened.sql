-- What really happened: a hold knows the part it waits for, work that was done before the build came under plan costs
-- nothing, and rework knows what it does again.
alter table work
    add column hold_part_id text references part on delete set null deferrable,
    add column done_before boolean not null default false,
    add column again_of text references work on delete set null deferrable;
create index work_hold_part on work (hold_part_id);
create index work_again_of on work (again_of);
-- Hours that were written down afterwards, rather than by the clock of start and done.
alter table worked add column caught_up boolean not null default false;
create index worked_at on worked (at);

-- Whoever is invited, or has lost the password, sets it by a link that works once. Only a digest of the link is kept.
create table invitation (
    digest text primary key,
    username text not null references account on delete cascade,
    made_at timestamptz not null,
    expires_at timestamptz not null
);
create index invitation_username on invitation (username);

-- Templates of the house: job sheets under a name, beside those that ship with the shop.
create table house_template (
    id text primary key,
    name text not null check (name <> ''),
    sheet text not null,
    version int not null default 0
);
create unique index house_template_name on house_template (lower(name));
create trigger journal after insert or update or delete on house_template for each row execute function journal_row();
create trigger version before update on house_template for each row execute function next_version();

-- How far the demo's own time is ahead of the real one; no row, and there is none, but in a demo.
create table shop_clock (
    id boolean primary key default true check (id),
    ahead_seconds bigint not null check (ahead_seconds >= 0)
);
