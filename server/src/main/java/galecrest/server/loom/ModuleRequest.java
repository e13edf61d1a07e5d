package galecrest.server.loom;

import galecrest.core.loom.LoomModule;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A module.
 *
 * @param kind CONTROL_UNIT, SENSOR or CONSUMER
 * @param needs ids of those without which it does not work
 * @param mass as people write it; blank where nobody has weighed it
 * @param version the one that was read; 0 for a new one
 */
record ModuleRequest(
        String name,
        String kind,
        LoomModule.Decision decision,
        @Nullable List<String> needs,
        @Nullable String mass,
        @Nullable String note,
        int version) {}
