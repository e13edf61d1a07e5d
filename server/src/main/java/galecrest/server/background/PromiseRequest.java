package galecrest.server.background;

record PromiseRequest(String template) {}
