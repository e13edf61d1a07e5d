package galecrest.server.calendar;

/** Whose calendar a feed is. */
enum FeedKind {
    PERSON,
    STATION,
    BUILD
}
