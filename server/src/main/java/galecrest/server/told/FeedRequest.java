package galecrest.server.told;

record FeedRequest(FeedKind kind, String subject) {}
