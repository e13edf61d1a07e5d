package galecrest.server.stock;

record TakeRequest(String shelfId) {}
