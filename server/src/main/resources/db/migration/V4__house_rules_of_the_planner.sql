-- What the planner asks the house: how long people are left with what they were told, what a date should have in
-- hand, which car goes first between equals, how often outwork comes back wrong.
alter table shop
    add column frozen_days int not null default 1 check (frozen_days between 0 and 14),
    add column buffer_hours int not null default 8 check (buffer_hours between 0 and 400),
    add column tie_break text not null default 'NEAREST_DATE'
        check (tie_break in ('NEAREST_DATE', 'OUTSIDE_FIRST', 'ONE_CAR_AT_A_TIME')),
    add column return_wrong double precision not null default 0.05 check (return_wrong between 0 and 1);
