-- The loom of a car: the job that waits until every module is decided.
create table loom (
    build_id text primary key references build on delete cascade deferrable,
    work_id text references work on delete set null deferrable,
    version int not null default 1
);
create trigger journal after insert or update or delete on loom for each row execute function journal_row();
create trigger version before update on loom for each row execute function next_version();

-- A control unit, a sensor or a consumer, and what becomes of it.
create table loom_module (
    id text primary key,
    build_id text not null references build on delete cascade deferrable,
    name text not null check (name <> ''),
    kind text not null check (kind in ('CONTROL_UNIT', 'SENSOR', 'CONSUMER')),
    decision text not null default 'UNDECIDED' check (decision in ('UNDECIDED', 'KEEP', 'TAKE_OUT', 'REPLACE')),
    mass double precision not null default 0 check (mass >= 0),
    note text not null default '',
    decided_by text,
    decided_at timestamptz,
    version int not null default 1,
    unique (build_id, name) deferrable
);
create trigger journal after insert or update or delete on loom_module for each row execute function journal_row();
create trigger version before update on loom_module for each row execute function next_version();

create table loom_module_need (
    module_id text not null references loom_module on delete cascade deferrable,
    on_id text not null references loom_module on delete cascade deferrable,
    primary key (module_id, on_id),
    check (module_id <> on_id)
);
create trigger journal after insert or update or delete on loom_module_need for each row execute function journal_row();

-- The points of the tree in which the wires lie, each a length in m from another.
create table loom_point (
    build_id text not null references build on delete cascade deferrable,
    position int not null,
    name text not null check (name <> ''),
    from_name text not null default '',
    length double precision not null default 0,
    primary key (build_id, position)
);
create trigger journal after insert or update or delete on loom_point for each row execute function journal_row();

create table loom_wire (
    build_id text not null references build on delete cascade deferrable,
    position int not null,
    circuit text not null check (circuit <> ''),
    from_name text not null,
    to_name text not null,
    size text not null default '',
    colour text not null default '',
    primary key (build_id, position)
);
create trigger journal after insert or update or delete on loom_wire for each row execute function journal_row();
