package galecrest.server.sheet;

/** The work of a build as a template under a name. */
record TemplateOfBuildRequest(String buildId, String name) {}
