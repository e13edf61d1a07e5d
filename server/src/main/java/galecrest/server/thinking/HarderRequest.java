package galecrest.server.thinking;

record HarderRequest(int seconds) {}
