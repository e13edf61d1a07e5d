package galecrest.server.sheet;

/** The work of a template goes onto a car that is there. */
record AddTemplateRequest(String template) {}
