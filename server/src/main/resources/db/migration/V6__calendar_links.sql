-- Private links to calendars: whoever has the link reads what was published for one person, station or build.
create table feed (
    token text primary key,
    kind text not null check (kind in ('PERSON', 'STATION', 'BUILD')),
    subject text not null,
    made_at timestamptz not null
);
create trigger journal after insert or update or delete on feed for each row execute function journal_row();
