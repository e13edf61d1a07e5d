package galecrest.server.loom;

import galecrest.core.gauge.GaugeAnswer.Figure;
import galecrest.core.loom.LoomModule;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The loom of a car.
 *
 * @param workId the job that waits for the decisions; null where none does
 * @param broken what stays and needs what is taken out, in words
 * @param saved mass of what is taken out
 * @param total length of all wires
 */
record LoomResponse(
        List<ModuleResponse> modules,
        @Nullable String workId,
        List<String> undecided,
        List<String> broken,
        Figure saved,
        List<PointResponse> points,
        List<WireResponse> wires,
        Figure total,
        int version) {
    record ModuleResponse(
            String id,
            String name,
            String kind,
            LoomModule.Decision decision,
            List<String> needs,
            String mass,
            String note,
            @Nullable String by,
            @Nullable Instant at,
            int version) {}

    record PointResponse(String name, String from, String length, double metres) {}

    /** A wire with its way through the tree. */
    record WireResponse(
            String circuit, String from, String to, String size, String colour, List<String> way, Figure length) {}
}
