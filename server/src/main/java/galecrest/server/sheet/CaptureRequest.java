package galecrest.server.sheet;

record CaptureRequest(String text) {}
