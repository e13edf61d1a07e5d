package galecrest.server.parts;

record PartLinePreview(int line, String part, int quantity, String vendor) {}
