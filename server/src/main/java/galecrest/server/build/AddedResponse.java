package galecrest.server.build;

record AddedResponse(String id) {}
