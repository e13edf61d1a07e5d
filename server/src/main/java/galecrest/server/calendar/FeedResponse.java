package galecrest.server.calendar;

record FeedResponse(String token, FeedKind kind, String subject) {}
