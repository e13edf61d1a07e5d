package galecrest.server.outwork;

record CheckRequest(CheckSide side, String item, boolean done, String answer) {}
