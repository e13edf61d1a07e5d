package galecrest.server.stock;

record BoughtRequest(boolean bought) {}
