package galecrest.server.sheet;

/** A template of the house; {@code version} counts only where it is changed. */
record TemplateRequest(String name, String sheet, int version) {}
