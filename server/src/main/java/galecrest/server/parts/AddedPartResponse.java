package galecrest.server.parts;

record AddedPartResponse(String id) {}
