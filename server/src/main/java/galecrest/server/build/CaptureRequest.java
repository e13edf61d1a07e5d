package galecrest.server.build;

record CaptureRequest(String text) {}
