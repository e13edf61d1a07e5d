package galecrest.server.parts;

public record KitView(String buildId, String kit, int here, int all) {}
