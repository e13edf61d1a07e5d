package galecrest.server.people;

record AddedPersonResponse(String id) {}
