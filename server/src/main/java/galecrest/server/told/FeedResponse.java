package galecrest.server.told;

record FeedResponse(String token, FeedKind kind, String subject) {}
