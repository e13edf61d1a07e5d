package galecrest.server.background;

record HarderRequest(int seconds) {}
