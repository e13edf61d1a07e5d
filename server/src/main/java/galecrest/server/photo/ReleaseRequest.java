package galecrest.server.photo;

record ReleaseRequest(boolean released) {}
