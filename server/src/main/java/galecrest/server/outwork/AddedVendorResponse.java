package galecrest.server.outwork;

record AddedVendorResponse(String id) {}
