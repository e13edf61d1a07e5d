package galecrest.server.board;

public record ReadyWork(String workId, boolean own) {}
