package galecrest.server.calendar;

record FeedRequest(FeedKind kind, String subject) {}
