package galecrest.server.access;

record PasswordRequest(String old, String next) {}
