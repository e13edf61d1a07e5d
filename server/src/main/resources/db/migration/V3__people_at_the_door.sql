-- Accounts and their sessions (tables of Spring Session JDBC).
create table account (
    username text primary key check (username = lower(username)),
    name text not null,
    role text not null check (role in ('MANAGER', 'LEAD', 'HAND')),
    -- No foreign key: an account outlives a person who is taken off the list, so that undo brings both back.
    person_id text,
    password text not null,
    failures int not null default 0,
    locked_until timestamptz
);

create table spring_session (
    primary_id char(36) primary key,
    session_id char(36) not null unique,
    creation_time bigint not null,
    last_access_time bigint not null,
    max_inactive_interval int not null,
    expiry_time bigint not null,
    principal_name varchar(100)
);
create index spring_session_expiry on spring_session (expiry_time);
create index spring_session_principal on spring_session (principal_name);

create table spring_session_attributes (
    session_primary_id char(36) not null references spring_session on delete cascade,
    attribute_name varchar(200) not null,
    attribute_bytes bytea not null,
    primary key (session_primary_id, attribute_name)
);
