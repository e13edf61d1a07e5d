package galecrest.server.work;

import galecrest.core.build.Gate;

/** What the use cases look at before they change a piece of work. */
public record WorkSummary(
        String id, String buildId, String name, String kind, String status, Gate gate, boolean held, int version) {}
