package galecrest.server.money;

record DecisionRequest(boolean accept, String note) {}
