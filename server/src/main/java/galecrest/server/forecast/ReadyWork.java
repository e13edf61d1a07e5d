package galecrest.server.forecast;

public record ReadyWork(String workId, boolean own) {}
