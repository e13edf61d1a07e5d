-- How the shop writes days and times: "Dec 3" or "3 Dec", "2:00 pm" or "14:00".
alter table shop
    add column month_first boolean not null default false,
    add column twelve_hours boolean not null default false;
