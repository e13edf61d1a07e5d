package galecrest.server.sheet;

import java.util.List;

/** A template as it is offered. */
record TemplateResponse(String id, String name, boolean own, int jobs, int likelyMinutes, List<String> stages) {}
