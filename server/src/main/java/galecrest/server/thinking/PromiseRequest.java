package galecrest.server.thinking;

record PromiseRequest(String template) {}
