package galecrest.server.told;

/** Whose calendar a feed is. */
enum FeedKind {
    PERSON,
    STATION,
    BUILD
}
