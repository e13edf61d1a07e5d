package galecrest.server.money;

record BuildRow(String id, String name) {}
