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
