-- How long past their hours people stay on to end a job that cannot be interrupted.
alter table shop
    add column stay_on_minutes int not null default 120 check (stay_on_minutes between 0 and 480);

-- Whoever thinks counts its beats; who has gone silent is told by the count standing still, whatever the clocks say. Odds
-- that ended without a result are tried again, but not for ever. Odds of what people were told are the only ones that
-- anybody but manager and lead may see.
alter table thought
    drop column beat,
    add column beats bigint not null default 0,
    add column tries int not null default 0,
    add column told boolean not null default false;

-- A draft that was dropped stays what it was: a draft that nobody was told of.
alter table change add column dropped boolean not null default false;

-- Failures to sign in, by name and address, whether there is such an account or not; and from where each account has
-- signed in before.
alter table account drop column failures, drop column locked_until;
create table sign_in_failure (
    username text not null,
    address text not null,
    failures int not null,
    since timestamptz not null,
    primary key (username, address)
);
create index sign_in_failure_address on sign_in_failure (address);
create table signed_in_from (
    username text not null references account on delete cascade,
    address text not null,
    at timestamptz not null,
    primary key (username, address)
);

-- Sessions are found by user name from now on; those of before were kept under another, and are begun anew.
delete from spring_session;

-- Every foreign key has its index.
create index person_shift_person on person_shift (person_id);
create index shift_change_person on shift_change (person_id);
create index station_closure_station on station_closure (station_id);
create index vendor_hours_vendor on vendor_hours (vendor_id);
create index vendor_closure_vendor on vendor_closure (vendor_id);
create index stage_build on stage (build_id);
create index work_stage on work (stage_id);
create index job_station on job (station_id);
create index job_started_by_person on job_started_by (person_id);
create index outwork_vendor on outwork (vendor_id);
create index part_pair on part (paired_with);
create index part_need_work on part_need (work_id);
create index commitment_build on commitment (build_id);
create index commitment_work_work on commitment_work (work_id);
create index pin_work on pin (work_id);
create index pin_person on pin (person_id);
create index pin_station on pin (station_id);
create index pin_first on pin (first_id);
create index fitted_for_now_build on fitted_for_now (build_id);
create index measurement_build on measurement (build_id);
create index promised_call_build on promised_call (build_id);
create index mail_part on mail (part_id);
create index supply_build on supply (build_id);
create index shelf_vendor on shelf (vendor_id);
create index shelf_taken_shelf on shelf_taken (shelf_id);
create index payment_build on payment (build_id);
create index customer_link_build on customer_link (build_id);
create index published_plan_at on published_plan (at desc);
