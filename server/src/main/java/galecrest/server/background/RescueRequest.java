package galecrest.server.background;

record RescueRequest(String commitmentId) {}
