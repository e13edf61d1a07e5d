-- What a gauge was asked and answered, the state of the car, and with what it was measured.
alter table measurement
    add column gauge text not null default '',
    add column asked jsonb,
    add column answered jsonb,
    add column driver_in boolean,
    add column fuel text not null default '',
    add column pressures text not null default '',
    add column bars_hooked boolean,
    add column instrument text not null default '',
    add column note text not null default '',
    add column corrects_id text references measurement on delete set null deferrable;
create index measurement_latest on measurement (build_id, what, at desc);
create index measurement_corrects on measurement (corrects_id) where corrects_id is not null;
