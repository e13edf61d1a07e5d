package galecrest.server.money;

record OfferedResponse(String id) {}
