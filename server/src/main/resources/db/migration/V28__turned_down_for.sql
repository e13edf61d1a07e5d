-- What an offer was worth when it was answered: it may have grown since it was made.
alter table offer_answer add column gain double precision;

-- What happened since yesterday is counted for every board.
create index change_at on change (at);
