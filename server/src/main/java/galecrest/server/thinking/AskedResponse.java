package galecrest.server.thinking;

record AskedResponse(String id) {}
