package galecrest.server.parts;

record BoughtRequest(boolean bought) {}
