package galecrest.server.board;

record CarRow(String id, String body, String customer, String discipline, int version, int done, int total) {}
