package galecrest.server.photo;

record TakenResponse(String id) {}
