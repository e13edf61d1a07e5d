-- A date may take the car away from the shop until it is back, with people and stations such as the trailer.
alter table commitment add column back_at timestamptz, add check (back_at > due);

create table outing_person (
    commitment_id text not null references commitment on delete cascade deferrable,
    person_id text not null references person on delete cascade deferrable,
    primary key (commitment_id, person_id)
);
create index outing_person_person on outing_person (person_id);
create trigger journal after insert or update or delete on outing_person for each row execute function journal_row();

create table outing_station (
    commitment_id text not null references commitment on delete cascade deferrable,
    station_id text not null references station on delete cascade deferrable,
    primary key (commitment_id, station_id)
);
create index outing_station_station on outing_station (station_id);
create trigger journal after insert or update or delete on outing_station for each row execute function journal_row();

-- Work that is done where the car then is.
alter table work
    add column there_id text references commitment on delete set null deferrable,
    add check (there_id is null or date_id is null and not after_dates);
create index work_there on work (there_id) where there_id is not null;
