package galecrest.server.customer;

record CustomerStage(String name, int done, int total) {}
