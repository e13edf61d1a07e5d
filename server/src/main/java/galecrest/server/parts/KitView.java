package galecrest.server.parts;

record KitView(String buildId, String kit, int here, int all) {}
