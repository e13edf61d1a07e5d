package galecrest.server.access;

record SignInRequest(String username, String password) {}
