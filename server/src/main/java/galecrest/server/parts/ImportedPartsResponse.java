package galecrest.server.parts;

record ImportedPartsResponse(int parts) {}
