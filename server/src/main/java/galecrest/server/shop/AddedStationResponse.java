package galecrest.server.shop;

record AddedStationResponse(String id) {}
