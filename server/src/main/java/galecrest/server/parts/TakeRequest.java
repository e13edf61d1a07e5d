package galecrest.server.parts;

record TakeRequest(String shelfId) {}
