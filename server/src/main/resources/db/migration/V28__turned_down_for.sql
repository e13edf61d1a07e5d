-- What an offer was worth when it was answered: it may have grown since it was made.
alter table offer_answer add column gain double precision;
