package galecrest.server.thinking;

record RescueRequest(String commitmentId) {}
